import { describe, expect, it } from 'vitest'
import { reckonedPiece } from '../calibrate/index.ts'
import type { Measured } from '../calibrate/index.ts'
import { evaluateFly, hangOf, LIST_CONDITIONS, UNCALIBRATED } from '../evaluate/index.ts'
import { resolveDressing } from '../dressing/index.ts'
import { POSTURES } from '../float/index.ts'
import type { Posture } from '../float/index.ts'
import { nymphSearch } from '../testing/nymphSearch.ts'
import { strandDiameterMm } from '../material/index.ts'
import { emerger, hackledDry, recipe, shippedMaterial } from '../testing/shippedMaterial.ts'
import { dominates, reckonInFull } from './findWeightings.ts'
import {
  combinationsOf,
  finalists,
  findWeightings,
  paretoFront,
  rungsOf,
  swapsFor,
  weightable,
} from './index.ts'
import type { FindInput, Found } from './index.ts'
import { stepsOf } from '../testing/steps.ts'

const sizes = ['1.5', '2.0', '2.4', '2.8', '3.0', '3.3', '3.8', '4.0']
const beads = ['bead-tungsten-slotted', 'bead-brass-slotted'].flatMap((family) =>
  sizes.map((size) => shippedMaterial(family, size, 'copper')),
)
const wires = ['0.25', '0.38', '0.5'].map((size) => shippedMaterial('wire-tin', size))

const hooks = ['18', '16', '14', '12'].map((size) => shippedMaterial('hook-jig-60', size, 'bronze'))
const inStores = new Set([beads[3]?.id ?? '', 'hook-jig-60|16|bronze'])
const search = (change: Partial<FindInput> = {}, offers: Partial<FindInput['offers']> = {}): FindInput =>
  nymphSearch({ hooks, beads: [null, ...beads], wires: [null, ...wires], inStores, ...offers }, change)

function run(input: FindInput): readonly Found[] {
  const work = findWeightings(input)
  let step = work.next()
  while (!step.done) step = work.next()
  return step.value
}

