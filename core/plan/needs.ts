import { sum } from '../number/index.ts'
import { dateOf, epochDayOf } from '../season/index.ts'
import type { FliesOf } from './cover.ts'
import { hoursAdded } from './hours.ts'
import type { EveningHabits, PlanInputs, TieableVariant, ComingOuting } from './inputs.ts'
import { expectedLosses, parFor } from './losses.ts'
import { lossRates } from './lossRates.ts'
import { outingNeeds, outingServings } from './outingNeeds.ts'
import type { OutingNeed, OutingServing, RateAt } from './outingNeeds.ts'
import type { PlanProblem } from './problem.ts'

/** An evening at the bench. */
export interface Evening {
  readonly on: string
  readonly minutes: number
}

const MOST_TIED = 12
/** Varnish in so many coats is as much as anyone gives, a night each. */
const LONGEST_DRYING = 4
/** A drawer that can be filled in time holds as much as anyone ties. */
const PLENTY = 1e7

const weekdayOf = (day: number) => ((((day + 3) % 7) + 7) % 7) + 1

/** The evenings from today up to the day before an outing, by the habits of the user; those without time are left out. */
export function eveningsUntil(
  from: string,
  until: string,
  { minutes, weekdays, differing }: EveningHabits,
): readonly Evening[] {
  const others = new Map(differing.map((evening) => [evening.on, evening.minutes]))
  const evenings: Evening[] = []
  for (let day = epochDayOf(from); day < epochDayOf(until); day += 1) {
    const on = dateOf(day)
    const there = others.get(on) ?? (weekdays.includes(weekdayOf(day)) ? minutes : 0)
    if (there > 0) evenings.push({ on, minutes: there })
  }
  return evenings
}

/** Minutes of evenings that lie at least one, two … nights before a day. */
function minutesByNights(evenings: readonly Evening[], on: string): readonly number[] {
  const until = epochDayOf(on)
  return Array.from({ length: LONGEST_DRYING }, (_, before) =>
    evenings.reduce(
      (sum, evening) => (until - epochDayOf(evening.on) > before ? sum + evening.minutes : sum),
      0,
    ),
  )
}

/** Outings in their order, each with the evenings that only it and later ones can use. */
export function periodsOf(
  inputs: PlanInputs,
): readonly { readonly outing: ComingOuting; readonly evenings: readonly Evening[] }[] {
  const outings = [...inputs.outings].sort((a, b) => a.on.localeCompare(b.on))
  return outings.map((outing, k) => ({
    outing,
    evenings: eveningsUntil(outings[k - 1]?.on ?? inputs.today, outing.on, inputs.evenings),
  }))
}

/** A need as it is shown: what of which outing, with its hours and the flies for it. */
export interface PlannedNeed extends OutingNeed<TieableVariant> {
  readonly key: string
  readonly outingKey: string
  readonly fromLocalMin: number
  /** how many are wanted so that one is still there at the end in the share of outings that the user set */
  readonly wanted: number
}

/** As many of a kind are carried on the water: its losses are shared by so many. Judgement. */
const CARRIED = 3

/** Share of a variant's flies that come back from an outing, by that of its needs which loses most. */
const comesBack = (needs: readonly PlannedNeed[]): number =>
  Math.exp(-Math.max(0, ...needs.map(({ rate, fishedHours }) => expectedLosses(rate, fishedHours))) / CARRIED)

/** Flies that are left after an outing of those that there were. */
function leftAfter(outing: ComingOuting, needs: readonly PlannedNeed[], there: ReadonlyMap<string, number>) {
  const serving = new Map<string, PlannedNeed[]>()
  for (const need of needs) {
    if (need.outingKey !== outing.key) continue
    for (const { variant } of need.serves) serving.set(variant.key, [...(serving.get(variant.key) ?? []), need])
  }
  return new Map([...there].map(([key, count]) => [key, count * comesBack(serving.get(key) ?? [])]))
}

/** Flies on hand and at the bench at each of the outings, when nothing more is tied: less what those before it cost. */
export function heldThrough(inputs: PlanInputs, needs: readonly PlannedNeed[]): (outingKey: string) => FliesOf {
  let there = new Map(inputs.variants.map(({ key, onHand, queued }) => [key, onHand + queued]))
  const at = new Map<string, ReadonlyMap<string, number>>()
  let before: ComingOuting | null = null
  for (const { outing } of periodsOf(inputs)) {
    if (before) there = leftAfter(before, needs, there)
    at.set(outing.key, there)
    before = outing
  }
  return (outingKey) => (key) => at.get(outingKey)?.get(key) ?? 0
}

/** The flies for what an outing asks for, as {@link outingServings} finds them or as they were kept. */
export type ServingsOf = (
  outing: ComingOuting,
  inputs: PlanInputs,
) => Generator<{ readonly done: number }, readonly OutingServing<TieableVariant>[]>

const found: ServingsOf = (outing, { variants, stages, school }) =>
  outingServings({ outing, variants, school, stages: new Map(stages.map((stage) => [stage.id, stage])) })

/**
 * What all outings to come ask for, in their order. Yields the share that is done.
 *
 * @param servingsOf where the flies for it come from
 */
export function* plannedNeeds(
  inputs: PlanInputs,
  servingsOf: ServingsOf = found,
): Generator<{ readonly done: number }, readonly PlannedNeed[]> {
  const rates = lossRates(inputs)
  const rateAt: RateAt<TieableVariant> = (band, outing, variant) =>
    variant ? rates.of(variant, band, outing) : rates.ofNew(band, outing)
  const all: PlannedNeed[] = []
  for (const { outing } of periodsOf(inputs)) {
    const servings = yield* servingsOf(outing, inputs)
    for (const need of outingNeeds(outing, servings, rateAt)) {
      all.push({
        ...need,
        key: `${outing.key} ${need.stageKey ?? need.kind}`,
        outingKey: outing.key,
        fromLocalMin: outing.fromLocalMin,
        wanted: parFor(need.rate, need.fishedHours, inputs.serviceLevel),
      })
    }
  }
  return all
}

