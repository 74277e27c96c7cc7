import { describe, expect, it } from 'vitest'
import { speedAtHeight } from '../drift/index.ts'
import type { Current } from '../drift/index.ts'
import { waterAt } from '../water/index.ts'
import {
  ball, broadsideMmPerS, densityByRate, densityByWeight, driftBand, driftOf, heldAtSurface, leaderFor, LEADER_MG_PER_MM3, readSpool, shoot, spoolProperties,
  submergedMgPerMm, tippetDiameterMm,
} from './index.ts' // prettier-ignore
import type { LinePiece } from './index.ts'

const water = waterAt(10)
const line = (lengthMm: number, diameterMm = 1, densityMgPerMm3 = 1.44): LinePiece => ({ lengthMm, diameterMm, densityMgPerMm3, group: 'line' }) // prettier-ignore
const nylon = (lengthMm: number, diameterMm: number): LinePiece => ({ lengthMm, diameterMm, densityMgPerMm3: LEADER_MG_PER_MM3.nylon, group: 'leader' }) // prettier-ignore
const current = (depthMm: number, surfaceMmPerS: number, roughnessMm: number) => {
  const water: Current = { depthMm, surfaceMmPerS, roughnessMm }
  return (atMm: number) => speedAtHeight(water, depthMm - Math.max(atMm, 0))
}
/** Within a share of what it should be. */
const near = (found: number, wanted: number, share: number) =>
  expect(Math.abs(found / wanted - 1), `${found} for ${wanted}`).toBeLessThan(share)

describe('a line', () => {
  it('weighs in water what its section says, and sinks level by it', () => {
    near(1000 * submergedMgPerMm(line(1), water), 345.8, 0.005)
    near(broadsideMmPerS(line(1), water), 64.1, 0.005)
    near(broadsideMmPerS({ diameterMm: 0.2, densityMgPerMm3: LEADER_MG_PER_MM3.nylon }, water), 6.63, 0.01)
    near(
      broadsideMmPerS({ diameterMm: 0.2, densityMgPerMm3: LEADER_MG_PER_MM3.fluorocarbon }, water),
      23.4,
      0.01,
    )
    expect(broadsideMmPerS(line(1, 1.1, 0.86), water)).toBeLessThan(0)
  })

  it('is as heavy as its spool says by rate or by grains, and where both are said they are held against each other', () => {
    expect(densityByRate(1, 75, 10)).toBeCloseTo(1.584, 2)
    expect(densityByRate(1, 75)).toBeCloseTo(1.553, 2)
    near(densityByWeight(1, 160 * 64.799, 9144), 1.444, 0.002)
    const both = readSpool({ diameterMm: 1, rateMmPerS: 75, weight: { massMg: 160 * 64.799, lengthMm: 9144 } })
    expect(both?.densityMgPerMm3).toBeCloseTo(1.444, 2)
    near(both?.disagree ?? 0, 1.553 / 1.444, 0.01)
    expect(both?.isDoubtful).toBe(false)
    expect(readSpool({ diameterMm: 0.5, rateMmPerS: 150, weight: null })?.isDoubtful).toBe(true)
    expect(readSpool({ diameterMm: 1, rateMmPerS: null, weight: null })).toBeNull()
    // rate alone is known to a seventh, weight to a thirtieth
    const [rate, weight] = [{ rateMmPerS: 75, weight: null }, { rateMmPerS: null, weight: { massMg: 10_368, lengthMm: 9144 } }].map((said) => spoolProperties({ diameterMm: 1, ...said })!.densityMgPerMm3) // prettier-ignore
    expect(densityByRate(1, 75 * 1.15)).toBeGreaterThan(rate!.high * 0.99)
    near(weight!.high / weight!.value, 1.03, 0.002)
    expect(tippetDiameterMm(5)).toBeCloseTo(0.152, 3)
  })
})

