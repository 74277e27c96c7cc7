import { describe, expect, it } from 'vitest'
import { LIST_CONDITIONS, UNCALIBRATED } from '../evaluate/index.ts'
import { jigNymph, shippedMaterial } from '../testing/shippedMaterial.ts'
import { dominates } from './findWeightings.ts'
import { combinationsOf, finalists, findWeightings, paretoFront } from './index.ts'
import type { FindInput, Found } from './index.ts'

const sizes = ['1.5', '2.0', '2.4', '2.8', '3.0', '3.3', '3.8', '4.0']
const beads = ['bead-tungsten-slotted', 'bead-brass-slotted'].flatMap((family) =>
  sizes.map((size) => shippedMaterial(family, size, 'copper')),
)
const wires = ['0.25', '0.38', '0.5'].map((size) => shippedMaterial('wire-tin', size))

function search(change: Partial<FindInput> = {}, offers: Partial<FindInput['offers']> = {}): FindInput {
  const made = jigNymph()
  return {
    dressing: made.dressing,
    variant: made.variant,
    materials: made.materials,
    offers: {
      hooks: ['18', '16', '14', '12'].map((size) => shippedMaterial('hook-jig-60', size, 'bronze')),
      beads: [null, ...beads],
      wires: [null, ...wires],
      mostTurns: 20,
      bulks: [0.1, 0.5],
      inStores: new Set([beads[3]?.id ?? '', 'hook-jig-60|16|bronze']),
      ...offers,
    },
    wanted: { kind: 'depthByTime', depthMm: 2000, withinS: 6 },
    conditions: {
      ...LIST_CONDITIONS,
      waterTempC: 8,
      tippet: { diameterMm: 0.13, densityMgPerMm3: 1.13, lengthMm: 3600 },
    },
    calibration: UNCALIBRATED,
    mostSplashMicroJ: Infinity,
    share: { of: 1, nth: 0 },
    ...change,
  }
}

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
})
