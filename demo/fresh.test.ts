import { join } from 'node:path'
import { expect, it } from 'vitest'
import { randomFrom } from '../core/index.ts'
import { openTestServer } from '../server/testing/testServer.ts'
import { copyOfDemo, filledDemo } from './testing/filledDemo.ts'
import { allViews, doSome } from './testing/takingBack.ts'

const COMMANDS = 14

// each view is kept until a table that it was read from is written to: by triggers and with removed rows, too
it('answers after each command what a server answers that has kept nothing', async () => {
  const copy = await copyOfDemo(await filledDemo())
  const file = join(copy.path, 'heavy-thistle.db')
  const server = await openTestServer(file)
  const random = randomFrom(7)
  const kinds = new Set<string>()
  let changedNothing = 0
  let before = await allViews(server)
  for (let n = 0; n < COMMANDS; n += 1) {
    const [done] = await doSome(server, 1, random)
    if (n % 3 === 2 && done) await server.command('undo', { actionId: done.id as never }).expect(200)
    if (done) kinds.add(done.kind)
    const fresh = await openTestServer(file)
    const after = await allViews(server)
    expect(after, done?.kind).toEqual(await allViews(fresh))
    await fresh.close()
    if (JSON.stringify(after) === JSON.stringify(before)) changedNothing += 1
    before = after
  }
  expect(kinds.size).toBeGreaterThan(7)
  expect(changedNothing).toBeLessThan(COMMANDS / 2)
  await server.close()
  await copy.remove()
})