describe('a line that is held in a steady flow', () => {
  const NO_FLY = ball(0, 0.01, water)
  it.each([
    [200, 18.14],
    [100, 34.96],
  ])('towed at %s mm/s runs at %s° to the flow', (speed, deg) => {
    const { points } = shoot({ fly: NO_FLY, pieces: [line(12_000)], flow: () => speed, water }, 0)
    const [first, last] = [points[0]!, points.at(-1)!]
    near(
      (Math.atan2(first.zMm - last.zMm, last.xMm === 0 ? 1 : Math.abs(last.xMm)) * 180) / Math.PI,
      deg,
      0.005,
    )
  })

  it('takes a fly down as far as shooting has it', () => {
    const pieces = [nylon(2000, 0.2), line(10_000)]
    const fly = ball(100, 3, water)
    const { points } = shoot({ fly, pieces, flow: () => 200, water }, 0)
    near(-points.at(-1)!.zMm, 3475, 0.01)
  })

  it('hangs straight in still water, and its loads add', () => {
    const pieces = [nylon(1500, 0.15)]
    const { points, hold } = shoot({ fly: ball(80, 2, water), pieces, flow: () => 0, water }, 1500)
    expect(points.at(-1)!.zMm).toBeCloseTo(0, 3)
    near(-hold.zMm, 80 + 1500 * submergedMgPerMm(pieces[0]!, water), 0.001)
  })

  it('at the end of a swing lies in the current as deep as shooting has it', () => {
    const flow = current(2000, 500, 60)
    const pieces = [nylon(1500, 0.2), line(12_000)]
    const { points } = heldAtSurface({ fly: ball(40, 4, water), pieces, flow, water })
    near(points[0]!.zMm, 1777, 0.04)
  })
})

describe('a float', () => {
  const rig = (lengthMm: number, diameterMm = 0.14) => ({
    float: { massMg: 200, diameterMm: 12 },
    fly: ball(50, 2.2, water),
    pieces: [nylon(lengthMm, diameterMm)],
    current: current(1100, 600, 60),
    water,
  })

  it('drifts slower than the surface, its fly behind it and less deep than it is set', () => {
    const found = driftOf(rig(1200))
    near(found.speedMmPerS, 524, 0.015)
    near(found.depthMm, 998, 0.015)
    near(found.lagMm, 632, 0.015)
    near(found.loadMg, 51.8, 0.015)
    expect(found.holds).toBe(true)
  })

  it('fishes deeper on thinner leader', () => {
    near(driftOf(rig(1200, 0.1)).depthMm, 1015, 0.015)
    near(driftOf(rig(1200, 0.2)).depthMm, 978, 0.015)
  })

  it('hangs what it holds straight down in still water, and is drawn under by too much', () => {
    const still = { ...rig(1500, 0.15), fly: ball(80, 2, water), current: () => 0 }
    near(driftOf(still).depthMm, 1500, 0.001)
    const under = driftOf({ ...still, float: { massMg: 200, diameterMm: 6 } })
    expect(under.holds).toBe(false)
  })

  it('is set so that the fly drifts at a depth, as trying every length finds it', () => {
    const set = leaderFor((mm) => rig(mm), 950) ?? NaN
    near(set, 1060, 0.015)
    near(driftOf(rig(set)).depthMm, 950, 0.002)
    const tried = Array.from({ length: 60 }, (_, i) => 950 + 10 * i).find(
      (mm) => driftOf(rig(mm)).depthMm >= 950,
    )
    expect(Math.abs((tried ?? 0) - set)).toBeLessThanOrEqual(10)
    // a fly that the water carries is not brought down by more leader
    expect(leaderFor((mm) => ({ ...rig(mm), fly: ball(0.2, 4, water) }), 1050)).toBeNull()
  })

  it('has a band that grows with what is not known of the fly', () => {
    const flyOff = (factor: number) => ({
      submergedMg: 50,
      dragMg: (speed: number) => factor * ball(50, 2.2, water).dragMg(speed),
    })
    const [sure, unsure] = [driftBand(rig(1200), flyOff, 0.05), driftBand(rig(1200), flyOff, 0.5)]
    expect(sure.lowMm).toBeLessThan(998)
    expect(sure.highMm).toBeGreaterThan(998)
    expect(unsure.highMm - unsure.lowMm).toBeGreaterThan(sure.highMm - sure.lowMm)
  })
})
