import { describe, expect, it } from 'vitest'
import { depthAtTime, LIST_CONDITIONS, NOTHING_MEASURED, USUAL_TIPPET } from '../../../core/index.ts'
import type { Current } from '../../../core/index.ts'
import type { PatternView } from '../../../contract/index.ts'
import { jigNymph, recipe, shippedMaterial } from '../../../core/testing/shippedMaterial.ts'
import type { MaterialBook } from '../../recipe/useMaterialBook.ts'
import { depthGone, downwards, placeOf, putInTank, secondsApart } from './tankFlies.ts'

type Recipe = ReturnType<typeof recipe>

const patternOf = ({ dressing, variant }: Recipe, name: string, id: string) =>
  ({ name, dressing, variants: [{ ...variant, id, label: '#16' }] }) as unknown as PatternView
const bookOf = ({ materials }: Recipe) => ({ materials }) as unknown as MaterialBook
const water = { conditions: { ...LIST_CONDITIONS, tippet: { ...USUAL_TIPPET, lengthMm: 4000 } }, depthMm: 900 }

const nymph = jigNymph()
const foam = shippedMaterial('foam-closed-medium', '4')
const floater = recipe(shippedMaterial('hook-straight', '12', 'bronze'), [
  { key: 'body', kind: 'foam', material: foam, at: [0.1, 1], side: 'above' },
])
const put = (of: Recipe, depthMm = 900) =>
  putInTank('id', [patternOf(of, 'Some', 'id')], bookOf(of), { measured: NOTHING_MEASURED } as never, {
    ...water,
    depthMm,
  })!

describe('a variant in the tank', () => {
  it('is called by pattern and variant, and is none where there is none of that id', () => {
    expect(put(nymph).name).toBe('Some #16')
    expect(putInTank('other', [patternOf(nymph, 'Some', 'id')], bookOf(nymph), undefined, water)).toBeNull()
  })

  it('is none while a material of it is not known', () => {
    const bare = { materials: new Map() } as unknown as MaterialBook
    expect(putInTank('id', [patternOf(nymph, 'Some', 'id')], bare, undefined, water)).toBeNull()
  })

  it('that sinks goes down to the bed, not further, with the ends of its band', () => {
    const fly = put(nymph)
    const { report } = fly
    if (report.kind !== 'sinks') throw new Error(report.kind)
    expect(fly.risesFromMm).toBeNull()
    expect(fly.descent!.points.at(-1)!.depthMm).toBeCloseTo(900, 3)
    const { value, low, high } = report.trailing!.sinkSpeedMmPerS
    expect(fly.spread!.low * value).toBeCloseTo(low, 9)
    expect(fly.spread!.high * value).toBeCloseTo(high, 9)
    expect(fly.spread!.low).toBeLessThan(1)
    expect(fly.spread!.high).toBeGreaterThan(1)
    // a bead of tungsten is down in less than the ten seconds that a speed of 90 mm/s would take
    expect(fly.descent!.points.at(-1)!.timeS).toBeLessThan(10)
  })

  it('swings where its tippet is stretched before it is down', () => {
    const short = { ...water, conditions: { ...water.conditions, tippet: USUAL_TIPPET } }
    const fly = putInTank('id', [patternOf(nymph, 'Some', 'id')], bookOf(nymph), undefined, short)!
    expect(fly.descent!.stretchedAtMm).toBe(500)
    expect(placeOf(fly, 60, null).depthMm).toBeCloseTo(500, 6)
  })

  it('that floats comes up from the bed, if anything moves it', () => {
    const fly = put(floater)
    expect(fly.report.kind).toBe('floats')
    expect(fly.risesFromMm).toBe(900)
    expect(downwards(fly)).toBeNull()
    expect(depthGone(fly, 0)).toBe(900)
    expect(depthGone(fly, 300)).toBe(600)
    expect(depthGone(fly, 5000)).toBe(0)
    const [start, end] = [0, 60].map((timeS) => placeOf(fly, timeS, null).depthMm)
    expect(start).toBeCloseTo(900, 6)
    expect(end).toBeLessThan(start!)
  })
})

describe('where it is', () => {
  const fly = put(nymph)
  const lastS = fly.descent!.points.at(-1)!.timeS
  const even: Current = { depthMm: 900, surfaceMmPerS: 500, roughnessMm: 20 }

  it('is as deep as its fall says, and stays where it has landed', () => {
    for (const share of [0, 0.3, 0.7, 1])
      expect(placeOf(fly, share * lastS, null).depthMm).toBeCloseTo(depthAtTime(fly.descent!, share * lastS), 9)
    expect(placeOf(fly, lastS * 4, null)).toEqual(placeOf(fly, lastS, null))
    expect(placeOf(fly, lastS, null).driftMm).toBe(0)
  })

  it('drifts on as long as it falls, and one that stays does neither', () => {
    const drifts = [0.25, 0.5, 1].map((share) => placeOf(fly, share * lastS, even).driftMm)
    expect(drifts[0]).toBeGreaterThanOrEqual(0)
    expect(drifts).toEqual(drifts.toSorted((a, b) => a - b))
    expect(placeOf({ ...fly, descent: null }, 3, even)).toEqual({ depthMm: 0, driftMm: 0 })
  })
})

describe('marks down a lane', () => {
  it('are as few seconds apart as keep them from touching, whatever the scale', () => {
    const { descent } = put(nymph, 3000)
    const last = descent!.points.at(-1)!
    const pxPerS = (pxPerMm: number) => (last.depthMm * pxPerMm) / Math.floor(last.timeS)
    const steps = [1, 2, 5, 10, 20, 30, 60]
    for (const pxPerMm of [1, 0.3, 0.1, 0.05, 0.02, 0.005]) {
      const apart = secondsApart(descent!, pxPerMm)
      expect(steps).toContain(apart)
      if (apart < 60) expect(apart * pxPerS(pxPerMm)).toBeGreaterThan(13)
      const smaller = steps[steps.indexOf(apart) - 1]
      if (smaller) expect(smaller * pxPerS(pxPerMm)).toBeLessThanOrEqual(13)
    }
    expect(secondsApart({ ...descent!, points: [] }, 1)).toBe(60)
  })
})
