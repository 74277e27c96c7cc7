import type { Trust } from './takes.ts'
import type { Appearance, School, StageLooks } from '../match/index.ts'
import type { Barb } from '../material/index.ts'
import type { FoodStage, WaterKind } from '../season/index.ts'
import type { FlyRules } from './rules.ts'
import type { Behaviour, Technique } from '../technique/index.ts'

/** What fish are on through an outing, half hour by half hour. */
export interface FoodThrough {
  readonly stageKey: string
  /** share of the fish that are on it in each half hour */
  readonly onIt: readonly number[]
  readonly lengthMmLow: number
  readonly lengthMmHigh: number
}

/** An outing to come, with what fish are on at its hours. */
export interface ComingOuting {
  readonly key: string
  /** YYYY-MM-DD */
  readonly on: string
  readonly fromLocalMin: number
  readonly waterKind: WaterKind
  readonly bedMm: number
  readonly surfaceSpeedMmPerS: number
  /** 0 open to 4 a thicket */
  readonly snagginess: number
  /** how it will be fished, one way after the other; empty where nobody said */
  readonly techniques: readonly Technique[]
  /** the user's note of what may be fished there */
  readonly rules: FlyRules
  readonly foods: readonly FoodThrough[]
  /** share of the fish that take whatever comes in each half hour; with those of the foods it sums to one */
  readonly whatever: readonly number[]
}

/** What a pattern is for beside a food of its own. */
export type Purpose = 'imitation' | 'attractor' | 'searching'

/** What the tier keeps a pattern for, beside the foods it is meant for. */
export const ROLES = ['prospecting', 'whenChoosy', 'muted', 'anchor'] as const
export type Role = (typeof ROLES)[number]

/** A variant as the foods of an outing are held against it. */
export interface ServingVariant {
  readonly key: string
  readonly patternKey: string
  readonly behaviour: Behaviour
  /** null where its recipe is incomplete: then it serves nothing */
  readonly look: Appearance | null
  readonly onHand: number
  /** stages that its pattern is meant for */
  readonly meantFor: readonly string[]
  readonly purpose: Purpose
  /** what it is kept for; empty where nobody said */
  readonly roles: readonly Role[]
  /** months, 1 to 12, in which an attractor or a searching pattern is fished; empty for all */
  readonly ownMonths: readonly number[]
  /** ways in which its pattern is fished; empty where nobody said */
  readonly ways: readonly Technique[]
  /** kinds of water on which its pattern is fished; empty where nobody said */
  readonly waters: readonly WaterKind[]
  readonly hookSize: number | null
  /** whether lead, and whether any weight is tied in */
  readonly lead: boolean
  readonly weighted: boolean
  /** of its hook; null where nobody said */
  readonly barb: Barb | null
}

/** A variant that could be tied. */
export interface TieableVariant extends ServingVariant {
  /** in batches that wait at the bench: they count, and so do their minutes */
  readonly queued: number
  /** compartment that it would lie in; null where it has none */
  readonly placeKey: string | null
  readonly minutesEach: number
  /** nights that have to pass between the bench and the water */
  readonly nightsToDry: number
  readonly dislike: number
  /** by what it took so far */
  readonly trust: Trust
  readonly lost: number
  readonly hoursFished: number
  readonly bill: readonly { readonly materialKey: string; readonly perFly: number }[]
}

/** A drawer that a plan may empty. */
export interface PlanDrawer {
  readonly key: string
  /** smallest steps; null where it was never counted: then it limits nothing */
  readonly onHand: number | null
  /** null where nobody knows how long it takes: then it cannot be counted on */
  readonly leadTimeDays: number | null
}

/** A compartment that flies are tied for. */
export interface PlanPlace {
  readonly key: string
  /** how many more it holds */
  readonly room: number
}

/** The evenings at the bench: so long on these days of the week, 1 Monday to 7 Sunday, and some that differ. */
export interface EveningHabits {
  readonly minutes: number
  readonly weekdays: readonly number[]
  readonly differing: readonly { readonly on: string; readonly minutes: number }[]
}

/** What the user asked for: numbers fixed, nought among them to forbid. */
export type PlanChoices = Readonly<Record<string, number>>

/** All that a plan is made from. */
export interface PlanInputs {
  readonly today: string
  readonly serviceLevel: number
  readonly school: School
  readonly evenings: EveningHabits
  readonly outings: readonly ComingOuting[]
  /** snagginess of the waters that were fished, by hours: what losses so far were suffered on */
  readonly snagginessFished: number
  /** hours of outings of which nobody noted fly by fly: all of them, and what each variant is credited with of them */
  readonly unnoted: { readonly hours: number; readonly each: number }
  readonly stages: readonly (FoodStage & StageLooks)[]
  readonly variants: readonly TieableVariant[]
  readonly drawers: readonly PlanDrawer[]
  /** those that do not hold any number */
  readonly places: readonly PlanPlace[]
  readonly choices: PlanChoices
}
