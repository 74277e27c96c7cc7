import { resolveDressing } from '../dressing/index.ts'
import { leadTo } from '../drift/index.ts'
import { evaluateFly, hangOf, tiltFromLevelDeg } from '../evaluate/index.ts'
import { descend, timeToDepth } from '../sink/index.ts'
import { calibrationOf, swapsFor, weightable } from './group.ts'
import { searchShape, triesFor } from './search.ts'
import { shapesOf } from './shapes.ts'
import type { FindInput, Finalist, Found, Merit, Weighting } from './wanted.ts'

/** How far a search has come, with the best so far. */
export interface FindProgress {
  readonly done: number
  readonly soFar: readonly Found[]
}

const MOST_SHOWN = 12
const SHOW_EVERY = 12
/** Differences below these count as none between two weightings. */
const ALIKE = { massShare: 0.02, timeShare: 0.02, bulk: 0.01 }

const costs = ({ massMg, timeS, reserve, bulkIndex, costMinor, inStores }: Found) => [
  massMg,
  timeS,
  -(reserve ?? 0),
  bulkIndex,
  costMinor ?? Infinity,
  inStores ? 0 : 1,
]

/** Whether one weighting is at least as good as another in mass, time, reserve, bulk, cost and stores, and better in one. */
export function dominates(a: Found, b: Found): boolean {
  const [of, than] = [costs(a), costs(b)]
  return (
    of.every((cost, i) => cost <= (than[i] ?? 0) + 1e-9) && of.some((cost, i) => cost < (than[i] ?? 0) - 1e-9)
  )
}

/** The weightings that none of the others beats in everything. */
export function paretoFront(found: readonly Found[]): readonly Found[] {
  const front: Found[] = []
  for (const next of [...found].sort((a, b) => a.massMg - b.massMg || a.timeS - b.timeS)) {
    if (!front.some((known) => dominates(known, next))) front.push(next)
  }
  return front
}

const least = (found: readonly Found[], of: (one: Found) => number): Found | undefined =>
  found.reduce<Found | undefined>((best, next) => (best && of(best) <= of(next) ? best : next), undefined)

const alike = (a: Found, b: Found) =>
  Math.abs(a.massMg / b.massMg - 1) < ALIKE.massShare &&
  Math.abs(a.timeS - b.timeS) <= ALIKE.timeShare * b.timeS &&
  Math.abs(a.bulkIndex - b.bulkIndex) < ALIKE.bulk &&
  a.inStores === b.inStores

/** The few to show: the best in each respect, then others of the front spread out between them, each with its merits. */
export function chooseFew(
  front: readonly Found[],
  input: FindInput,
): readonly { readonly found: Found; readonly merits: readonly Merit[] }[] {
  const chosen = new Map<Found, Merit[]>()
  const take = (found: Found | undefined, merit: Merit) => {
    if (found) chosen.set(found, [...(chosen.get(found) ?? []), merit])
  }
  take(
    least(front, ({ massMg }) => massMg),
    'lightest',
  )
  take(
    least(front, ({ bulkIndex, massMg }) => bulkIndex * 1e6 + massMg),
    'slimmest',
  )
  const { wanted } = input
  if (wanted.kind === 'posture') {
    take(
      least(front, ({ reserve }) => -(reserve ?? 0)),
      'steadiest',
    )
  } else {
    take(
      least(front, ({ timeS }) => timeS),
      'fastest',
    )
  }
  if (wanted.kind === 'depthByTime') {
    take(
      least(front, ({ timeS }) => Math.abs(timeS - wanted.withinS)),
      'nearest',
    )
  }
  if (front.some(({ costMinor }) => costMinor !== null)) {
    take(
      least(front, ({ costMinor }) => costMinor ?? Infinity),
      'cheapest',
    )
  }
  take(
    least(
      front.filter(({ inStores }) => inStores),
      ({ massMg }) => massMg,
    ),
    'inStores',
  )
  const others = [...front].sort((a, b) => a.massMg - b.massMg)
  const room = MOST_SHOWN - chosen.size
  const step = Math.max(others.length / Math.max(room, 1), 1)
  for (let at = 0; at < others.length && chosen.size < MOST_SHOWN; at += step) {
    const next = others[Math.floor(at)]
    if (next && !chosen.has(next) && ![...chosen.keys()].some((known) => alike(known, next)))
      take(next, 'between')
  }
  return [...chosen]
    .map(([found, merits]) => ({ found, merits }))
    .sort((a, b) => a.found.massMg - b.found.massMg)
}

