import { clamp, sum } from '../number/index.ts'
import { seenOn, SIGN_GROUPS } from './signs.ts'
import type { OfFood, Sign } from './signs.ts'

/** A stage with the share of the fish that are on it, 0 to 1. */
export interface OnStage extends OfFood {
  readonly id: string
  readonly share: number
}

/** A sign that was looked for: seen, or not. */
export interface Looked {
  readonly sign: Sign
  readonly seen: boolean
}

/** How the fish are shared out: over stages, and those that take whatever comes. */
export interface Shares {
  readonly stages: readonly OnStage[]
  readonly whatever: number
}

/** What is beyond the strongest sign of a group counts for at most so much of it. */
const OTHERS_AT_MOST = 0.5

/** What a sign that was looked for says of a stage against any other day, as logarithm. */
function saidOf({ sign, seen }: Looked, stage: OfFood | null): number {
  const [on, any] = [seenOn(sign, stage), sign.background]
  return seen ? Math.log(on / any) : Math.log((1 - on) / (1 - any))
}

/**
 * What signs say of a stage together, as logarithm: of a group the strongest in full, the others for half of it at most, as
 * they are hardly independent. More for a stage never makes it less.
 */
export function evidenceFor(looked: readonly Looked[], stage: OfFood | null): number {
  return sum(
    SIGN_GROUPS.map((group) => {
      const said = looked.filter(({ sign }) => sign.group === group).map((one) => saidOf(one, stage))
      const strongest = said.reduce((most, one) => (Math.abs(one) > Math.abs(most) ? one : most), 0)
      const room = OTHERS_AT_MOST * Math.abs(strongest)
      return strongest + clamp(sum(said) - strongest, -room, room)
    }),
  )
}

/** How the fish are shared out after signs, by Bayes' rule: those on a stage, and those that take whatever comes. */
export function reckon(before: Shares, looked: readonly Looked[]): Shares {
  const times = (stage: OfFood | null, share: number) => share * Math.exp(evidenceFor(looked, stage))
  const stages = before.stages.map((stage) => ({ ...stage, share: times(stage, stage.share) }))
  const whatever = times(null, before.whatever)
  const all = sum(stages.map(({ share }) => share)) + whatever
  if (all <= 0) return before
  return { stages: stages.map((stage) => ({ ...stage, share: stage.share / all })), whatever: whatever / all }
}

/** Signs that say something that is not in the forecast yet: a state of the water counts once. */
export const notForecast = (looked: readonly Looked[], known: ReadonlySet<string>): readonly Looked[] =>
  looked.filter(({ sign }) => !(sign.isCondition && known.has(sign.key)))
