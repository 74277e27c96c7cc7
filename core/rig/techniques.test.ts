import { describe, expect, it } from 'vitest'
import { resolveDressing } from '../dressing/index.ts'
import { evaluateFly, LIST_CONDITIONS } from '../evaluate/index.ts'
import { jigNymph } from '../testing/shippedMaterial.ts'
import { toEnd } from '../testing/toEnd.ts'
import { countedDown, densityByRate, onTightLine } from './index.ts'
import type { CountedDown, OnTightLine, RigInWater, RigPart } from './index.ts'
import { rigLies } from './inWater.ts'
import { rigFishes } from './rigFishes.ts'
import { hangTight } from './tightLine.ts'
import { flyBody } from './body.ts'

const made = jigNymph()
const resolved = resolveDressing(made.dressing, made.variant, made.materials)
if (resolved.kind !== 'fly') throw new Error(JSON.stringify(resolved.missing))
const report = evaluateFly(resolved, LIST_CONDITIONS)
const model = report.kind === 'sinks' ? { ...report.model, tippet: null } : null
const nylon = (lengthMm: number, diameterMm: number) => ({ lengthMm, diameterMm, densityMgPerMm3: 1.14 })

describe('a nymph on a tight line', () => {
  const input = (more: Partial<OnTightLine> = {}): OnTightLine => ({
    model: model!,
    dragSdLog: 0.1,
    upper: nylon(2000, 0.2),
    tippet: nylon(1400, 0.13),
    tipHeightMm: 1700,
    ledMmPerS: 560,
    current: { depthMm: 900, surfaceMmPerS: 600, roughnessMm: 60 },
    overBedMm: 150,
    ...more,
  })

  it('is led at the pace that brings it there, as trying every pace finds it', () => {
    const found = toEnd(onTightLine(input()))!
    const led = found.toLeadMmPerS!
    const at = (ledMmPerS: number) => toEnd(onTightLine(input({ ledMmPerS })))!.hung.fliesMm[0]!
    expect(Math.abs(at(led) - 750)).toBeLessThan(10)
    const paces = Array.from({ length: 24 }, (_, i) => 720 - 20 * i)
    const tried = paces.find((pace) => at(pace) >= 750)!
    expect(tried).toBeLessThanOrEqual(led)
    expect(led - tried).toBeLessThan(21)
  })

  it('hangs a little deeper on finer tippet, within what is not known of it', () => {
    const { hung, band, finerMm } = toEnd(onTightLine(input({ ledMmPerS: 600 })))!
    const [depthMm = 0] = hung.fliesMm
    expect(finerMm).toBeGreaterThan(depthMm)
    expect(band.lowMm).toBeLessThan(depthMm)
    expect(band.highMm).toBeGreaterThan(depthMm)
    expect(band.highMm).toBeLessThanOrEqual(900)
    // what one X finer buys is reckoned as the rest is
    const fine = hangTight({
      rig: {
        pieces: [
          { ...nylon(2000, 0.2), group: 'leader' },
          { ...nylon(1400, 0.13 - 0.0254), group: 'leader' },
        ],
        flies: [{ body: flyBody(model!), aboveMm: 0, sideMm: 0 }],
      },
      tipHeightMm: 1700,
      depthMm: 900,
      ledMmPerS: 600,
      current: (z) => (600 * Math.log1p((900 - Math.max(z, 0)) / 2)) / Math.log1p(450),
      water: model!.water,
    })!
    expect(fine.fliesMm[0]! / finerMm!).toBeCloseTo(1, 3)
  })
})

