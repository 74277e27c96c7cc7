import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { resolveDressing } from '../dressing/index.ts'
import type { Fly } from '../dressing/index.ts'
import { evaluateFly, LIST_CONDITIONS, UNCALIBRATED, USUAL_TIPPET } from '../evaluate/index.ts'
import { flyDrag, tippetPull } from '../sink/index.ts'
import { trials } from '../testing/generatedFlies.ts'
import { stepsOf } from '../testing/steps.ts'
import { GRAVITY_MM_PER_S2 } from '../water/index.ts'
import { jigNymph, recipe, shippedMaterial } from '../testing/shippedMaterial.ts'
import { condition, solveCovariance } from './gaussian.ts'
import { contradictions, likelyMetal, massFactorOf, readDrop, shrinkDrag, wallFactor } from './index.ts'
import type { DropReading, DropTest, GoodsWeighing } from './index.ts'

function flyOf(made: ReturnType<typeof recipe>): Fly {
  const resolved = resolveDressing(made.dressing, made.variant, made.materials)
  if (resolved.kind !== 'fly') throw new Error(JSON.stringify(resolved.missing))
  return resolved
}

const marabouNymph = (hook = '10', tail = 60) =>
  flyOf(
    recipe(shippedMaterial('hook-heavy-2xl', hook), [
      { key: 'eyes', kind: 'eyes', material: shippedMaterial('eyes-bead-chain', '3.0'), at: [0.05, 0.1] },
      { key: 'thread', kind: 'thread', material: shippedMaterial('thread-nylon', '70'), at: [0, 1] },
      {
        key: 'tail',
        kind: 'tail',
        material: shippedMaterial('marabou-plume'),
        at: [1, 1],
        fibreCount: tail,
        length: { factor: 1, of: 'shank' },
      },
      {
        key: 'body',
        kind: 'body',
        material: shippedMaterial('dubbing-fine-synthetic'),
        at: [0.1, 1],
        bulk: 0.1,
      },
    ]),
  )

const TUBE: Omit<DropTest, 'timesS'> = {
  id: 'a',
  variantId: 'one',
  depthMm: 1200,
  timing: 'film',
  waterTempC: 10,
  vesselMm: null,
  tippet: null,
  wet: 'soaked',
}

function read(fly: Fly, test: Partial<DropTest>): DropReading {
  const outcome = readDrop({ ...TUBE, timesS: [1], ...test }, fly, UNCALIBRATED)
  if (outcome.kind !== 'read') throw new Error(outcome.kind)
  return outcome
}

/** Times at which a fly falls this share of its estimate. */
function timesAt(fly: Fly, ratio: number, test: Partial<DropTest> = {}): readonly number[] {
  const { estimateMmPerS } = read(fly, test)
  const timeS = (test.depthMm ?? TUBE.depthMm) / estimateMmPerS / ratio
  return [timeS * 0.99, timeS, timeS * 1.01]
}

const target = (reading: DropReading, variantId = reading.variantId) => ({ variantId, shares: reading.shares })

