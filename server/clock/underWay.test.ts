import { EventEmitter, once } from 'node:events'
import { describe, expect, it } from 'vitest'
import { giveWay, whileAnswering } from './underWay.ts'

const LONG_MS = 60_000
const db = {}

/** An answer that is made when it is said, or fails. */
function someAnswer() {
  const said = new EventEmitter()
  const made = whileAnswering(db, async () => {
    const [answer] = (await once(said, 'made')) as [string]
    return answer
  })
  return {
    make: () => said.emit('made', 'a fly'),
    fail: () => said.emit('error', new Error('no fly')),
    made,
  }
}

/** Whether something has come to its end after some turns of the process. */
async function isOver(work: Promise<unknown>): Promise<boolean> {
  let over = false
  void work.then(() => (over = true))
  for (let turn = 0; turn < 5; turn += 1) await new Promise((resolve) => setImmediate(resolve))
  return over
}

describe('work behind', () => {
  it('takes a breath where nothing is asked, or only of another database', async () => {
    expect(await isOver(giveWay(db, LONG_MS))).toBe(true)
    const { make, made } = someAnswer()
    expect(await isOver(giveWay({}, LONG_MS))).toBe(true)
    make()
    expect(await made).toBe('a fly')
  })

  it('waits until the last answer is there, made or failed', async () => {
    const [first, second] = [someAnswer(), someAnswer()]
    const waiting = giveWay(db, LONG_MS)
    expect(await isOver(waiting)).toBe(false)
    first.make()
    expect(await isOver(waiting)).toBe(false)
    second.fail()
    await expect(second.made).rejects.toThrow('no fly')
    expect(await isOver(waiting)).toBe(true)
  })

  it('goes on all the same where answers never end', async () => {
    const { make, made } = someAnswer()
    const from = performance.now()
    await giveWay(db, 30)
    expect(performance.now() - from).toBeGreaterThanOrEqual(30)
    make()
    await made
  })
})
