import { describe, expect, it } from 'vitest'
import { resolveDressing } from '../dressing/index.ts'
import { evaluateFly, LIST_CONDITIONS } from '../evaluate/index.ts'
import { speedAtHeight } from '../drift/index.ts'
import { jigNymph } from '../testing/shippedMaterial.ts'
import { toEnd } from '../testing/toEnd.ts'
import { waterAt } from '../water/index.ts'
import { ballBody } from './body.ts'
import { drifts } from './carried.ts'
import { bringTo, readTypedRig, rigFishes } from './index.ts'
import type { FishesRig, RigFly, RigInWater } from './index.ts'
import { rateByCounts } from './lineCount.ts'
import { withSetting } from './parts.ts'

const water = waterAt(10)
const RUN = { depthMm: 1100, surfaceMmPerS: 600, roughnessMm: 60 }
const flow = (current: typeof RUN) => (depthMm: number) =>
  speedAtHeight(current, current.depthMm - Math.max(depthMm, 0))

describe('a rig that drifts under a float', () => {
  const leader = (diameterMm: number, lengthMm = 1200) =>
    ({ lengthMm, diameterMm, densityMgPerMm3: 1.14, group: 'leader' }) as const
  const under = (diameterMm: number, current = RUN) =>
    drifts({
      assembled: {
        rig: {
          pieces: [leader(diameterMm)],
          flies: [{ body: ballBody(50, 2.2, water), aboveMm: 0, sideMm: 0 }],
        },
        flies: [0],
        carrier: { diameterMm: 12, massMg: 200, bearsMg: 704 },
      },
      current: flow(current),
      depthMm: current.depthMm,
      water,
    })!

  it('goes at the pace, and as deep, as the shape of its leader alone says', () => {
    const { speedMmPerS, flies, loadMg, holds } = under(0.14)
    expect(Math.abs(speedMmPerS - 524)).toBeLessThan(8)
    expect(Math.abs(flies[0]!.zMm - 998)).toBeLessThan(15)
    expect(Math.abs(-flies[0]!.xMm - 632)).toBeLessThan(15)
    expect(Math.abs(loadMg - 51.8)).toBeLessThan(1)
    expect(holds).toBe(true)
    expect(Math.abs(under(0.1).flies[0]!.zMm - 1015)).toBeLessThan(16)
    expect(Math.abs(under(0.2).flies[0]!.zMm - 978)).toBeLessThan(15)
  })

  it('hangs straight in still water, two flies bearing on it together', () => {
    const { flies, loadMg } = drifts({
      assembled: {
        rig: {
          pieces: [leader(0.15, 1500)],
          flies: [
            { body: ballBody(80, 2.5, water), aboveMm: 0, sideMm: 0 },
            { body: ballBody(20, 1.6, water), aboveMm: 500, sideMm: 150 },
          ],
        },
        flies: [0, 1],
        carrier: { diameterMm: 12, massMg: 200, bearsMg: 704 },
      },
      current: () => 0,
      depthMm: 3000,
      water,
    })!
    expect(Math.abs(flies[0]!.zMm - 1500)).toBeLessThan(2)
    expect(Math.abs(flies[1]!.zMm - 1150)).toBeLessThan(3)
    expect(Math.abs(loadMg - 104.1)).toBeLessThan(0.3)
  })
})

const made = jigNymph()
const resolved = resolveDressing(made.dressing, made.variant, made.materials)
if (resolved.kind !== 'fly') throw new Error(JSON.stringify(resolved.missing))
const report = evaluateFly(resolved, LIST_CONDITIONS)
const nymph: RigFly = {
  model: report.kind === 'sinks' ? { ...report.model, tippet: null } : null,
  dragSdLog: 0.1,
  carries: null,
}
const dry: RigFly = { model: null, dragSdLog: 0.1, carries: { massMg: 40, spareMg: 25 } }

const rig = (text: string, flies: readonly (RigFly | null)[], more: Partial<RigInWater> = {}): RigInWater => ({
  parts: readTypedRig(text, []).flatMap(({ part }) => part ?? []),
  flies,
  way: 'carried',
  water,
  current: RUN,
  overBedMm: 150,
  tipHeightMm: 1700,
  ledMmPerS: 540,
  ...more,
})
const fishes = (input: RigInWater): FishesRig => {
  const found = toEnd(rigFishes(input))
  if (found.kind !== 'fishes') throw new Error(found.why)
  return found
}