describe('a timed drop', () => {
  const fly = flyOf(jigNymph())

  it('moves a fly most of the way to what was seen, and narrows its band', () => {
    const reading = read(fly, { timesS: timesAt(fly, 0.85) })
    expect(reading.ratio).toBeCloseTo(0.85, 2)
    const shrunk = shrinkDrag([reading], target(reading))
    const before = evaluateFly(fly, LIST_CONDITIONS)
    const after = evaluateFly(fly, LIST_CONDITIONS, { ...UNCALIBRATED, ...shrunk })
    if (before.kind !== 'sinks' || after.kind !== 'sinks') throw new Error('it should sink')
    const [was, is] = [before.free.sinkSpeedMmPerS, after.free.sinkSpeedMmPerS]
    expect(is.value / was.value).toBeGreaterThan(0.84)
    expect(is.value / was.value).toBeLessThan(0.9)
    expect(is.high / is.value - 1).toBeLessThan(0.09)
    expect(is.basis).toContain('timed')
  })

  it('moves nothing where it agrees with the estimate', () => {
    const reading = read(fly, { timesS: timesAt(fly, 1) })
    expect(shrinkDrag([reading], target(reading)).dragMultiplier).toBeCloseTo(1, 1)
  })

  it('never narrows to nothing, however often it is repeated', () => {
    const readings = Array.from({ length: 40 }, (_, i) =>
      read(fly, { id: String(i), timesS: timesAt(fly, 0.9) }),
    )
    const first = readings[0]
    if (!first) throw new Error('no reading')
    expect(shrinkDrag(readings, target(first)).dragSdLog).toBeGreaterThan(0.03)
  })

  it('flags a time that lies off the others and reads the rest', () => {
    const times = [...timesAt(fly, 0.9), 9]
    const reading = read(fly, { timesS: times })
    expect(reading.outliers).toEqual([3])
    expect(reading.ratio).toBeCloseTo(0.9, 2)
  })

  it('asks whether the depth was in another unit where nothing on a hook falls so fast', () => {
    expect(readDrop({ ...TUBE, depthMm: 30_480, timesS: [3.4] }, fly, UNCALIBRATED).kind).toBe('tooFast')
    expect(readDrop({ ...TUBE, timesS: [] }, fly, UNCALIBRATED).kind).toBe('noTimes')
    expect(readDrop({ ...TUBE, timesS: [0, 0] }, fly, UNCALIBRATED).kind).toBe('noTimes')
  })

  it('corrects for a narrow vessel, less the wider it is', () => {
    expect(wallFactor(3, null)).toBe(1)
    expect(wallFactor(3, 150)).toBeLessThan(1.004)
    expect(wallFactor(3, 30)).toBeGreaterThan(1.02)
    expect(read(fly, { timesS: [3], vesselMm: 30 }).logDrag).toBeLessThan(read(fly, { timesS: [3] }).logDrag)
  })
})

describe('a drop that came as foretold', () => {
  const fly = flyOf(jigNymph())

  /** The fall of a fly stepped by hand, a quarter of a mm at a time: the force on it, its inertia, as much line behind it as it is deep. */
  function steppedS(test: Pick<DropTest, 'depthMm' | 'tippet' | 'wet' | 'waterTempC'>): number {
    const { waterTempC, tippet, wet, depthMm } = test
    const report = evaluateFly(fly, { waterTempC, tippet, wet, filmTreatment: 'none' })
    if (report.kind !== 'sinks') throw new Error(report.kind)
    const { model } = report
    const weight = model.submergedMg * GRAVITY_MM_PER_S2
    const STEP_MM = 0.25
    let [timeS, speed] = [0, 0]
    for (let depth = 0; depth < depthMm; depth += STEP_MM) {
      const trails = Math.min(depth + STEP_MM / 2, tippet?.lengthMm ?? 0)
      const force = weight - flyDrag(model, speed) - (speed > 0 ? tippetPull(model, speed, trails) : 0)
      const next = Math.sqrt(Math.max(speed ** 2 + (2 * STEP_MM * force) / model.inertiaMg, 1))
      timeS += (2 * STEP_MM) / (speed + next)
      speed = next
    }
    return timeS
  }

  it('is 1.000 for every line, depth, wetness and vessel, and moves nothing', () => {
    for (const lengthMm of [0, 200, 500, 1200, 3000])
      for (const depthMm of [700, 1200, 2000])
        for (const curlDeg of [0, 15])
          for (const wet of ['dry', 'fresh', 'soaked'] as const) {
            const tippet = lengthMm > 0 ? { ...USUAL_TIPPET, lengthMm, curlDeg } : null
            const test = { tippet, depthMm, wet, waterTempC: 10, timing: 'gates' } as const
            const openS = steppedS(test)
            for (const vesselMm of [null, 60, 20]) {
              const seconds = openS * wallFactor(2.8, vesselMm)
              const reading = read(fly, { ...test, vesselMm, timesS: [seconds, seconds] })
              const what = `${lengthMm} mm at ${curlDeg}°, ${depthMm} mm, ${wet}, ${vesselMm}`
              expect(Math.abs(reading.ratio - 1), what).toBeLessThan(0.001)
              expect(Math.abs(reading.logDrag), what).toBeLessThan(0.005)
            }
          }
  })

  it('by a thumb is what a watch that is late would show', () => {
    const seconds = 1200 / read(fly, { timing: 'gates' }).estimateMmPerS + 0.15
    const reading = read(fly, { timing: 'thumb', timesS: [seconds, seconds] })
    expect(reading.ratio).toBeCloseTo(1, 6)
    expect(reading.logDrag).toBeCloseTo(0, 3)
  })

  it('three times with half a metre of line leaves the fall where it is', () => {
    const tippet = { ...USUAL_TIPPET, curlDeg: 0 }
    const seconds = steppedS({ depthMm: 1200, tippet, wet: 'fresh', waterTempC: 10 })
    const reading = read(fly, { tippet, wet: 'fresh', timing: 'gates', timesS: [seconds, seconds, seconds] })
    const after = evaluateFly(
      fly,
      { ...LIST_CONDITIONS, tippet },
      { ...UNCALIBRATED, ...shrinkDrag([reading], target(reading)) },
    )
    const before = evaluateFly(fly, { ...LIST_CONDITIONS, tippet })
    if (after.kind !== 'sinks' || before.kind !== 'sinks') throw new Error('it should sink')
    const truth = before.trailing?.sinkSpeedMmPerS.value ?? 0
    const now = after.trailing?.sinkSpeedMmPerS
    expect((now?.value ?? 0) / truth).toBeCloseTo(1, 2)
    expect(now?.low).toBeLessThan(truth)
    expect(now?.high).toBeGreaterThan(truth)
  })

  it('says less of the fly the more of all drag its line has', () => {
    const sds = [0, 500, 3000].map(
      (lengthMm) =>
        read(fly, { depthMm: 3000, tippet: lengthMm ? { ...USUAL_TIPPET, lengthMm } : null, timesS: [8, 8] })
          .sdLog,
    )
    expect(Math.min(...stepsOf(sds))).toBeGreaterThan(0.02)
  })
})

