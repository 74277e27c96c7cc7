import { matchFly } from '../match/index.ts'
import { bandIn, dateOf, epochDayOf } from '../season/index.ts'
import type { DepthBand } from '../season/index.ts'
import type { ComingOuting, PlanInputs, TieableVariant } from './inputs.ts'
import { learnedLossRate, parFor, priorLossRate } from './losses.ts'
import type { LossClass, LossRate } from './losses.ts'
import type { PlanProblem } from './problem.ts'

/** An evening at the bench. */
export interface Evening {
  readonly on: string
  readonly minutes: number
}

/** The foods of an outing that are planned for: the most worthwhile, none that hardly matters. */
const MOST_NEEDS = 20
const LEAST_WORTH = 0.03
/** Of an outing, a fly is in the water for about this share: several are fished in turn. */
const SHARE_FISHED = 0.4
/** A fly that was made for a food is preferred to one that happens to serve it. */
const NOT_MEANT = 0.8
/** Nobody plans more of one fly for one outing. */
const MOST_WANTED = 6
const MOST_ROOM = 12
/** A drawer that can be filled in time holds as much as anyone ties. */
const PLENTY = 1e7

const weekdayOf = (day: number) => ((((day + 3) % 7) + 7) % 7) + 1

/** The evenings from today up to the day before an outing, by the days of the week that the user ties on. */
export function eveningsUntil(
  from: string,
  until: string,
  { minutes, weekdays }: PlanInputs['evenings'],
): readonly Evening[] {
  const evenings: Evening[] = []
  for (let day = epochDayOf(from); day < epochDayOf(until); day += 1) {
    if (weekdays.includes(weekdayOf(day))) evenings.push({ on: dateOf(day), minutes })
  }
  return evenings
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

/** How often a variant is lost where it fishes for a band. */
export function lossRateOf(
  { lost, hoursFished }: TieableVariant,
  band: DepthBand,
  snagginess: number,
): LossRate {
  return learnedLossRate(priorLossRate(LOSS_CLASS[band], snagginess), lost, hoursFished)
}

/** A need as it is shown: which food of which outing. */
export interface PlannedNeed {
  readonly key: string
  readonly outingKey: string
  readonly stageKey: string
  readonly wanted: number
}

/** The plan's problem from what is known, with what its needs stand for. */
export function problemOf(inputs: PlanInputs): {
  readonly problem: PlanProblem
  readonly needs: readonly PlannedNeed[]
} {
  const periods = periodsOf(inputs)
  const stages = new Map(inputs.stages.map((stage) => [stage.id, stage]))
  const usable = inputs.variants.filter(({ look }) => look !== null)
  const serves = usable.map((): { need: number; quality: number }[] => [])
  const needs: PlannedNeed[] = []
  const rows: PlanProblem['needs'][number][] = []
  for (const [period, { outing }] of periods.entries()) {
    const foods = [...outing.foods].sort((a, b) => b.worth - a.worth).slice(0, MOST_NEEDS)
    for (const { stageKey, worth, lengthMmLow, lengthMmHigh } of foods) {
      const stage = stages.get(stageKey)
      const band = stage && bandIn(stage, outing.waterKind)
      if (!stage || !band || worth < LEAST_WORTH || lengthMmHigh === 0) continue
      const place = { ...outing, lengthMmLow, lengthMmHigh }
      const rates: LossRate[] = []
      for (const [v, variant] of usable.entries()) {
        if (!variant.look) continue
        const match = matchFly(
          { behaviour: variant.behaviour, look: variant.look },
          stage,
          place,
          inputs.school,
        )
        const meant = variant.meantFor.includes(stageKey)
        // many flies that are nearly right do not make one that is: what serves in part counts only where it is meant
        if (match.verdict === 'doesNot' || (match.verdict === 'inPart' && !meant)) continue
        serves[v]?.push({ need: needs.length, quality: match.score * (meant ? 1 : NOT_MEANT) })
        if (meant) rates.push(lossRateOf(variant, band, outing.snagginess))
      }
      const rate = rates[0] ?? priorLossRate(LOSS_CLASS[band], outing.snagginess)
      const wanted = Math.min(parFor(rate, outing.hours * SHARE_FISHED, inputs.serviceLevel), MOST_WANTED)
      needs.push({ key: `${outing.key} ${stageKey}`, outingKey: outing.key, stageKey, wanted })
      rows.push({ key: `${outing.key} ${stageKey}`, period, worth, wanted })
    }
  }
  const drawers = inputs.drawers.filter(({ onHand }) => onHand !== null)
  const drawerAt = new Map(drawers.map(({ key }, i) => [key, i]))
  return {
    needs,
    problem: {
      periods: periods.map(({ outing, evenings }) => ({
        key: outing.key,
        minutes: evenings.reduce((sum, { minutes }) => sum + minutes, 0),
      })),
      needs: rows,
      candidates: usable.map((variant, v) => ({
        key: variant.key,
        minutesEach: variant.minutesEach,
        dislike: variant.dislike,
        onHand: variant.onHand,
        room: Math.min(variant.room ?? MOST_ROOM, MOST_ROOM),
        uses: variant.bill.flatMap(({ materialKey, perFly }) => {
          const material = drawerAt.get(materialKey)
          return material === undefined || perFly <= 0 ? [] : [{ material, perFly }]
        }),
        serves: serves[v] ?? [],
        fixed: inputs.choices[variant.key] ?? null,
      })),
      materials: drawers.map(({ key, onHand, leadTimeDays }) => ({
        key,
        available: periods.map(({ evenings, outing }) => {
          const tiedBy = evenings.at(-1)?.on ?? outing.on
          const comes = leadTimeDays !== null && epochDayOf(inputs.today) + leadTimeDays <= epochDayOf(tiedBy)
          return comes ? PLENTY : Math.max(onHand ?? 0, 0)
        }),
      })),
    },
  }
}
