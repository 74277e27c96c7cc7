import { forbiddenBy } from './rules.ts'
import { matchFly } from '../match/index.ts'
import { bandIn, dateOf, epochDayOf } from '../season/index.ts'
import type { DepthBand } from '../season/index.ts'
import type { ComingOuting, EveningHabits, PlanInputs, TieableVariant } from './inputs.ts'
import { classFactor, expectedLosses, learnedLossRate, parFor, priorLossRate, usualLosses } from './losses.ts'
import type { ClassRecord, LossClass, LossRate } from './losses.ts'
import type { PlanProblem } from './problem.ts'

/** An evening at the bench. */
export interface Evening {
  readonly on: string
  readonly minutes: number
}

/** The foods of an outing that are planned for: the most worthwhile, none that hardly matters. */
const MOST_NEEDS = 20
const LEAST_WORTH = 0.008
/** Of an outing, a fly is in the water for about this share: several are fished in turn. */
const SHARE_FISHED = 0.4
/** A fly that was made for a food is preferred to one that happens to serve it. */
const NOT_MEANT = 0.8
/** Nobody plans more of one fly for one outing. */
const MOST_WANTED = 6
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

const LOSS_CLASS: Readonly<Record<DepthBand, LossClass>> = {
  bottom: 'bottom',
  midWater: 'midWater',
  topHalfMetre: 'midWater',
  inFilm: 'surface',
  onFilm: 'surface',
}

/** From this speed on a fly is fished near the bottom, mm/s with its line. */
const BOTTOM_MM_PER_S = 120

/** How a fly is mostly fished, by what it does in the water; null where nobody knows. */
function classOf({ behaviour }: TieableVariant): LossClass | null {
  switch (behaviour.kind) {
    case 'floats':
      return 'surface'
    case 'sinks':
      return behaviour.sinkSpeedMmPerS >= BOTTOM_MM_PER_S ? 'bottom' : 'midWater'
    case 'unknown':
      return null
  }
}

/**
 * What a variant adds to the record of its class. Of hours that nobody noted each is credited with a good share, since it
 * may have been the one that was fished; all of them together were not fished longer than that, and share them evenly.
 */
function recordOf(variant: TieableVariant, lossClass: LossClass, inputs: PlanInputs): ClassRecord {
  const { variants, snagginessFished, unnoted } = inputs
  const hours = Math.max(variant.hoursFished - unnoted.each, 0) + unnoted.hours / variants.length
  return { lost: variant.lost, expected: hours * usualLosses(lossClass, snagginessFished) }
}

/** What was lost of each class, by the snagginess of the waters that were fished. */
function recordsOf(inputs: PlanInputs): ReadonlyMap<LossClass, ClassRecord> {
  const records = new Map<LossClass, ClassRecord>()
  for (const variant of inputs.variants) {
    const lossClass = classOf(variant)
    if (lossClass === null) continue
    const { lost, expected } = records.get(lossClass) ?? { lost: 0, expected: 0 }
    const own = recordOf(variant, lossClass, inputs)
    records.set(lossClass, { lost: lost + own.lost, expected: expected + own.expected })
  }
  return records
}

/**
 * How often a variant is lost where it fishes for a band: its own losses on top of a prior that has learned from those of
 * all others of its class.
 */
function lossRates(inputs: PlanInputs) {
  const records = recordsOf(inputs)
  const none = { lost: 0, expected: 0 }
  const prior = (band: DepthBand, { snagginess, technique }: ComingOuting, without: ClassRecord) => {
    const { lost, expected } = records.get(LOSS_CLASS[band]) ?? none
    const factor = classFactor({
      lost: Math.max(lost - without.lost, 0),
      expected: Math.max(expected - without.expected, 0),
    })
    return priorLossRate(LOSS_CLASS[band], { snagginess, technique, factor })
  }
  return {
    ofNew: (band: DepthBand, outing: ComingOuting) => prior(band, outing, none),
    of: (variant: TieableVariant, band: DepthBand, outing: ComingOuting) => {
      const { lost, hoursFished } = variant
      const own = LOSS_CLASS[band] === classOf(variant) ? recordOf(variant, LOSS_CLASS[band], inputs) : none
      return learnedLossRate(prior(band, outing, own), lost, hoursFished)
    },
  }
}

/** A need as it is shown: which food of which outing. */
export interface PlannedNeed {
  readonly key: string
  readonly outingKey: string
  readonly stageKey: string
  readonly wanted: number
}