describe('the five tests of the valley', () => {
  it('takes a slow dry drop beside a true soaked one for held air, not for drag', () => {
    const fly = flyOf(jigNymph())
    const dry = read(fly, { id: 'dry', wet: 'dry', timesS: timesAt(fly, 0.8, { wet: 'dry' }) })
    const soaked = read(fly, { id: 'wet', timesS: timesAt(fly, 0.98) })
    expect(dry.dryness).toBe(1)
    expect(soaked.dryness).toBe(0)
    const both = shrinkDrag([dry, soaked], target(soaked))
    const dryAlone = shrinkDrag([dry], target(dry))
    expect(Math.abs(Math.log(both.dragMultiplier))).toBeLessThan(
      Math.abs(Math.log(dryAlone.dragMultiplier)) / 2,
    )
    expect(both.dryLogDrag).toBeGreaterThan(0.15)
  })

  it('takes what clings to a fly to cling to the same dressing with another bead, and hardly to a bare one', () => {
    const fly = flyOf(jigNymph())
    const dry = read(fly, { id: 'dry', wet: 'dry', timesS: timesAt(fly, 0.8, { wet: 'dry' }) })
    const soaked = read(fly, { id: 'wet', timesS: timesAt(fly, 0.98) })
    const airOf = (other: Fly, name: string) =>
      shrinkDrag([dry, soaked], target(read(other, { variantId: name }))).dryLogDrag
    const own = airOf(fly, 'one')
    const sister = airOf(flyOf(jigNymph('bead-tungsten-slotted', '2.4')), 'two')
    expect(sister / own).toBeGreaterThan(0.6)
    expect(sister / own).toBeLessThan(1)
    expect(airOf(marabouNymph(), 'three') / own).toBeLessThan(0.5)
  })

  it('finds brass in the tungsten jar by weighing ten beads', () => {
    const ten: GoodsWeighing = {
      id: 'w',
      materialId: 'bead33',
      familyId: 'tungsten',
      totalMg: 1290,
      count: 10,
      reckonedMg: 266,
      priorSdLog: 0.11,
      familyShare: 0.2,
      scaleSdMg: 1,
    }
    const factor = massFactorOf([ten], ten)
    expect(factor?.factor).toBeCloseTo(0.485, 1)
    expect(likelyMetal(17.5, factor ?? { factor: 1, sdLog: 0 })).toBe('brass')
    expect(likelyMetal(17.5, { factor: 0.95, sdLog: 0.02 })).toBeNull()
  })

  it('moves all sizes of a hook by ten that are heavier than the packet says', () => {
    const weighing: GoodsWeighing = {
      id: 'w',
      materialId: 'ch12',
      familyId: 'curved-heavy',
      totalMg: 520,
      count: 10,
      reckonedMg: 36,
      priorSdLog: 0.205,
      familyShare: 0.8,
      scaleSdMg: 1,
    }
    const own = massFactorOf([weighing], weighing)
    const sister = massFactorOf([weighing], { materialId: 'ch14', familyId: 'curved-heavy', priorSdLog: 0.205 })
    expect(own?.factor).toBeCloseTo(1.444, 1)
    expect(sister?.factor).toBeGreaterThan(1.2)
    expect(sister?.factor).toBeLessThan(own?.factor ?? 0)
    expect(massFactorOf([weighing], { materialId: 'x', familyId: 'other', priorSdLog: 0.2 })).toBeNull()
  })

  it('moves the relatives of a folding marabou part of the way, and a stiff jig hardly', () => {
    const fly = marabouNymph()
    const reading = read(fly, { timesS: timesAt(fly, 1.34) })
    const own = shrinkDrag([reading], target(reading))
    const relative = read(marabouNymph('12', 50), {})
    const sister = shrinkDrag([reading], target(relative, 'two'))
    const jig = shrinkDrag([reading], target(read(flyOf(jigNymph()), {}), 'three'))
    const moved = (shrunk: { dragMultiplier: number }) => -Math.log(shrunk.dragMultiplier)
    expect(moved(own)).toBeGreaterThan(0.25)
    expect(moved(sister) / moved(own)).toBeGreaterThan(0.4)
    expect(moved(sister) / moved(own)).toBeLessThan(0.95)
    expect(moved(jig) / moved(own)).toBeLessThan(moved(sister) / moved(own))
    expect(sister.weights[0]?.variantId).toBe('one')
  })

  it('hardly moves by a short vase and a late thumb, and asks for a longer fall', () => {
    const fly = flyOf(jigNymph('bead-tungsten-slotted', '4.0', '10'))
    const vase = { depthMm: 300, timing: 'thumb' } as const
    // what light gates would show, which are not late
    const { estimateMmPerS } = read(fly, { ...vase, timing: 'gates' })
    const scale = 300 / estimateMmPerS / 0.8 / 0.77
    const reading = read(fly, { ...vase, timesS: [0.85, 0.62, 0.9, 0.71].map((time) => time * scale) })
    expect(reading.seenMmPerS / estimateMmPerS).toBeCloseTo(0.8, 1)
    expect(reading.advice).toBe('dropFarther')
    const after = evaluateFly(fly, LIST_CONDITIONS, {
      ...UNCALIBRATED,
      ...shrinkDrag([reading], target(reading)),
    })
    const before = evaluateFly(fly, LIST_CONDITIONS)
    if (after.kind !== 'sinks' || before.kind !== 'sinks') throw new Error('it should sink')
    const moved = after.free.sinkSpeedMmPerS.value / before.free.sinkSpeedMmPerS.value
    expect(Math.abs(moved - 1)).toBeLessThan(0.06)
  })
})