describe('where a rig fishes', () => {
  const TWO = 'float 12 mm, 60 cm 0.16, dropper 15 cm, 50 cm 0.14, point'

  it('has the point below the dropper, each with its band, and a setting that trying every one finds too', () => {
    const input = rig(TWO, [nymph, nymph])
    const { moments, toSetMm, hung, carried } = fishes(input)
    const [dropper, point] = moments[0]!.there
    expect(hung).toEqual([0, 1])
    expect(dropper!.depthMm).toBeLessThan(point!.depthMm)
    expect(point!.band!.lowMm).toBeLessThan(point!.depthMm)
    expect(point!.band!.highMm).toBeGreaterThan(point!.depthMm)
    expect(carried!.speedMmPerS).toBeLessThan(RUN.surfaceMmPerS)
    const lowest = (settingMm: number) =>
      Math.max(...toLook(withSetting(input.parts, settingMm)!).there.map(({ depthMm }) => depthMm))
    const toLook = (parts: RigInWater['parts']) => fishes({ ...input, parts, isQuick: true }).moments[0]!
    const tried = Array.from({ length: 60 }, (_, i) => 700 + 20 * i).find((mm) => lowest(mm) >= 950)!
    expect(Math.abs(tried - toSetMm!)).toBeLessThan(40)
    // a leader longer than the water's note allows is never proposed
    expect(fishes({ ...input, maxLeaderMm: toSetMm! + 10 }).toSetMm).toBeCloseTo(toSetMm!, -1)
    expect(fishes({ ...input, maxLeaderMm: toSetMm! - 30 }).toSetMm).toBeNull()
  })

  it('is a little shallower on thicker leader, and refuses what does not carry or is not chosen', () => {
    const at = (text: string) => fishes(rig(text, [nymph])).moments[0]!.there[0]!.depthMm
    expect(at('float 12 mm, 1 m 0.25, point')).toBeLessThan(at('float 12 mm, 1 m 0.12, point'))
    const why = (input: RigInWater) => toEnd(rigFishes(input))
    expect(why(rig(TWO, [nymph, null]))).toMatchObject({ kind: 'not', why: 'noFly' })
    expect(why(rig('1 m 0.14, point', [nymph]))).toMatchObject({ why: 'nothingCarries' })
    expect(why(rig(TWO, [nymph, nymph], { way: 'tight' }))).toMatchObject({ why: 'isCarried' })
    expect(why(rig('dry, 60 cm 0.14, point', [nymph, nymph]))).toMatchObject({ why: 'dryDoesNotFloat' })
    expect(why(rig('float 12 mm, dry, 60 cm 0.14, point', [dry, nymph]))).toMatchObject({ why: 'twoCarriers' })
    expect(why(rig('float 12 mm, point', [nymph]))).toMatchObject({ why: 'noLeader' })
  })

  it('asks of a dry whether it bears what hangs from it', () => {
    const calm = { current: { ...RUN, surfaceMmPerS: 300 } }
    const bears = (spareMg: number) =>
      fishes(rig('dry, 60 cm 0.14, point', [{ ...dry, carries: { massMg: 40, spareMg } }, nymph], calm))
        .carried!
    const { loadMg } = bears(25)
    expect(bears(loadMg + 1).holds).toBe(true)
    expect(bears(loadMg - 1).holds).toBe(false)
    expect(fishes(rig('dry, 60 cm 0.14, point', [dry, nymph], calm)).hung).toEqual([1])
  })

  it('hangs as a tight line from the tip, without its fly line, and falls as a cast that is counted', () => {
    const leader = '2 m 0.20, 1.4 m 0.13, point'
    const tight = (text: string) =>
      fishes(rig(text, [nymph], { way: 'tight', current: { ...RUN, depthMm: 900 } }))
    expect(tight(`12 m floating line, ${leader}`).moments[0]!.there[0]!.depthMm).toBeCloseTo(
      tight(leader).moments[0]!.there[0]!.depthMm,
      6,
    )
    const lake = { way: 'counted', current: { depthMm: 5000, surfaceMmPerS: 0, roughnessMm: 0 } } as const
    const counted = fishes(rig(`12 m sinking line 1.0 at 7.5 cm/s, 1.5 m 0.20, point`, [nymph], lake))
    expect(counted.moments).toHaveLength(61)
    const depths = counted.moments.map(({ there }) => there[0]!.depthMm)
    expect(depths[30]!).toBeGreaterThan(depths[15]!)
    expect(counted.moments[30]!.there[0]!.band!.highMm).toBeGreaterThan(depths[30]!)
  })

  it('sinks deeper with a shot pinched on', () => {
    const at = (text: string) => fishes(rig(text, [nymph], { way: 'tight' })).moments[0]!.there[0]!.depthMm
    expect(at('2 m 0.20, 1 m 0.13, shot 0.1 g, 20 cm 0.13, point')).toBeGreaterThan(
      at('2 m 0.20, 1 m 0.13, 20 cm 0.13, point'),
    )
  })
})

