import { describe, expect, it } from 'vitest'
import { changedWith } from './feeds.ts'
import { countWrites, keptByOrigin, keptUntilWrite, noteWrite, noting, writesOf } from './kept.ts'
import { batch, box, flyBalance, flyEntry, flyTally, material, materialEntry, outing } from './schema.ts'

const counting = () => {
  let reads = 0
  return (_db: object) => Promise.resolve((reads += 1))
}

describe('keptUntilWrite', () => {
  it('reads anew after a write to a table of its own, and not after another', async () => {
    const db = {}
    countWrites(db)
    const load = keptUntilWrite(counting(), [outing])
    expect([await load(db), await load(db)]).toEqual([1, 1])
    noteWrite(db, new Set(['material', 'batch']))
    expect(await load(db)).toBe(1)
    noteWrite(db, new Set(['material', 'outing']))
    expect(await load(db)).toBe(2)
    expect(writesOf(db)).toBe(2)
  })

  it('reads anew after a write to a table of a loader that it asks, or to one that a trigger feeds', async () => {
    const db = {}
    countWrites(db)
    const tallies = keptUntilWrite(counting(), [flyTally])
    const load = keptUntilWrite(counting(), [tallies, material])
    expect([...load.reads].sort()).toEqual(['*', 'fly_tally', 'material'])
    expect(await load(db)).toBe(1)
    noteWrite(db, new Set(changedWith(flyEntry, 'insert')))
    expect(await load(db)).toBe(2)
    noteWrite(db, new Set(changedWith(materialEntry, 'insert')))
    expect(await load(db)).toBe(2)
  })

  it('keeps answers for different arguments apart', async () => {
    const db = {}
    countWrites(db)
    const load = keptUntilWrite((_db: object, n: number) => Promise.resolve({ n }), [outing])
    const one = await load(db, 1)
    expect(await load(db, 2)).toEqual({ n: 2 })
    expect(await load(db, 1)).toBe(one)
  })

  it('keeps nothing for a transaction, nor a failure', async () => {
    const load = keptUntilWrite(counting(), [batch])
    const transaction = {}
    expect([await load(transaction), await load(transaction)]).toEqual([1, 2])
    const db = {}
    countWrites(db)
    let fails = true
    const flaky = keptUntilWrite(
      (_db: object) => (fails ? Promise.reject(new Error('no')) : Promise.resolve(1)),
      [batch],
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
    const load = keptUntilWrite((_db: object) => query, [flyBalance])
    const db = {}
    countWrites(db)
    expect([await load(db), await load(db)]).toEqual([1, 1])
    expect(runs).toBe(1)
  })
})

describe('a transaction that notes what it writes to', () => {
  const made = () => {
    const asked: string[] = []
    const say = (name: string) => () => asked.push(name)
    const tx = { insert: say('insert'), update: say('update'), delete: say('delete'), select: say('select'), run: say('run') } // prettier-ignore
    const changed = new Set<string>()
    return { asked, changed, tx: noting(tx as Record<string, (table?: unknown) => unknown>, changed) }
  }

  it('knows the tables of inserts, updates and deletes, and passes them on', () => {
    const { asked, changed, tx } = made()
    tx.select!()
    expect([...changed]).toEqual([])
    tx.insert!(flyEntry)
    tx.update!(batch)
    tx.delete!(box)
    expect([...changed].sort()).toEqual([
      'batch', 'box', 'compartment', 'fly_balance', 'fly_entry', 'fly_tally', 'search_text',
    ]) // prettier-ignore
    expect(asked).toEqual(['select', 'insert', 'update', 'delete'])
  })

  it('takes a statement of its own for a write to anything', async () => {
    const { changed, tx } = made()
    tx.run!()
    const db = {}
    countWrites(db)
    const load = keptUntilWrite(counting(), [outing])
    expect(await load(db)).toBe(1)
    noteWrite(db, changed)
    expect(await load(db)).toBe(2)
  })
})

describe('keptByOrigin', () => {
  /** Counts how often it worked something out. */
  const counted = (most: number) => {
    let done = 0
    return keptByOrigin((_from: unknown) => Promise.resolve((done += 1)), most)
  }

  it('works out anew what comes from something else, and gives again what comes from the same', async () => {
    const kept = counted(5)
    const given = []
    for (const from of [{ m: 1 }, { m: 1 }, { m: 2 }, { m: 1 }, [], null]) given.push(await kept(from))
    expect(given).toEqual([1, 1, 2, 1, 3, 4])
  })

  it('works out once for two who ask at once', async () => {
    const kept = counted(5)
    expect(await Promise.all([kept(1), kept(1)])).toEqual([1, 1])
  })

  it('lets go of what was asked for longest ago where there are too many', async () => {
    const kept = counted(2)
    const given = []
    for (const from of ['a', 'b', 'a', 'c', 'a', 'b']) given.push(await kept(from))
    expect(given).toEqual([1, 2, 1, 3, 1, 4])
  })

  it('tries again what failed', async () => {
    const answers = [Promise.reject(new Error('no')), Promise.resolve(7)]
    const kept = keptByOrigin((_from: number) => answers.shift()!, 2)
    await expect(kept(0)).rejects.toThrow('no')
    expect(await kept(0)).toBe(7)
  })
})