describe('weighings', () => {
  const weighing = (id: string, totalMg: number): GoodsWeighing => ({
    id,
    materialId: 'hook',
    familyId: 'family',
    totalMg,
    count: 10,
    reckonedMg: 20,
    priorSdLog: 0.2,
    familyShare: 0.8,
    scaleSdMg: 1,
  })

  it('that contradict each other are named, and leave the more doubt', () => {
    const apart = [weighing('a', 200), weighing('b', 280)]
    expect(contradictions(apart)).toEqual([['a', 'b']])
    expect(contradictions([weighing('a', 200), weighing('b', 203)])).toEqual([])
    const agreed = massFactorOf([weighing('a', 200)], weighing('a', 200))
    expect(massFactorOf(apart, weighing('a', 200))?.sdLog).toBeGreaterThan(5 * (agreed?.sdLog ?? 1))
  })

  it('of goods stand beside the figures of a fly by name, and only of goods that are on it', () => {
    const fly = flyOf(jigNymph())
    const factor = { factor: 1.1, sdLog: 0.02 }
    const basisWith = (...ids: readonly string[]) =>
      evaluateFly(fly, LIST_CONDITIONS, {
        ...UNCALIBRATED,
        massFactors: new Map(ids.map((id) => [id, factor])),
      }).massMg.basis
    const bead = fly.components.find(({ kind }) => kind === 'bead')!.material.id
    expect(basisWith(bead, fly.hookMaterial.id)).toEqual(['hookWeighed', 'beadWeighed', 'catalogue'])
    expect(basisWith('another drawer')).toEqual(['catalogue'])
  })

  it('of a whole fly are shared out by how little each part was known', () => {
    const fly = flyOf(jigNymph())
    const before = evaluateFly(fly, LIST_CONDITIONS)
    const after = evaluateFly(fly, LIST_CONDITIONS, {
      ...UNCALIBRATED,
      weighed: { massMg: before.massMg.value * 1.1, sdMg: 0.2 },
    })
    expect(after.massMg.value / before.massMg.value).toBeCloseTo(1.1, 2)
    expect(after.massMg.high / after.massMg.value).toBeLessThan(1.01)
    // the mass was on the scale; the fall was only reckoned from it
    expect(after.massMg.basis).toEqual(['weighed'])
    expect(after.kind === 'sinks' && after.free.sinkSpeedMmPerS.basis).toEqual(['flyWeighed', 'catalogue'])
    const moved = (key: string) =>
      (after.parts.find((part) => part.key === key)?.massMg ?? 0) -
      (before.parts.find((part) => part.key === key)?.massMg ?? 0)
    expect(moved('bead')).toBeGreaterThan(moved('rib'))
  })
})

