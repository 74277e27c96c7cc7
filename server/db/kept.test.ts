import { describe, expect, it } from 'vitest'
import { keptUntilWrite, noteWrite, writesOf } from './kept.ts'

describe('keptUntilWrite', () => {
  it('reads anew after a write that concerns it, and not after another', async () => {
    const db = {}
    let reads = 0
    const load = keptUntilWrite((_db: object) => Promise.resolve((reads += 1)), ['flies'])
    noteWrite(db)
    expect([await load(db), await load(db)]).toEqual([1, 1])
    noteWrite(db, ['materials'])
    expect(await load(db)).toBe(1)
    noteWrite(db, ['flies', 'materials'])
    expect(await load(db)).toBe(2)
    noteWrite(db)
    expect(await load(db)).toBe(3)
    expect(writesOf(db)).toBe(4)
  })

  it('keeps nothing for a transaction, nor a failure', async () => {
    let reads = 0
    const load = keptUntilWrite((_db: object) => Promise.resolve((reads += 1)), ['rest'])
    const transaction = {}
    expect([await load(transaction), await load(transaction)]).toEqual([1, 2])
    const db = {}
    noteWrite(db)
    let fails = true
    const flaky = keptUntilWrite(
      (_db: object) => (fails ? Promise.reject(new Error('no')) : Promise.resolve(1)),
      ['rest'],
    )
    await expect(flaky(db)).rejects.toThrow('no')
    fails = false
    expect(await flaky(db)).toBe(1)
  })

  it('asks a query once that runs anew each time it is waited for', async () => {
    let runs = 0
    const query: PromiseLike<number> = {
      then: (done, failed) => Promise.resolve((runs += 1)).then(done, failed),
    }
    const load = keptUntilWrite((_db: object) => query, ['flies'])
    const db = {}
    noteWrite(db)
    expect([await load(db), await load(db)]).toEqual([1, 1])
    expect(runs).toBe(1)
  })
})
