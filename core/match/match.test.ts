import { describe, expect, it } from 'vitest'
import { resolveDressing } from '../dressing/index.ts'
import { behaviourOf, evaluateFly, LIST_CONDITIONS, USUAL_TIPPET } from '../evaluate/index.ts'
import { shippedFoods } from '../season/shipped/larder.ts'
import { hackledDry, jigNymph } from '../testing/shippedMaterial.ts'
import { matchFly } from './index.ts'
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
  return { behaviour: behaviourOf(report), bodyLengthMm: fly.hook.hookLengthMm, bodyHexWet: '#463c24' }
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
    const { score, aspects } = matchFly(matched(jigNymph()), stage('dark-olive-nymph'), run)
    expect(aspects.map(({ code }) => code)).toEqual(['sizeRight', 'depthRight', 'colourNear'])
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
})
