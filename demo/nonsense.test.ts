import { join } from 'node:path'
import { expect, it } from 'vitest'
import { openTestServer } from '../server/testing/testServer.ts'
import { checkDatabase } from '../server/upkeep/verify.ts'
import { copyOfDemo, filledDemo } from './testing/filledDemo.ts'
import { sendNonsense } from './testing/nonsense.ts'

// twenty thousand of them: npm run bench -- nonsense
it('refuses nonsense in sentences, and never breaks over it', async () => {
  const copy = await copyOfDemo(await filledDemo())
  const server = await openTestServer(join(copy.path, 'heavy-thistle.db'))
  const { faults, byStatus } = await sendNonsense(server, 20260604, 250)
  expect(faults).toEqual([])
  expect(byStatus[400]).toBeGreaterThan(100)
  expect((await checkDatabase(server.database)).filter((line) => !line.startsWith('ok'))).toEqual([])
  await server.close()
  await copy.remove()
})