/** Minutes of evenings once those at the front of the queue have gone to what waits at the bench. */
function afterQueue(evenings: readonly Evening[], queuedMinutes: number): readonly Evening[] {
  let left = queuedMinutes
  return evenings.map(({ on, minutes }) => {
    const taken = Math.min(left, minutes)
    left -= taken
    return { on, minutes: minutes - taken }
  })
}

/** Evenings before each outing, what waits at the bench done first. */
export function benchTime(inputs: PlanInputs): readonly (readonly Evening[])[] {
  const periods = periodsOf(inputs)
  const queued = sum(inputs.variants.map(({ queued: count, minutesEach }) => count * minutesEach))
  const free = afterQueue(
    periods.flatMap(({ evenings }) => evenings),
    queued,
  )
  const minutesOn = new Map(free.map((evening) => [evening.on, evening]))
  return periods.map(({ evenings }) => evenings.flatMap(({ on }) => minutesOn.get(on) ?? []))
}

/** What the stores hold once what waits at the bench has been tied. */
function storesAfterQueue({ drawers, variants }: PlanInputs): PlanInputs['drawers'] {
  const taken = new Map<string, number>()
  for (const { queued, bill } of variants) {
    if (queued === 0) continue
    for (const { materialKey, perFly } of bill)
      taken.set(materialKey, (taken.get(materialKey) ?? 0) + queued * perFly)
  }
  return drawers.map((drawer) => ({
    ...drawer,
    onHand: drawer.onHand === null ? null : drawer.onHand - (taken.get(drawer.key) ?? 0),
  }))
}

/** The limits of a plan, and what a fly takes of them. */
function limitsOf(inputs: PlanInputs) {
  const drawers = storesAfterQueue(inputs).filter(({ onHand }) => onHand !== null)
  const periods = periodsOf(inputs)
  const at = new Map([...drawers, ...inputs.places].map(({ key }, i) => [key, i]))
  return {
    usesOf: (amounts: readonly { readonly key: string; readonly perFly: number }[]) =>
      amounts.flatMap(({ key, perFly }) => {
        const limit = at.get(key)
        return limit === undefined || perFly <= 0 ? [] : [{ limit, perFly }]
      }),
    limits: [
      ...drawers.map(({ key, onHand, leadTimeDays }) => ({
        key,
        available: periods.map(({ evenings, outing }) => {
          const tiedBy = evenings.at(-1)?.on ?? outing.on
          const comes = leadTimeDays !== null && epochDayOf(inputs.today) + leadTimeDays <= epochDayOf(tiedBy)
          return comes ? PLENTY : Math.max(onHand ?? 0, 0)
        }),
      })),
      ...inputs.places.map(({ key, room }) => ({ key, available: periods.map(() => Math.max(room, 0)) })),
    ],
  }
}

/** A plan's problem with what its needs stand for. */
export interface MadeProblem {
  readonly problem: PlanProblem
  readonly needs: readonly PlannedNeed[]
}

/** The plan's problem from what is known. Yields the share that is done. */
export function* problemOf(inputs: PlanInputs): Generator<{ readonly done: number }, MadeProblem> {
  const periods = periodsOf(inputs)
  const needs = yield* plannedNeeds(inputs)
  const periodOf = new Map(periods.map(({ outing }, k) => [outing.key, k]))
  const served = new Map<string, { need: number; quality: number }[]>()
  for (const [n, need] of needs.entries()) {
    for (const { variant, quality } of need.serves) {
      const known = served.get(variant.key)
      if (known) known.push({ need: n, quality })
      else served.set(variant.key, [{ need: n, quality }])
    }
  }
  const { limits, usesOf } = limitsOf(inputs)
  const time = benchTime(inputs)
  return {
    needs,
    problem: {
      periods: periods.map(({ outing }, k) => ({
        key: outing.key,
        minutesByNights: minutesByNights(time[k] ?? [], outing.on),
      })),
      needs: needs.map((need) => ({
        key: need.key,
        period: periodOf.get(need.outingKey) ?? 0,
        adds: hoursAdded(need),
      })),
      candidates: inputs.variants.flatMap((variant): PlanProblem['candidates'][number][] => {
        const serves = served.get(variant.key) ?? []
        const fixed = inputs.choices[variant.key] ?? null
        if (!variant.look) return []
        return [
          {
            key: variant.key,
            minutesEach: variant.minutesEach,
            nightsToDry: Math.min(variant.nightsToDry, LONGEST_DRYING),
            dislike: variant.dislike,
            trust: variant.trust,
            onHand: variant.onHand + variant.queued,
            most: MOST_TIED,
            uses: usesOf([
              ...variant.bill.map(({ materialKey, perFly }) => ({ key: materialKey, perFly })),
              // what the user asks for finds a place somewhere
              ...(variant.placeKey !== null && fixed === null ? [{ key: variant.placeKey, perFly: 1 }] : []),
            ]),
            serves,
            survives: periods.map(({ outing }) =>
              comesBack(
                serves
                  .flatMap(({ need }) => needs[need] ?? [])
                  .filter(({ outingKey }) => outingKey === outing.key),
              ),
            ),
            fixed,
          },
        ]
      }),
      limits,
    },
  }
}