describe('findWeightings', () => {
  const input = search()
  const found = run(input)
  const best = finalists(found, input)

  it('finds weightings for two metres in six seconds at 8 °C, each down in time when reckoned in full', () => {
    expect(best.length).toBeGreaterThan(4)
    for (const { timeS } of best) expect(timeS).toBeLessThanOrEqual(6)
  })

  it('is within 2 % of the full reckoning', () => {
    for (const { quickError, weighting } of best) {
      expect(Math.abs(quickError), `${weighting.hook.sizeKey} ${weighting.bead?.id}`).toBeLessThan(0.02)
    }
  })

  it('takes goods as the scale has them, and no scale of the fly at hand for another', () => {
    const heavy = beads[3]!
    const piece = reckonedPiece(heavy)!
    const measured: Measured = {
      readings: [],
      goods: [
        {
          ...{ id: 'w', materialId: heavy.id, familyId: heavy.family.name, count: 10, scaleSdMg: 1 },
          ...{ totalMg: 12 * piece.mg, reckonedMg: piece.mg },
          ...{ priorSdLog: piece.sdLog, familyShare: piece.familyShare },
        },
      ],
      flies: [{ id: 'f', variantId: 'at hand', count: 6, totalMg: 6 * 900, scaleSdMg: 1 }],
    }
    const weighed = { ...input, measured }
    for (const finalist of finalists(run(weighed), weighed)) {
      expect(Math.abs(finalist.quickError)).toBeLessThan(0.02)
      const asShipped = reckonInFull(finalist, [], input)
      const more = finalist.massMg - (asShipped?.massMg ?? 0)
      if (finalist.weighting.bead?.id === heavy.id) {
        expect(more).toBeGreaterThan(0.1 * piece.mg)
        expect(more).toBeLessThan(0.22 * piece.mg)
      } else expect(Math.abs(more)).toBeLessThan(0.12 * piece.mg)
    }
  })

  it('answers with a front: none of them beats another in everything', () => {
    for (const a of found) for (const b of found) if (a !== b) expect(dominates(a, b)).toBe(false)
  })

  it('says why each is there: one is the lightest, one the fastest, one from the stores', () => {
    const merits = best.flatMap((finalist) => finalist.merits)
    expect(merits).toContain('lightest')
    expect(merits).toContain('fastest')
    const lightest = best.find((finalist) => finalist.merits.includes('lightest'))
    expect(Math.min(...best.map(({ massMg }) => massMg))).toBeCloseTo(lightest?.massMg ?? 0, 6)
    for (const finalist of best.filter((one) => one.merits.includes('inStores'))) {
      expect(finalist.inStores).toBe(true)
    }
  })

  it('finds the same in two halves', () => {
    const halves = [0, 1].flatMap((nth) => run(search({ share: { of: 2, nth } })))
    const key = ({ weighting: { hook, bead, wire, turns, bulk } }: Found) =>
      [hook.id, bead?.id, wire?.id, turns, bulk].join(' ')
    expect(paretoFront(halves).map(key).sort()).toEqual([...found].map(key).sort())
  })

  it('keeps to a splash and to what is offered', () => {
    const quiet = run(search({ mostSplashMicroJ: 700 }))
    for (const { splashMicroJ } of quiet) expect(splashMicroJ).toBeLessThanOrEqual(700)
    const brass = beads.filter(({ id }) => id.includes('brass'))
    for (const { weighting } of run(search({}, { beads: [null, ...brass] }))) {
      expect(weighting.bead === null || weighting.bead.id.includes('brass')).toBe(true)
    }
  })

  it('finds nothing where nothing does it', () => {
    expect(run(search({ wanted: { kind: 'depthByTime', depthMm: 3000, withinS: 0.5 } }))).toEqual([])
  })

  it('finds a lead in a current, shorter for the heavier', () => {
    const current = { depthMm: 900, surfaceMmPerS: 750, roughnessMm: 60 }
    const asked = search({ wanted: { kind: 'lead', depthMm: 900, leadMm: 2000, current } })
    const leads = finalists(run(asked), asked)
    expect(leads.length).toBeGreaterThan(0)
    for (const { leadMm } of leads) expect(leadMm ?? Infinity).toBeLessThanOrEqual(2000)
  })

  it('counts what it looks at', () => {
    expect(combinationsOf(input)).toBe(4 * 17 * (1 + 3 * 20) * 2)
  })

  it('knows what each costs, and which is the cheapest of those with a price', () => {
    const costs = new Map([
      ...hooks.map(({ id }, i) => [id, 20 + i] as const),
      ...beads.map(({ id }, i) => [id, id.includes('tungsten') ? 40 + i : 8 + i] as const),
      ...wires.map(({ id }) => [id, 0.02] as const),
    ])
    const priced = search({}, { costs })
    const few = finalists(run(priced), priced)
    const cheapest = few.find(({ merits }) => merits.includes('cheapest'))
    expect(cheapest?.costMinor).toBe(Math.min(...few.map(({ costMinor }) => costMinor ?? Infinity)))
    expect(best.every(({ costMinor }) => costMinor === null)).toBe(true)
    const bare = few.find(({ weighting }) => weighting.bead && weighting.turns === 0)
    const { hook, bead } = bare?.weighting ?? {}
    expect(bare?.costMinor).toBeCloseTo((costs.get(hook?.id ?? '') ?? 0) + (costs.get(bead?.id ?? '') ?? 0), 9)
  })
})

describe('hanging level', () => {
  const hook = shippedMaterial('hook-jig-90', '10', 'bronze')
  const made = recipe(hook, [
    { key: 'thread', kind: 'thread', material: shippedMaterial('thread-nylon', '70', 'black'), at: [0, 1] },
    {
      key: 'tail',
      kind: 'tail',
      material: shippedMaterial('marabou-plume', '', 'black'),
      at: [1, 1],
      fibreCount: 30,
      length: { factor: 1, of: 'shank' },
    },
    {
      key: 'body',
      kind: 'body',
      material: shippedMaterial('dubbing-hare', '', 'black'),
      at: [0.1, 1],
      bulk: 0.5,
    },
  ])
  const level = search(
    { ...made, wanted: { kind: 'level', depthMm: 1000 } },
    {
      hooks: [hook],
      beads: ['2.4', '2.8', '3.3'].map((size) => shippedMaterial('bead-brass-drilled', size, 'gold')),
      wires: [null],
      bulks: [],
    },
  )
  const few = finalists(run(level), level)

  it('puts each bead where the fly hangs level, nearer the eye the heavier it is, and clear of the eye', () => {
    expect(few.length).toBeGreaterThan(1)
    for (const { tiltDeg } of few) expect(tiltDeg).toBeLessThan(12)
    const byMass = [...few].sort((a, b) => a.massMg - b.massMg)
    const pins = byMass.map(({ weighting }) => weighting.pinMm ?? 0)
    expect(Math.max(...stepsOf(pins))).toBeLessThan(0)
  })

  it('says a pin that makes the fly as tied hang level', () => {
    const [found] = few
    if (!found) throw new Error('nothing found')
    const { dressing, ...keys } = weightable(made.dressing, hook.id)
    const materials = new Map(made.materials).set(found.weighting.bead?.id ?? '', found.weighting.bead ?? hook)
    const fly = resolveDressing(
      dressing,
      { hookMaterialId: hook.id, swaps: swapsFor(made.dressing, [], found.weighting, keys) },
      materials,
    )
    if (fly.kind !== 'fly') throw new Error('incomplete')
    const { pin } = hangOf(fly, level.conditions, UNCALIBRATED)
    expect(pin?.lengthMm).toBeCloseTo(pin?.levelAtMm ?? 0, 0)
    expect(pin?.clearsEye).toBe(true)
  })
})