describe('a nymph counted down', () => {
  const input = (more: Partial<CountedDown> = {}): CountedDown => ({
    model: model!,
    dragSdLog: 0.1,
    line: { lengthMm: 12_000, diameterMm: 1, densityMgPerMm3: densityByRate(1, 75) },
    lineOffMgPerMm3: densityByRate(1, 84),
    leader: nylon(2700, 0.2),
    bedMm: 4000,
    wantedMm: 2000,
    ...more,
  })

  it('is told at once, then with a band; the count to a depth lies between its rows', () => {
    const work = countedDown(input())
    const first = work.next()
    const soFar = first.done ? [] : first.value.soFar.rows
    expect(soFar.map(({ band }) => band)).toEqual(soFar.map(() => null))
    const { rows, toWantedS } = toEnd(countedDown(input()))
    expect(rows.map(({ depthMm }) => depthMm)).toEqual(soFar.map(({ depthMm }) => depthMm))
    for (const { band, depthMm, onBed } of rows) {
      if (onBed) continue
      expect(band!.lowMm).toBeLessThan(depthMm)
      expect(band!.highMm).toBeGreaterThan(depthMm)
    }
    const after = rows.find(({ depthMm }) => depthMm >= 2000)!
    const before = rows.findLast(({ depthMm }) => depthMm < 2000)!
    expect(toWantedS).toBeGreaterThan(before.countS)
    expect(toWantedS).toBeLessThanOrEqual(after.countS)
  })

  it('lies on the bed in the end, of which no more rows are told, and no count leads below it', () => {
    const { rows, toWantedS } = toEnd(countedDown(input({ bedMm: 1500 })))
    expect(rows.filter(({ onBed }) => onBed)).toHaveLength(1)
    expect(rows.at(-1)!.onBed).toBe(true)
    expect(rows.at(-1)!.depthMm).toBe(1500)
    expect(toWantedS).toBeNull()
  })
})

describe('a rig that is swung', () => {
  const parts = (line: Partial<Extract<RigPart, { kind: 'line' }>>): readonly RigPart[] => [
    { kind: 'line', sort: 'floating', lengthMm: 10_000, diameterMm: 1.1, rateMmPerS: null, ...line },
    { kind: 'tippet', lengthMm: 3000, diameterMm: 0.2, stuff: 'nylon' },
    { kind: 'point', fly: 'a' },
  ]
  const input = (more: Partial<RigInWater> = {}): RigInWater => ({
    ...{
      parts: parts({}),
      flies: [{ model, dragSdLog: 0.1, carries: null }],
      way: 'swung',
      water: model!.water,
    },
    ...{ current: { depthMm: 1500, surfaceMmPerS: 500, roughnessMm: 60 }, overBedMm: 150 },
    ...{ tipHeightMm: 1700, ledMmPerS: 0 },
    ...more,
  })
  const swung = (more: Partial<RigInWater> = {}) => {
    const found = rigLies(input(more), more.parts ?? parts({}))
    if ('kind' in found) throw new Error(found.why)
    return found.moments
  }

  it('comes round to hang below the rod, on a floating line within a fifth of where it hangs in the end', () => {
    const moments = swung()
    const bearings = moments.map(({ bearingDeg = 0 }) => bearingDeg)
    expect(bearings[0]).toBeCloseTo(60, 6)
    expect(bearings.slice(1).every((deg, i) => deg <= bearings[i]! + 0.01)).toBe(true)
    expect(bearings.at(-1)).toBeLessThan(25)
    const end = moments.at(-1)!.flies[0]!.zMm
    const later = moments.slice(8).map(({ flies }) => flies[0]!.zMm / end)
    expect(Math.max(...later)).toBeLessThan(1.25)
    expect(Math.min(...later)).toBeGreaterThan(0.75)
  })

  it('on a sinking line goes down by time, deeper where it is cast further down', () => {
    const line = { sort: 'sinking', rateMmPerS: 100, diameterMm: 1 } as const
    const [across, down] = [70, 30].map((castDeg) => swung({ parts: parts(line), castDeg }))
    const depthAt = (moments: typeof across, s: number) => moments![s]!.flies[0]!.zMm
    expect(depthAt(across, 20)).toBeGreaterThan(2 * depthAt(across, 8))
    expect(depthAt(down, 10)).not.toBeCloseTo(depthAt(across, 10), 0)
    expect(depthAt(across, 20)).toBeGreaterThan(3 * depthAt(swung(), 20))
  })

  it('tells its band by the second; in still water nothing swings', () => {
    const found = toEnd(rigFishes(input()))
    if (found.kind !== 'fishes') throw new Error(found.why)
    const { there } = found.moments[20]!
    expect(there[0]!.band!.lowMm).toBeLessThan(there[0]!.depthMm)
    expect(there[0]!.band!.highMm).toBeGreaterThan(there[0]!.depthMm)
    const still = { depthMm: 1500, surfaceMmPerS: 0, roughnessMm: 60 }
    expect(rigLies(input({ current: still }), parts({}))).toMatchObject({ why: 'nothingRuns' })
  })
})
