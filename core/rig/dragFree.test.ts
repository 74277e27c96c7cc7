import { describe, expect, it } from 'vitest'
import { toEnd } from '../testing/toEnd.ts'
import { waterAt } from '../water/index.ts'
import { dragFree, readTypedRig } from './index.ts'
import type { SlackCast } from './index.ts'

const partsOf = (text: string) => readTypedRig(text, []).map(({ part }) => part!)
const RUNS = 500
const even = [{ widthMm: 0, mmPerS: RUNS }]
const cast = (more: Partial<SlackCast> = {}) =>
  toEnd(
    dragFree({
      parts: partsOf('12 m floating line 1.1 mm, 3 m leader 0.45 to 0.16 copolymer, 60 cm 0.13 copolymer, dry'),
      water: waterAt(12),
      ...{ lanes: even, acrossMm: 8000, slackShare: 0.1, mendMm: 0 },
      ...more,
    }),
  )
const forS = (more: Partial<SlackCast> = {}) => cast(more)!.forS!

describe('how long a cast drifts free', () => {
  it('is longer than if each bit of line held its water, and shorter than until it would be straight', () => {
    for (const slackShare of [0.05, 0.1, 0.2, 0.4]) {
      const found = forS({ slackShare })
      expect(found).toBeGreaterThan((slackShare * 8000) / RUNS)
      expect(found).toBeLessThan((8000 * Math.sqrt((1 + slackShare) ** 2 - 1)) / RUNS)
    }
  })
  it('grows with slack and with a mend upstream, and is nothing to speak of on a straight line', () => {
    expect(forS({ slackShare: 0 })).toBeLessThan(0.5)
    const slack = [0.05, 0.1, 0.2, 0.4].map((slackShare) => forS({ slackShare }))
    expect(slack).toEqual(slack.toSorted((a, b) => a - b))
    expect(forS({ mendMm: 2000 })).toBeGreaterThan(forS())
  })
  it('is shorter over a faster tongue, and half as long in water twice as fast', () => {
    const tongue = [{ widthMm: 3000, mmPerS: RUNS }, { widthMm: 2000, mmPerS: 2 * RUNS }, { widthMm: 0, mmPerS: RUNS }] // prettier-ignore
    expect(forS({ lanes: tongue })).toBeLessThan(forS())
    const fast = forS({ lanes: [{ widthMm: 0, mmPerS: 2 * RUNS }], slackShare: 0.2 })
    expect(fast / forS({ slackShare: 0.2 })).toBeGreaterThan(0.4)
    expect(fast / forS({ slackShare: 0.2 })).toBeLessThan(0.65)
  })
  it('has no end in still water, is told between the shapes that slack may have, and needs a line to lay', () => {
    expect(cast({ lanes: [{ widthMm: 0, mmPerS: 0 }] })).toEqual({ forS: null, lowS: null, highS: null })
    const { forS: middle, lowS, highS } = cast()!
    expect(lowS!).toBeLessThanOrEqual(middle!)
    expect(highS!).toBeGreaterThanOrEqual(middle!)
    expect(cast({ parts: partsOf('3 m 0.20, dry') })).toBeNull()
    expect(cast({ acrossMm: 2000 })).toBeNull()
  })
})
