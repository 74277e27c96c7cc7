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
  return { behaviour: behaviourOf(report), look: appearanceOf(fly), ways: [] }
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
    const cork = { ...stout, look: { ...stout.look, outline: { ...stout.look.outline, slenderness: 2 } } }
    expect(codes(cork, 'dark-olive-nymph', run)).toContain('tooBulky')
  })

  it('asks for something that waves where the natural waves by itself', () => {
    const lake = { ...run, waterKind: 'lowlandStillwater' as const, surfaceSpeedMmPerS: 0, bedMm: 2000 }
    const stiff = matched(jigNymph())
    const waving = { ...stiff, look: { ...stiff.look, soft: 1 } }
    const leech = stage('leech-mature')
    const movement = (fly: Matched) =>
      matchFly(fly, leech, lake).aspects.find(({ aspect }) => aspect === 'movement')
    expect(movement(waving)?.score).toBe(1)
    expect(movement(stiff)?.score).toBeLessThan(1)
  })

  it('names the triggers that a fly lacks, and scores more of them higher', () => {
    const bare = matched(jigNymph())
    const wanted = stage('dark-olive-nymph').triggers
    const all = Object.fromEntries(wanted.map((key) => [key, 1])) as Matched['look']['shows']
    const full = { ...bare, look: { ...bare.look, shows: all } }
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
    const red = { ...near, look: { ...near.look, palette: [{ hexWet: '#c01020', share: 1 }] } }
    const loss = (school: 'exact' | 'sizeAndStage' | 'bright') =>
      matchFly(near, stage('dark-olive-nymph'), run, { school, meant: false }).score -
      matchFly(red, stage('dark-olive-nymph'), run, { school, meant: false }).score
    expect(loss('exact')).toBeGreaterThan(loss('sizeAndStage'))
    expect(loss('sizeAndStage')).toBeGreaterThan(loss('bright'))
    const drab = { ...near, look: { ...near.look, bright: 0 } }
    const bright = { ...near, look: { ...near.look, bright: 1 } }
    const score = (fly: Matched, school: 'exact' | 'bright') =>
      matchFly(fly, stage('dark-olive-nymph'), run, { school, meant: false }).score
    expect(score(bright, 'bright')).toBeGreaterThan(score(drab, 'bright'))
    expect(score(bright, 'exact')).toBe(score(drab, 'exact'))
  })

  it('lets what is meant for a food serve it, unless it is half or twice the size or out of its depth', () => {
    const by = (fly: Matched, key: string, place = run) =>
      [false, true].map((meant) => matchFly(fly, stage(key), place, { school: 'sizeAndStage', meant }).verdict)
    const brown = { ...matched(jigNymph()), look: { ...matched(jigNymph()).look, palette: [{ hexWet: '#a08a60', share: 1 }] } }
    expect(by(brown, 'dark-olive-nymph')).toEqual(['couldPass', 'serves'])
    const huge = { ...brown, look: { ...brown.look, bodyLengthMm: 25 } }
    expect(by(huge, 'dark-olive-nymph')[1]).toBe('doesNot')
    expect(by(matched(hackledDry()), 'dark-olive-nymph')[1]).toBe('doesNot')
  }) // prettier-ignore

  it('takes a fly in that of its ways which shows it best, and not at all where none can', () => {
    const nymph = matched(jigNymph())
    const on = (ways: Matched['ways']) => matchFly({ ...nymph, ways }, stage('dark-olive-nymph'), run)
    expect(on(['dry']).aspects.map(({ code }) => code)).toEqual(['notSo'])
    expect(on(['dry', 'tightLineNymph']).verdict).toBe('serves')
    const swung = on(['swungWets'])
    expect(swung.hardFault).toBe(true)
    expect(swung.aspects.map(({ code }) => code)).toContain('swingsAboveIt')
  })

  it('stays between 0 and 1 for every shipped stage, and is never more than its best aspect', () => {
    const fly = matched(jigNymph())
    for (const food of shippedFoods.flatMap(({ stages }) => stages)) {
      const { score, aspects } = matchFly(fly, { ...food, id: food.key }, run)
      expect(score, food.key).toBeGreaterThanOrEqual(0)
      expect(score, food.key).toBeLessThanOrEqual(1)
      expect(score, food.key).toBeLessThanOrEqual(Math.max(...aspects.map(({ score: own }) => own)) + 1e-9)
    }
  })
})
