import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { balances, fliesAllowed, belowPar, takeOldest } from './index.ts'

describe('belowPar', () => {
  it('puts the emptiest first and leaves out what is covered', () => {
    const holes = belowPar([
      { variantId: 'button', onHand: 2, parCount: 12 },
      { variantId: 'lantern', onHand: 0, parCount: 6 },
      { variantId: 'straw', onHand: 3, parCount: null },
      { variantId: 'lid', onHand: 2, parCount: null },
    ])
    expect(holes.map(({ variantId, missing }) => [variantId, missing])).toEqual([
      ['lantern', 6],
      ['button', 10],
      ['lid', 1],
    ])
  })
})

describe('takeOldest', () => {
  it('takes the oldest recipe first', () => {
    const lots = [
      { subject: 'new', onHand: 3, tiedAtMs: 20 },
      { subject: 'old', onHand: 2, tiedAtMs: 10 },
    ]
    expect(takeOldest(lots, 3)).toEqual({
      kind: 'taken',
      entries: [
        { subject: 'old', delta: -2 },
        { subject: 'new', delta: -1 },
      ],
    })
  })

  it('says how many there are when asked for more', () => {
    expect(takeOldest([{ subject: 'a', onHand: 2, tiedAtMs: 0 }], 3)).toEqual({ kind: 'tooFew', onHand: 2 })
  })

  it.each([0, -1, 1.5])('refuses a count of %s', (count) => {
    expect(() => takeOldest([], count)).toThrow(RangeError)
  })

  it('takes just what is asked for and leaves no lot below nought', () => {
    const lots = fc.array(fc.record({ onHand: fc.nat(9), tiedAtMs: fc.nat(99) }), { maxLength: 8 })
    fc.assert(
      fc.property(lots, fc.integer({ min: 1, max: 40 }), (rows, count) => {
        const named = rows.map((row, i) => ({ ...row, subject: String(i) }))
        const taking = takeOldest(named, count)
        if (taking.kind === 'tooFew') return taking.onHand < count
        const left = balances([
          ...named.map(({ subject, onHand }) => ({ subject, delta: onHand })),
          ...taking.entries,
        ])
        const taken = taking.entries.reduce((sum, { delta }) => sum - delta, 0)
        return taken === count && [...left.values()].every((balance) => balance >= 0)
      }),
      { seed: 23 },
    )
  })
})

describe('fliesAllowed', () => {
  it('names the material that is the limit', () => {
    const needs = [
      { materialId: 'hooks', perFly: 100, onHand: 600 },
      { materialId: 'beads', perFly: 100, onHand: 900 },
      { materialId: 'tinsel', perFly: 50, onHand: null },
    ]
    expect(fliesAllowed(needs)).toEqual({ count: 6, limitedBy: 'hooks' })
    expect(fliesAllowed([{ materialId: 'tinsel', perFly: 50, onHand: null }])).toBeNull()
    expect(fliesAllowed([{ materialId: 'hooks', perFly: 100, onHand: -50 }])).toEqual({
      count: 0,
      limitedBy: 'hooks',
    })
  })
})
