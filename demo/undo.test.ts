import { join } from 'node:path'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { openTestServer } from '../server/testing/testServer.ts'
import type { TestServer } from '../server/testing/testServer.ts'
import { checkDatabase } from '../server/upkeep/verify.ts'
import { copyOfDemo, filledDemo } from './testing/filledDemo.ts'
import { takeBackInAnyOrder, takeBackInReverse } from './testing/takingBack.ts'

let copy: Awaited<ReturnType<typeof copyOfDemo>>
let server: TestServer
beforeEach(async () => {
  copy = await copyOfDemo(await filledDemo())
  server = await openTestServer(join(copy.path, 'heavy-thistle.db'))
})
afterEach(async () => {
  expect((await checkDatabase(server.database)).filter((line) => !line.startsWith('ok'))).toEqual([])
  await server.close()
  await copy.remove()
})

// twenty seeds of sixty commands each: npm run bench -- undo
describe('whatever was done', () => {
  it('is undone in reverse, done again and undone, and seen as it was each time', async () => {
    const { commands, kinds } = await takeBackInReverse(server, 1, 24)
    expect(commands).toBe(24)
    expect(kinds).toBeGreaterThan(11)
  })

  it('is undone in any order; what is refused names what stands in its way', async () => {
    const { commands, kinds } = await takeBackInAnyOrder(server, 11, 20)
    expect(commands).toBe(20)
    expect(kinds).toBeGreaterThan(11)
  })
})