describe('holding a posture', () => {
  const wires = ['0.38', '0.5', '0.63'].map((size) => shippedMaterial('wire-lead', size))
  const MOST_TURNS = 20
  const asked = (made: ReturnType<typeof recipe>, family: string, posture: Posture) =>
    search(
      { ...made, conditions: LIST_CONDITIONS, wanted: { kind: 'posture', posture } },
      {
        hooks: ['18', '14', '10'].map((size) => shippedMaterial(family, size, 'bronze')),
        beads: [null],
        wires: [null, ...wires],
        bulks: [],
        mostTurns: MOST_TURNS,
      },
    )

  /** All weightings of a search, each reckoned in full. */
  function everyRide({ offers, dressing, materials }: FindInput) {
    const ways = offers.hooks.flatMap((hook) =>
      offers.wires.flatMap((wire) =>
        Array.from({ length: wire ? MOST_TURNS : 1 }, (_, i) => ({ hook, wire, turns: wire ? i + 1 : 0 })),
      ),
    )
    return ways.flatMap(({ hook, wire, turns }) => {
      const { dressing: whole, ...keys } = weightable(dressing, hook.id)
      const swaps = swapsFor(dressing, [], { bead: null, wire, turns, bulk: null, pinMm: null }, keys)
      const book = new Map(materials).set(hook.id, hook)
      if (wire) book.set(wire.id, wire)
      const fly = resolveDressing(whole, { hookMaterialId: hook.id, swaps }, book)
      if (fly.kind !== 'fly') return []
      // no more turns than lie side by side in the place of the wire
      const place = fly.components.find(({ key }) => key === keys.wireKey)
      const spanMm = place ? place.toMm - place.fromMm : 0
      if (wire && turns > Math.floor(spanMm / strandDiameterMm(wire))) return []
      const report = evaluateFly(fly, LIST_CONDITIONS)
      return report?.kind === 'floats' ? [report] : []
    })
  }

  it.each([
    ['a hackled dry', hackledDry('16'), 'hook-dry-fine'],
    ['an emerger', emerger(1.5), 'hook-curved-fine'],
  ] as const)('finds of %s the lightest and the steadiest, as trying each in full does', (_, made, family) => {
    const all = everyRide(asked(made, family, 'proud'))
    expect(all.length).toBeGreaterThan(2)
    for (const posture of POSTURES) {
      const holding = all.filter(({ ride }) => ride.posture === posture)
      const input = asked(made, family, posture)
      const few = finalists(run(input), input)
      expect(few.length > 0, posture).toBe(holding.length > 0)
      if (holding.length === 0) continue
      const lightest = few.find(({ merits }) => merits.includes('lightest'))
      const steadiest = few.find(({ merits }) => merits.includes('steadiest'))
      expect(lightest?.massMg).toBeCloseTo(Math.min(...holding.map(({ massMg }) => massMg.value)), 6)
      expect(steadiest?.reserve).toBeCloseTo(Math.max(...holding.map(({ ride }) => ride.reserve)), 6)
    }
  })
})

describe('rungsOf', () => {
  const made = search()
  const ladder = {
    dressing: made.dressing,
    variant: made.variant,
    materials: made.materials,
    beads: [null, ...beads],
    conditions: LIST_CONDITIONS,
    calibrationOf: () => UNCALIBRATED,
    toDepthMm: 2000,
  }
  const rungs = rungsOf(ladder)

  it('climbs from the slowest to the fastest, without a bead at the foot', () => {
    expect(rungs.length).toBeGreaterThan(6)
    expect(rungs[0]?.bead).toBeNull()
    const speeds = rungs.map(({ report }) => report.free.sinkSpeedMmPerS.value)
    expect(Math.min(...stepsOf(speeds))).toBeGreaterThan(0)
  })

  it('leaves out a bead that does not go on the hook', () => {
    expect(rungs.some(({ bead }) => bead?.sizeKey === '4.0')).toBe(false)
    expect(rungs.some(({ bead }) => bead?.sizeKey === '2.8')).toBe(true)
  })

  it('has none for a fly that has no bead', () => {
    expect(rungsOf({ ...ladder, ...hackledDry() })).toEqual([])
  })
})
