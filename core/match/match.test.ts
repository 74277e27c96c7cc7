import { describe, expect, it } from 'vitest'
import { resolveDressing } from '../dressing/index.ts'
import { behaviourOf, evaluateFly, LIST_CONDITIONS, USUAL_TIPPET } from '../evaluate/index.ts'
import { shippedFoods } from '../season/shipped/larder.ts'
import { hackledDry, jigNymph } from '../testing/shippedMaterial.ts'
import { appearanceOf, matchFly } from './index.ts'
import type { Matched, MatchPlace } from './index.ts'

const stage = (key: string) => {
  const found = shippedFoods.flatMap(({ stages }) => stages).find((candidate) => candidate.key === key)
  if (!found) throw new Error(`no stage ${key}`)
  return { ...found, id: key }
}

function matched(made: ReturnType<typeof jigNymph>): Matched {
  const fly = resolveDressing(made.dressing, made.variant, made.materials)
  if (fly.kind !== 'fly') throw new Error('incomplete')
  const report = evaluateFly(fly, { ...LIST_CONDITIONS, tippet: USUAL_TIPPET })
  return { behaviour: behaviourOf(report), look: appearanceOf(fly) }
}

const run: MatchPlace = {
  waterKind: 'freestone',
  bedMm: 900,
  surfaceSpeedMmPerS: 750,
  lengthMmLow: 7,
  lengthMmHigh: 10,
}
const codes = (fly: Matched, key: string, place: MatchPlace) =>
  matchFly(fly, stage(key), place).aspects.map(({ code }) => code)

describe('matchFly', () => {
  it('finds the weighted nymph right for a nymph near the bottom', () => {
    const { score, verdict, aspects } = matchFly(matched(jigNymph()), stage('dark-olive-nymph'), run)
    expect(verdict).toBe('serves')
    expect(aspects.map(({ code }) => code)).toEqual(
      expect.arrayContaining(['sizeRight', 'depthRight', 'colourNear']),
    )
    expect(score).toBeGreaterThan(0.8)
  })

  it('finds it too slow without its bead in a deep fast run', () => {
    const made = jigNymph()
    const bare = { ...made, variant: { ...made.variant, swaps: [{ componentKey: 'bead', omit: true }] } }
    expect(codes(matched(bare), 'dark-olive-nymph', { ...run, bedMm: 2000 })).toContain('tooSlow')
  })

  it('finds it too fast for a nymph that swims high', () => {
    expect(
      codes(matched(jigNymph('bead-tungsten-slotted', '4.0', '10')), 'damselfly-mature-nymph', {
        ...run,
        waterKind: 'lowlandStillwater',
        surfaceSpeedMmPerS: 0,
      }),
    ).toContain('tooFast')
  })

  it('finds size 10 too large and size 20 too small for it', () => {
    expect(codes(matched(jigNymph('bead-tungsten-slotted', '4.0', '10')), 'dark-olive-nymph', run)).toContain(
      'tooLarge',
    )
    expect(
      codes(matched(jigNymph('bead-tungsten-slotted', '2.0', '20')), 'dark-olive-nymph', {
        ...run,
        lengthMmLow: 9,
      }),
    ).toContain('tooSmall')
  })

  it('keeps a dry above a nymph and a nymph below a dun', () => {
    expect(codes(matched(hackledDry()), 'dark-olive-nymph', run)).toContain('floatsAboveIt')
    expect(codes(matched(jigNymph()), 'dark-olive-dun', run)).toContain('sinksBelowIt')
  })

  it('wants a dun to stand, an emerger to hang, and says which way a fly is off', () => {
    expect(codes(matched(hackledDry()), 'dark-olive-dun', run)).toContain('postureRight')
    expect(codes(matched(hackledDry()), 'dark-olive-emerger', run)).toContain('ridesTooHigh')
    const sunken = { ...matched(hackledDry()), behaviour: { kind: 'floats', posture: 'awash' } as const }
    expect(codes(sunken, 'dark-olive-dun', run)).toContain('ridesTooLow')
  })

  it('finds a nymph of thread right for a slim natural, and one as thick as a cork too stout', () => {
    expect(codes(matched(jigNymph()), 'dark-olive-nymph', run)).toContain('outlineRight')
    const stout = matched(jigNymph())
    const cork = { ...stout, look: { ...stout.look, slenderness: 2 } }
    expect(codes(cork, 'dark-olive-nymph', run)).toContain('tooBulky')
  })

  it('asks for something that waves where the natural waves by itself', () => {
    const lake = { ...run, waterKind: 'lowlandStillwater' as const, surfaceSpeedMmPerS: 0, bedMm: 2000 }
    const stiff = matched(jigNymph())
    const waving = { ...stiff, look: { ...stiff.look, soft: true } }
    const leech = stage('leech-mature')
    const movement = (fly: Matched) =>
      matchFly(fly, leech, lake).aspects.find(({ aspect }) => aspect === 'movement')
    expect(movement(waving)?.score).toBe(1)
    expect(movement(stiff)?.score).toBeLessThan(1)
  })

  it('names the triggers that a fly lacks, and scores more of them higher', () => {
    const bare = matched(jigNymph())
    const wanted = stage('dark-olive-nymph').triggers
    const full = { ...bare, look: { ...bare.look, shows: wanted as Matched['look']['shows'] } }
    const aspectOf = (fly: Matched) =>
      matchFly(fly, stage('dark-olive-nymph'), run).aspects.find(({ aspect }) => aspect === 'triggers')
    expect(aspectOf(full)).toMatchObject({ code: 'showsTriggers', score: 1 })
    const lacking = aspectOf(bare)
    expect(lacking?.code).toBe('lacksTriggers')
    expect(lacking?.names.length).toBeGreaterThan(0)
    expect(lacking?.score).toBeLessThan(1)
  })

  it('weighs by school: another colour hurts the exact school most, drabness the bright one alone', () => {
    const near = matched(jigNymph())
    const red = { ...near, look: { ...near.look, bodyHexWet: '#c01020' } }
    const loss = (school: 'exact' | 'sizeAndStage' | 'bright') =>
      matchFly(near, stage('dark-olive-nymph'), run, school).score -
      matchFly(red, stage('dark-olive-nymph'), run, school).score
    expect(loss('exact')).toBeGreaterThan(loss('sizeAndStage'))
    expect(loss('sizeAndStage')).toBeGreaterThan(loss('bright'))
    const drab = { ...near, look: { ...near.look, bright: false } }
    const bright = { ...near, look: { ...near.look, bright: true } }
    const score = (fly: Matched, school: 'exact' | 'bright') =>
      matchFly(fly, stage('dark-olive-nymph'), run, school).score
    expect(score(bright, 'bright')).toBeGreaterThan(score(drab, 'bright'))
    expect(score(bright, 'exact')).toBe(score(drab, 'exact'))
  })

  it('stays between 0 and 1 for every shipped stage, and rises with the score of any aspect', () => {
    const fly = matched(jigNymph())
    for (const food of shippedFoods.flatMap(({ stages }) => stages)) {
      const { score, aspects } = matchFly(fly, { ...food, id: food.key }, run)
      expect(score, food.key).toBeGreaterThanOrEqual(0)
      expect(score, food.key).toBeLessThanOrEqual(1)
      expect(Math.min(...aspects.map(({ score: own }) => own)), food.key).toBeLessThanOrEqual(score + 1e-9)
    }
  })
})
