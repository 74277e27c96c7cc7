import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { CHANGED_SINCE, overlap, takeBack } from './takeBack.ts'

describe('taking a change back', () => {
  it('returns what it touched and leaves the rest as it is now', () => {
    const before = { name: 'Beck', note: 'old', rules: { noLead: false, maxFlies: 3 } }
    const after = { ...before, note: 'new', rules: { noLead: true, maxFlies: 3 } }
    const now = { name: 'Long Beck', note: 'new', rules: { noLead: true, maxFlies: 2 } }
    expect(takeBack(before, after, now)).toEqual({
      name: 'Long Beck',
      note: 'old',
      rules: { noLead: false, maxFlies: 2 },
    })
  })

  it('does not where the same was changed again', () => {
    expect(takeBack({ note: 'a' }, { note: 'b' }, { note: 'c' })).toBe(CHANGED_SINCE)
    // also where it was set back by hand: taking that back later would not end where it began
    expect(takeBack({ note: 'a' }, { note: 'b' }, { note: 'a' })).toBe(CHANGED_SINCE)
    expect(takeBack({ list: [1] }, { list: [1, 2] }, { list: [1, 2, 3] })).toBe(CHANGED_SINCE)
    expect(takeBack({ a: 1 }, null, { a: 2 })).toBe(CHANGED_SINCE)
  })

  it('takes a field that was not there as none', () => {
    expect(takeBack({ a: 1 }, { a: 1, b: 2 }, { a: 1, b: 2, c: 3 })).toEqual({ a: 1, c: 3 })
    expect(takeBack({ a: 1, b: null }, { a: 2 }, { a: 2, b: null })).toEqual({ a: 1, b: null })
  })

  it('of two changes of different fields ends where it began, in either order', () => {
    const record = fc.record({
      a: fc.integer(),
      b: fc.string(),
      c: fc.record({ d: fc.boolean(), e: fc.array(fc.nat()) }),
    })
    fc.assert(
      fc.property(record, record, (start, other) => {
        const first = { ...start, a: other.a }
        const second = { ...first, b: other.b, c: { ...first.c, d: other.c.d } }
        for (const order of [
          [
            [start, first],
            [first, second],
          ],
          [
            [first, second],
            [start, first],
          ],
        ] as const) {
          let now: unknown = second
          for (const [before, after] of order) now = takeBack(before, after, now)
          expect(now).toEqual(start)
        }
      }),
      { numRuns: 200, seed: 7 },
    )
  })
})

describe('two changes', () => {
  const start = { way: 'flyByFly', note: '', rules: { noLead: false, maxFlies: 3 } }
  const change = (after: object) => ({ before: start, after: { ...start, ...after } })

  it('overlap where both touched a field, also where it came back to what it was', () => {
    expect(overlap(change({ way: 'stations' }), { before: { ...start, way: 'stations' }, after: start })).toBe(
      true,
    )
    expect(overlap(change({ way: 'stations' }), change({ note: 'x' }))).toBe(false)
    expect(
      overlap(
        change({ rules: { noLead: true, maxFlies: 3 } }),
        change({ rules: { noLead: false, maxFlies: 2 } }),
      ),
    ).toBe(false)
    expect(overlap(change({ note: 'x' }), change({ note: 'x', way: 'stations' }))).toBe(true)
  })

  it('overlap where one of them made or removed the record', () => {
    expect(overlap({ before: null, after: start }, change({ note: 'x' }))).toBe(true)
    expect(overlap(change({ note: 'x' }), { before: start, after: null })).toBe(true)
    expect(overlap({ before: start, after: start }, { before: start, after: null })).toBe(false)
  })
})
