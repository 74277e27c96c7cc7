import { describe, expect, it } from 'vitest'
import { inputs, variant } from '../testing/planInputs.ts'
import { hackledDry, jigNymph } from '../testing/shippedMaterial.ts'
import { toEnd } from '../testing/toEnd.ts'
import { fliesAt, heldThrough, needHours, problemOf, standingOf, standingsOf } from './index.ts'

const dry = variant('dry', hackledDry())
const serves = [{ variant: dry, quality: 0.9, meant: true }]
const flies = (count: number) => () => count

describe('a stage', () => {
  it('is a hole from one fish in twenty in one half hour on, where nothing serves or none is left of it', () => {
    expect(standingOf({ onIt: [0.01, 0.05, 0.01], serves }, flies(0))).toMatchObject({
      standing: 'hole',
      fromHalf: 1,
      toHalf: 1,
      onIt: 0.05,
      lasts: 0,
    })
    expect(standingOf({ onIt: [0.3], serves: [] }, flies(9))?.standing).toBe('hole')
    expect(standingOf({ onIt: [0.04, 0.049], serves: [] }, flies(0))).toBeNull()
  })

  it('is thin while the chance that one lasts is under four in five', () => {
    // one loss in an hour, known as by two that were seen: none 4/9, one 8/27, two 4/27
    const asked = { ...needHours([0.2, 0.2], [0.5, 1], { shape: 2, hours: 2 }), serves }
    const of = (count: number) => standingOf(asked, flies(count))
    expect([1, 2, 3].map((count) => of(count)?.lasts)).toEqual([
      expect.closeTo(12 / 27, 10),
      expect.closeTo(20 / 27, 10),
      expect.closeTo(24 / 27, 10),
    ])
    expect([0, 1, 2, 3].map((count) => of(count)?.standing)).toEqual(['hole', 'thin', 'thin', 'covered'])
  })

  it('is looked at only as long as fish are on it', () => {
    const early = { ...needHours([0.2, 0.01], [0, 8], { shape: 2, hours: 2 }), serves }
    expect(standingOf(early, flies(1))?.standing).toBe('covered')
  })

  it('asked of a moment is covered by a single fly', () => {
    expect(standingOf({ onIt: [0.2], serves }, flies(1))?.standing).toBe('covered')
  })
})

describe('flies of outings one after the other', () => {
  const [outing] = inputs().outings
  if (!outing) throw new Error('no outing')
  const of = inputs({
    outings: [outing, { ...outing, key: 'sun', on: '2026-04-26' }],
    variants: [variant('jig', jigNymph(), { onHand: 2, queued: 1, meantFor: ['dark-olive-nymph'] })],
  })
  const { problem, needs } = toEnd(problemOf(of))
  const held = heldThrough(of, needs)

  it('are those on hand and at the bench, less what the earlier ones cost: as the plan counts them', () => {
    const nothing = problem.candidates.map(() => [0, 0])
    expect(held('sat')('jig')).toBe(3)
    expect(held('sun')('jig')).toBeLessThan(3)
    for (const [k, key] of ['sat', 'sun'].entries())
      expect(held(key)('jig')).toBeCloseTo(fliesAt(problem, nothing, k)('jig'), 10)
  })

  it('leave the later one no better off than the first', () => {
    const lasts = ['sat', 'sun'].map((key) => {
      const own = needs.filter(({ outingKey }) => outingKey === key)
      return standingsOf(own, held(key)).find(({ stageKey }) => stageKey === 'dark-olive-nymph')?.lasts ?? 0
    })
    expect(lasts[1]).toBeLessThan(lasts[0] ?? 0)
  })
})
