import { describe, expect, it } from 'vitest'
import { NO_RULES, stages, variant } from '../testing/planInputs.ts'
import { hackledDry, jigNymph } from '../testing/shippedMaterial.ts'
import { toEnd } from '../testing/toEnd.ts'
import { WEEKS } from '../season/index.ts'
import { coverLooks, lifeStepOf, monthLooks, situationLooks } from './index.ts'
import type { CoverLook, ServingVariant } from './index.ts'

const byId = new Map(stages.map((stage) => [stage.id, stage]))
const place = {
  waterKind: 'freestone' as const,
  bedMm: 700,
  surfaceSpeedMmPerS: 600,
  techniques: [],
  rules: NO_RULES,
  school: 'sizeAndStage' as const,
}
const nymph = variant('jig', jigNymph(), { onHand: 2, meantFor: ['dark-olive-nymph'] })
const dry = variant('dry', hackledDry(), { onHand: 4, meantFor: ['dark-olive-dun'] })
const look = (change: Partial<CoverLook>): CoverLook => ({
  key: 'now',
  month: 4,
  clarity: null,
  place,
  without: [],
  whatever: 0.2,
  foods: [
    { stageKey: 'dark-olive-nymph', worth: 0.5, lengthMmLow: 6, lengthMmHigh: 10 },
    { stageKey: 'dark-olive-dun', worth: 0.3, lengthMmLow: 5.5, lengthMmHigh: 9 },
  ],
  ...change,
})
const coverOf = (variants: readonly ServingVariant[], change: Partial<CoverLook> = {}) =>
  toEnd(coverLooks([look(change)], variants, byId))[0]!

describe('coverLooks', () => {
  it('is the share of fish with something on hand to show, times how well it does', () => {
    const both = coverOf([nymph, dry])
    expect(both.shown).toBeGreaterThan(0.8 * 0.8)
    expect(both.shown).toBeLessThanOrEqual(0.8)
    expect(both.asked).toBeCloseTo(1, 9)
    expect(both.flies).toBe(6)
    expect(both.lacking).toEqual([{ stageKey: null, share: 0.2 }])
    // an imitation could pass for whatever comes
    expect(both.passing).toBeCloseTo(0.2 * 0.6, 9)
  })

  it('names what lacks, the most fish first, and counts nothing that is not on hand', () => {
    const none = coverOf([{ ...nymph, onHand: 0 }])
    expect(none.shown).toBe(0)
    expect(none.lacking.map(({ stageKey }) => stageKey)).toEqual(['dark-olive-nymph', 'dark-olive-dun', null])
  })

  it('leaves out what is not for it, and what the note forbids', () => {
    expect(coverOf([nymph, dry], { without: ['jig'] }).shown).toBeLessThan(0.31)
    expect(coverOf([nymph, dry], { place: { ...place, rules: { ...NO_RULES, dryOnly: true } } }).shown).toBeLessThan(0.31) // prettier-ignore
  })
})

describe('monthLooks', () => {
  it('has twelve months, each with what fish are on in its weeks and the lengths of then', () => {
    const april = Array.from({ length: WEEKS }, (_, week) => (week >= 13 && week < 17 ? 0.6 : 0))
    const looks = monthLooks(
      byId,
      { whatever: april.map((share) => 1 - share), stages: [{ stageId: 'dark-olive-dun', onIt: april }] },
      2026,
      { ...place, latitudeDeg: 54 },
    )
    expect(looks.map(({ month }) => month)).toEqual([1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12])
    expect(looks[3]?.foods[0]?.worth).toBeGreaterThan(0.4)
    expect(looks[3]?.foods[0]?.lengthMmHigh).toBeGreaterThan(8)
    expect(looks[8]?.foods).toEqual([])
    expect(looks[8]?.whatever).toBeCloseTo(1, 9)
  })
})

describe('situationLooks', () => {
  const half = (share: number) => Array.from({ length: 48 }, () => share)
  const usual = {
    whatever: half(0.2),
    stages: [
      { stageId: 'dark-olive-nymph', onIt: half(0.5) },
      { stageId: 'dark-olive-dun', onIt: [...half(0.3).slice(0, 36), ...half(0).slice(36)] },
    ],
  }
  const looks = situationLooks(byId, {
    usual,
    coloured: { whatever: half(1), stages: [] },
    lengths: new Map([
      ['dark-olive-nymph', [6, 10]],
      ['dark-olive-dun', [5.5, 9]],
    ]),
    place,
    month: 4,
    variants: [nymph, dry, { ...nymph, key: 'small', hookSize: 18 }],
  })
  const of = (key: string) => looks.find((one) => one.key === key)!
  const foods = (key: string) => of(key).foods.map(({ stageKey }) => stageKey)

  it('are each of the foods that make them, as shares of one', () => {
    expect(foods('nothingShowing')).toEqual(['dark-olive-nymph'])
    expect(foods('rising')).toEqual(['dark-olive-dun'])
    expect(foods('deep')).toEqual(['dark-olive-nymph'])
    expect(foods('coloured')).toEqual([])
    for (const { foods: all, whatever } of looks) {
      expect(all.reduce((sum, { worth }) => sum + worth, whatever)).toBeCloseTo(1, 9)
    }
    // no dun after six in the evening
    const dunOf = (key: string) =>
      of(key).foods.find(({ stageKey }) => stageKey === 'dark-olive-dun')?.worth ?? 0
    expect(dunOf('evening')).toBeLessThan(dunOf('dryOnly') / 2)
  })

  it('are fished by their own rules: deep at twice the depth, low and clear with light or small flies, dry only', () => {
    expect(of('deep').place.bedMm).toBe(1500)
    expect(of('lowAndClear').without).toEqual([])
    expect(of('dryOnly').place.rules.dryOnly).toBe(true)
    const heavy = situationLooks(byId, { usual, coloured: usual, lengths: new Map(), place, month: 4, variants: [{ ...nymph, hookSize: 12 }] }) // prettier-ignore
    expect(heavy.find(({ key }) => key === 'lowAndClear')?.without).toEqual(['jig'])
  })
})

describe('lifeStepOf', () => {
  it('has the steps of an olive in their order, and nothing that lives below among the winged', () => {
    expect(stages.map((stage) => [stage.stage, lifeStepOf(stage)])).toEqual([
      ['nymph', 'below'],
      ['risingNymph', 'rising'],
      ['emerger', 'emerging'],
      ['dun', 'adult'],
      ['spinner', 'spent'],
      ['sunkSpinner', 'spent'],
    ])
    expect(lifeStepOf({ ...stages[0]!, stage: 'adult' })).toBe('below')
  })
})