/** The fly of a weighting, as the finder would tie it. */
function flyOf(weighting: Weighting, input: FindInput) {
  const materials = new Map(input.materials)
  for (const material of [weighting.hook, weighting.bead, weighting.wire]) {
    if (material) materials.set(material.id, material)
  }
  const { dressing, ...keys } = weightable(input.dressing, weighting.hook.id)
  const swaps = swapsFor(input.dressing, input.variant.swaps, weighting, keys)
  return resolveDressing(dressing, { hookMaterialId: weighting.hook.id, swaps }, materials)
}

const inTenths = (mm: number) => Math.round(mm * 10) / 10

/** A weighting with its pin as long as hanging level asks when the pin's own weight counts too; null where none does. */
function withLevelPin(found: Found, input: FindInput): Found | null {
  if (found.weighting.pinMm === null) return found
  const fly = flyOf(found.weighting, input)
  if (fly.kind !== 'fly') return null
  const { pin } = hangOf(fly, input.conditions, calibrationOf(fly, input))
  const levelMm = pin?.levelAtMm ?? null
  return levelMm === null ? null : { ...found, weighting: { ...found.weighting, pinMm: inTenths(levelMm) } }
}

/** Reckons a weighting in full: attitude at its own speed, band, stepped start from rest; or how it rides. */
export function reckonInFull(quickest: Found, merits: readonly Merit[], input: FindInput): Finalist | null {
  const found = withLevelPin(quickest, input)
  if (!found) return null
  const fly = flyOf(found.weighting, input)
  if (fly.kind !== 'fly') return null
  const report = evaluateFly(fly, input.conditions, calibrationOf(fly, input))
  const { wanted } = input
  const none = { leadMm: null, low: 0, high: 0, tiltDeg: null, spareMg: null, quickError: 0 }
  if (wanted.kind === 'posture') {
    if (report.kind !== 'floats' || report.ride.posture !== wanted.posture) return null
    const { reserve, spareMg } = report.ride
    return { ...found, ...none, merits, massMg: report.massMg.value, reserve, spareMg }
  }
  if (report.kind !== 'sinks') return null
  const { depthMm } = wanted
  const descent = descend(report.model, depthMm, 'follows')
  const timeS = timeToDepth(descent, depthMm)
  if (timeS === null) return null
  const { value, low, high } = (report.trailing ?? report.free).sinkSpeedMmPerS
  return {
    ...found,
    ...none,
    merits,
    massMg: report.massMg.value,
    timeS,
    low: (timeS * value) / high,
    high: (timeS * value) / low,
    leadMm: wanted.kind === 'lead' ? (leadTo(descent, wanted.current, depthMm)?.leadMm ?? null) : null,
    tiltDeg: Math.abs(tiltFromLevelDeg(report.hung.noseDownDeg)),
    quickError: found.timeS / timeS - 1,
  }
}

/** Finalists of what was found, in one worker or several. */
export const finalists = (found: readonly Found[], input: FindInput): readonly Finalist[] =>
  chooseFew(paretoFront(found), input).flatMap(
    ({ found: chosen, merits }) => reckonInFull(chosen, merits, input) ?? [],
  )

/**
 * Searches all weightings that fit for those that do what is wanted, best first in each respect; a generator that
 * yields its progress with the best so far.
 */
export function* findWeightings(input: FindInput): Generator<FindProgress, readonly Found[]> {
  const shapes = shapesOf(input)
  const tryOf = triesFor(input)
  let found: readonly Found[] = []
  for (const [i, shape] of shapes.entries()) {
    const best = searchShape(input, shape, tryOf)
    if (best.length > 0) found = [...found, ...best]
    if (i % SHOW_EVERY === SHOW_EVERY - 1) {
      found = paretoFront(found)
      yield { done: (i + 1) / shapes.length, soFar: found }
    }
  }
  return paretoFront(found)
}