describe('conditioning', () => {
  it('solves any covariance', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: -2, max: 2, noNaN: true }), { minLength: 9, maxLength: 9 }),
        (raw) => {
          const rows = [raw.slice(0, 3), raw.slice(3, 6), raw.slice(6, 9)]
          const a = rows.map((p, i) =>
            rows.map((q, j) => p.reduce((sum, value, k) => sum + value * (q[k] ?? 0), 0) + (i === j ? 1 : 0)),
          )
          const x = solveCovariance(a, [1, 2, 3])
          a.forEach((row, i) =>
            expect(row.reduce((sum, value, j) => sum + value * (x[j] ?? 0), 0)).toBeCloseTo(i + 1, 6),
          )
        },
      ),
      { seed: 4 },
    )
  })

  it('is the textbook mean of one observation', () => {
    const found = condition([[2]], [1], 1, [3])
    expect(found.mean).toBeCloseTo(1.5, 12)
    expect(found.variance).toBeCloseTo(0.5, 12)
    expect(found.weights[0]).toBeCloseTo(0.5, 12)
    expect(condition([], [], 1, [])).toEqual({ mean: 0, variance: 1, weights: [] })
  })
})

describe('coverage', () => {
  it('of the 80 % bands after three drops lies between 76 and 84 %, the median error below 8 %', () => {
    const right = trials(400)
    expect(right.coveredAfter).toBeGreaterThan(0.76)
    expect(right.coveredAfter).toBeLessThan(0.84)
    expect(right.medianError).toBeLessThan(0.08)
    expect(trials(80, { drag: 1.4, hooks: 1.2 }).medianError).toBeLessThan(0.08)
  })
})