describe('a rig brought to a depth', () => {
  const FLOAT = 'float 12 mm, 60 cm 0.16, dropper 15 cm, 50 cm 0.14, point'
  const depthsOf = (input: RigInWater) =>
    fishes({ ...input, isQuick: false }).moments[0]!.there.map(({ depthMm }) => depthMm)

  it('is left as it is where one of its flies is there already', () => {
    const input = rig(FLOAT, [nymph, nymph])
    const [dropper] = depthsOf(input)
    const there = { fromMm: dropper! - 30, toMm: dropper! + 30 }
    expect(bringTo(input, there)).toMatchObject({ kind: 'asIs', fly: 0, depthMm: dropper })
  })

  it('is set so that its lowest fly comes into the middle, and says where nothing does', () => {
    const input = rig(FLOAT, [nymph, nymph], { current: { ...RUN, depthMm: 2500 } })
    const found = bringTo(input, { fromMm: 1600, toMm: 2000 })
    if (found.kind !== 'set') throw new Error(found.kind)
    expect(found.fly).toBe(1)
    const [, point] = depthsOf({ ...input, parts: withSetting(input.parts, found.settingMm)! })
    expect(Math.abs(point! - 1800)).toBeLessThan(12)
    expect(bringTo(input, { fromMm: 50, toMm: 90 })).toEqual({ kind: 'no' })
    // the dropper, where that is the one asked for: it needs the longer setting
    const upper = bringTo({ ...input, askedFly: 0 }, { fromMm: 1600, toMm: 2000 })
    if (upper.kind !== 'set') throw new Error(upper.kind)
    expect(upper.fly).toBe(0)
    expect(upper.settingMm).toBeGreaterThan(found.settingMm)
    const [dropper] = depthsOf({ ...input, parts: withSetting(input.parts, upper.settingMm)! })
    expect(Math.abs(dropper! - 1800)).toBeLessThan(12)
    // a long piece above its point lets it be set no shorter: as near to the middle as that
    const long = rig('float 12 mm, 30 cm 0.16, dropper 15 cm, 80 cm 0.16, point', [nymph, nymph])
    const nearest = bringTo({ ...long, askedFly: 1 }, { fromMm: 500, toMm: 850 })
    expect(nearest).toMatchObject({ kind: 'set', settingMm: 840 })
    expect(bringTo({ ...long, askedFly: 1 }, { fromMm: 500, toMm: 700 })).toEqual({ kind: 'no' })
    // what another fly does is no answer
    const [upperMm] = depthsOf(input)
    const there = { fromMm: upperMm! - 9, toMm: upperMm! + 9 }
    expect(bringTo(input, there)).toMatchObject({ kind: 'asIs', fly: 0 })
    expect(bringTo({ ...input, askedFly: 1 }, there)).toMatchObject({ kind: 'set', fly: 1 })
  })

  it('is led at a pace that brings it there', () => {
    const input = rig('2 m 0.20, 1.6 m 0.13, point', [nymph], { way: 'tight', ledMmPerS: 680 })
    const found = bringTo(input, { fromMm: 880, toMm: 920 })
    if (found.kind !== 'lead') throw new Error(found.kind)
    expect(Math.abs(depthsOf({ ...input, ledMmPerS: found.ledMmPerS })[0]! - 900)).toBeLessThan(12)
  })

  it('is counted while a fly is there: the point first, then the others', () => {
    const lake = { way: 'counted', current: { depthMm: 6000, surfaceMmPerS: 0, roughnessMm: 0 } } as const
    const input = rig('12 m sinking line 1.0 at 7.5 cm/s, 1.5 m 0.20, point', [nymph], lake)
    const found = bringTo(input, { fromMm: 1000, toMm: 1800 })
    if (found.kind !== 'count') throw new Error(found.kind)
    const at = (s: number) => fishes(input).moments[s]!.there[0]!.depthMm
    expect(at(found.fromS)).toBeGreaterThanOrEqual(1000)
    expect(at(found.fromS - 1)).toBeLessThan(1000)
    expect(at(found.toS)).toBeLessThanOrEqual(1800)
    expect(at(found.toS + 1)).toBeGreaterThan(1800)
  })
})

