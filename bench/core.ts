import {
  appearanceOf,
  combinationsOf,
  countdown,
  drawSketch,
  evaluateFly,
  finalists,
  findWeightings,
  LIST_CONDITIONS,
  matchFly,
  resolveDressing,
  sampleFall,
  speedAtAttitude,
  USUAL_TIPPET,
  sketchOf,
} from '../core/index.ts'
import type { FindInput } from '../core/index.ts'
import { shippedFoods } from '../core/season/shipped/larder.ts'
import { trials } from '../core/testing/generatedFlies.ts'
import { nymphSearch } from '../core/testing/nymphSearch.ts'
import { jigNymph, shippedMaterial } from '../core/testing/shippedMaterial.ts'
import { median, ms, ROUNDS, timeOf } from './timing.ts'
import type { Line } from './timing.ts'

/** A search over a quarter of a million weightings of a jig nymph: two metres in six seconds at 8 °C. */
function wideSearch(share: FindInput['share']): FindInput {
  const sizes = ['1.5', '2.0', '2.4', '2.8', '3.0', '3.3', '3.5', '3.8', '4.0', '4.6']
  const all = (families: readonly string[], of: readonly string[]) =>
    families.flatMap((family) => of.map((size) => shippedMaterial(family, size)))
  const metals = ['bead-tungsten-slotted', 'bead-brass-slotted', 'bead-steel-slotted']
  return nymphSearch(
    {
      hooks: all(['hook-jig-60'], ['18', '16', '14', '12', '10', '8']),
      beads: [null, ...all(metals, sizes)],
      wires: [null, ...all(['wire-tin', 'wire-lead', 'wire-copper'], ['0.25', '0.38', '0.5', '0.63'])],
      mostTurns: 40,
      bulks: [0.1, 0.35, 0.6],
    },
    { share },
  )
}

/** Time until the first that serves, until all was searched and reckoned in full, and how far the quick way was off. */
function searchOnce(share: FindInput['share']) {
  const input = wideSearch(share)
  const from = performance.now()
  const work = findWeightings(input)
  let firstMs: number | null = null
  let step = work.next()
  while (!step.done) {
    if (step.value.soFar.length > 0) firstMs ??= performance.now() - from
    step = work.next()
  }
  const few = finalists(step.value, input)
  return {
    firstMs: firstMs ?? 0,
    allMs: performance.now() - from,
    off: Math.max(...few.map(({ quickError }) => Math.abs(quickError))),
  }
}

function benchFinder(): readonly Line[] {
  const cold = searchOnce({ of: 1, nth: 0 })
  const whole = Array.from({ length: ROUNDS }, () => searchOnce({ of: 1, nth: 0 }))
  const half = Array.from({ length: ROUNDS }, () => searchOnce({ of: 2, nth: 0 }))
  const count = combinationsOf(wideSearch({ of: 1, nth: 0 })).toLocaleString('en')
  const off = Math.max(...whole.map((run) => run.off))
  return [
    {
      what: `finder over ${count} weightings, one worker; its half of two`,
      figure: `${ms(median(whole.map(({ allMs }) => allMs)))}; ${ms(median(half.map(({ allMs }) => allMs)))}`,
      wanted: 'under 4 s; under 2.5 s',
    },
    {
      what: 'finder, first results cold; warm',
      figure: `${ms(cold.firstMs)}; ${ms(median(whole.map(({ firstMs }) => firstMs)))}`,
      wanted: 'within 800 ms; 300 ms',
    },
    {
      what: 'finder, the quick way against the full one at most',
      figure: `${(off * 100).toFixed(1)} %`,
      wanted: 'at most 2 %',
    },
  ]
}

const TRIALS = 2000

function benchCoverage(): readonly Line[] {
  const line = (name: string, found: ReturnType<typeof trials>): Line => ({
    what: `80 % bands that held after three drops on ${found.count} made-up flies, ${name}; median error`,
    figure: `${(found.coveredAfter * 100).toFixed(1)} %; ${(found.medianError * 100).toFixed(1)} %`,
    wanted: '76 to 84 %; at most 8 %',
  })
  return [
    line('priors right', trials(TRIALS)),
    line('drag 1.4 and hooks 1.2 times the priors', trials(TRIALS, { drag: 1.4, hooks: 1.2 })),
  ]
}

/** Core alone: one fly, the finder, and how often the bands hold. */
export function benchCore(): readonly Line[] {
  const made = jigNymph()
  const fly = resolveDressing(made.dressing, made.variant, made.materials)
  if (fly.kind !== 'fly') throw new Error('the nymph is incomplete')
  // first, before other flies and calls have made its types manifold
  const atKnownAttitude = () => timeOf(20_000, () => speedAtAttitude(fly, LIST_CONDITIONS, 90))
  const alone = atKnownAttitude() * 1000
  const conditions = { ...LIST_CONDITIONS, tippet: USUAL_TIPPET }
  const report = evaluateFly(fly, conditions)
  if (report.kind !== 'sinks') throw new Error('the nymph floats')
  const edit = () => {
    const resolved = resolveDressing(made.dressing, made.variant, made.materials)
    if (resolved.kind !== 'fly') return
    const worked = evaluateFly(resolved, conditions)
    if (worked.kind === 'sinks') countdown(worked.model, 3000)
    drawSketch(sketchOf(resolved), { pxPerMm: 20 })
  }
  const stages = shippedFoods.flatMap(({ stages: all }) => all).map((stage) => ({ ...stage, id: stage.key }))
  const place = {
    waterKind: 'freestone' as const,
    bedMm: 900,
    surfaceSpeedMmPerS: 750,
    lengthMmLow: 6,
    lengthMmHigh: 9,
  }
  const matched = {
    behaviour: { kind: 'sinks' as const, sinkSpeedMmPerS: 420, freeMmPerS: 440, submergedMg: 90 },
    look: appearanceOf(fly),
    ways: [],
  }
  const sample = () => {
    const work = sampleFall({ fly, conditions, samples: 1000, seed: 1 })
    let step = work.next()
    while (!step.done) step = work.next()
  }
  return [
    {
      what: 'editing a pattern, all of core (resolve, evaluate, fall to 3 m, draw)',
      figure: ms(timeOf(100, edit)),
      wanted: 'under 4 ms',
    },
    {
      what: 'mass, fit and one terminal speed at a known attitude: alone; after all the other work of core',
      figure: `${alone.toFixed(0)} µs; ${(atKnownAttitude() * 1000).toFixed(0)} µs`,
      wanted: 'under 60 µs',
    },
    {
      what: 'evaluateFly: attitude, hang, free and with line',
      figure: ms(timeOf(200, () => evaluateFly(fly, conditions))),
      wanted: 'under 3 ms',
    },
    { what: 'descend to 3 m', figure: ms(timeOf(100, () => countdown(report.model, 3000))), wanted: '' },
    {
      what: 'matchFly against all 164 stages',
      figure: ms(timeOf(50, () => stages.map((stage) => matchFly(matched, stage, place)))),
      wanted: '',
    },
    { what: 'sampling 1,000 flies', figure: ms(timeOf(1, sample)), wanted: '' },
    ...benchFinder(),
    ...benchCoverage(),
  ]
}