/** A variant as rules speak of it. */
const ruledFly = ({ behaviour, hookSize, lead, weighted }: TieableVariant) => ({
  floats: behaviour.kind === 'floats',
  hookSize,
  lead,
  weighted,
})

/** The plan's problem from what is known, with what its needs stand for. */
export function problemOf(inputs: PlanInputs): {
  readonly problem: PlanProblem
  readonly needs: readonly PlannedNeed[]
} {
  const periods = periodsOf(inputs)
  const stages = new Map(inputs.stages.map((stage) => [stage.id, stage]))
  const usable = inputs.variants.filter(({ look }) => look !== null)
  const serves = usable.map((): { need: number; quality: number }[] => [])
  const likeliest = usable.map(() => periods.map(() => ({ worth: 0, survives: 1 })))
  const rates = lossRates(inputs)
  const needs: PlannedNeed[] = []
  const rows: PlanProblem['needs'][number][] = []
  for (const [period, { outing }] of periods.entries()) {
    const foods = [...outing.foods].sort((a, b) => b.worth - a.worth).slice(0, MOST_NEEDS)
    for (const { stageKey, worth, lengthMmLow, lengthMmHigh } of foods) {
      const stage = stages.get(stageKey)
      const band = stage && bandIn(stage, outing.waterKind)
      if (!stage || !band || worth < LEAST_WORTH || lengthMmHigh === 0) continue
      const place = { ...outing, lengthMmLow, lengthMmHigh }
      const meantRates: LossRate[] = []
      const serving: { v: number; worth: number; rate: LossRate }[] = []
      for (const [v, variant] of usable.entries()) {
        if (!variant.look || forbiddenBy(outing.rules, ruledFly(variant))) continue
        const match = matchFly(
          { behaviour: variant.behaviour, look: variant.look },
          stage,
          place,
          inputs.school,
        )
        const meant = variant.meantFor.includes(stageKey)
        // many flies that are nearly right do not make one that is: what serves in part counts only where it is meant
        if (match.verdict === 'doesNot' || (match.verdict === 'inPart' && !meant)) continue
        const quality = match.score * (meant ? 1 : NOT_MEANT)
        const rateHere = rates.of(variant, band, outing)
        serves[v]?.push({ need: needs.length, quality })
        serving.push({ v, worth: worth * quality, rate: rateHere })
        if (meant) meantRates.push(rateHere)
      }
      const rate = meantRates[0] ?? rates.ofNew(band, outing)
      const fished = outing.hours * SHARE_FISHED
      const wanted = Math.min(parFor(rate, fished, inputs.serviceLevel), MOST_WANTED)
      // what is carried for the food that it serves best is lost at the rate met there, shared by as many as are wanted
      for (const one of serving) {
        const before = likeliest[one.v]?.[period]
        if (!before || before.worth >= one.worth) continue
        before.worth = one.worth
        before.survives = Math.max(1 - expectedLosses(one.rate, fished) / wanted, 0)
      }
      needs.push({ key: `${outing.key} ${stageKey}`, outingKey: outing.key, stageKey, wanted })
      rows.push({ key: `${outing.key} ${stageKey}`, period, worth, wanted })
    }
  }
  const drawers = inputs.drawers.filter(({ onHand }) => onHand !== null)
  const limitAt = new Map([...drawers, ...inputs.places].map(({ key }, i) => [key, i]))
  const usesOf = (amounts: readonly { readonly key: string; readonly perFly: number }[]) =>
    amounts.flatMap(({ key, perFly }) => {
      const limit = limitAt.get(key)
      return limit === undefined || perFly <= 0 ? [] : [{ limit, perFly }]
    })
  return {
    needs,
    problem: {
      periods: periods.map(({ outing, evenings }) => ({
        key: outing.key,
        minutesByNights: minutesByNights(evenings, outing.on),
      })),
      needs: rows,
      candidates: usable.map((variant, v) => {
        const fixed = inputs.choices[variant.key] ?? null
        return {
          key: variant.key,
          minutesEach: variant.minutesEach,
          nightsToDry: Math.min(variant.nightsToDry, LONGEST_DRYING),
          dislike: variant.dislike,
          onHand: variant.onHand,
          most: MOST_TIED,
          uses: usesOf([
            ...variant.bill.map(({ materialKey, perFly }) => ({ key: materialKey, perFly })),
            // what the user asks for finds a place somewhere
            ...(variant.placeKey !== null && fixed === null ? [{ key: variant.placeKey, perFly: 1 }] : []),
          ]),
          serves: serves[v] ?? [],
          survives: (likeliest[v] ?? []).map(({ survives }) => survives),
          fixed,
        }
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
    },
  }
}