describe('a line that was counted', () => {
  const lake = { way: 'counted', current: { depthMm: 6000, surfaceMmPerS: 0, roughnessMm: 0 } } as const
  // a heavy nymph is down long before its line: of that its count says nothing
  const light: RigFly = { ...nymph, model: { ...nymph.model!, submergedMg: 0.1 * nymph.model!.submergedMg } }
  const at = (rate: string, more: Partial<RigInWater> = {}) =>
    rig(`12 m sinking line 1.0 at ${rate} cm/s, 1.5 m 0.20, point`, [light], { ...lake, ...more })
  /** seconds to a depth of a line that sinks as it says */
  const count = (rate: string, depthMm: number) => {
    const bed = { current: { ...lake.current, depthMm: depthMm + 1 } }
    const depths = fishes(at(rate, { ...bed, isQuick: false })).moments.map(({ there }) => there[0]!.depthMm)
    const after = depths.findIndex((mm) => mm >= depthMm)
    return after - 1 + (depthMm - depths[after - 1]!) / (depths[after]! - depths[after - 1]!)
  }

  it('is taken nearer to what its counts say, the nearer the more there are', () => {
    // the line sinks at 0.8 of what its spool says
    const slow = { depthMm: 2000, countS: count('6.0', 2000), waterTempC: 10 }
    const once = rateByCounts(at('7.5'), [slow])!
    expect(once.reckonedS[0]).toBeLessThan(slow.countS)
    expect(once.factor).toBeGreaterThan(0.8)
    expect(once.factor).toBeLessThan(0.95)
    const often = rateByCounts(
      at('7.5'),
      Array.from({ length: 100 }, () => slow),
    )!
    expect(often.factor).toBeLessThan(once.factor)
    expect(Math.abs(often.factor - 0.8)).toBeLessThan(0.02)
    expect(often.sdLog).toBeLessThan(once.sdLog)
    expect(once.sdLog).toBeLessThan(0.15 / 1.28155)
  })

  it('fishes higher then, within a narrower band, and a count that agrees changes nothing', () => {
    const plain = fishes(at('7.5')).moments[30]!.there[0]!
    const slow = { depthMm: 2000, countS: count('6.0', 2000), waterTempC: 10 }
    const lineRate = rateByCounts(at('7.5'), [slow, slow, slow])!
    const corrected = fishes(at('7.5', { lineRate })).moments[30]!.there[0]!
    expect(corrected.depthMm).toBeLessThan(plain.depthMm)
    const wide = ({ band }: typeof plain) => band!.highMm - band!.lowMm
    expect(wide(corrected)).toBeLessThan(wide(plain))
    const agrees = rateByCounts(at('7.5'), [{ depthMm: 2000, countS: count('7.5', 2000), waterTempC: 10 }])!
    expect(Math.abs(agrees.factor - 1)).toBeLessThan(0.01)
  })

  it('learns next to nothing from what does not depend on it', () => {
    const heavy = { ...at('7.5'), flies: [nymph] }
    const shallow = rateByCounts(heavy, [{ depthMm: 2000, countS: 20, waterTempC: 10 }])!
    expect(shallow.reckonedS[0]).toBeCloseTo(17.8, 0)
    expect(Math.abs(Math.log(shallow.factor))).toBeLessThan(0.05)
    expect(shallow.sdLog).toBeGreaterThan(0.1)
  })

  it('says nothing without a count that can be', () => {
    expect(rateByCounts(at('7.5'), [{ depthMm: 60_000, countS: 30, waterTempC: 10 }])).toBeNull()
    expect(rateByCounts(at('7.5'), [])).toBeNull()
  })
})
