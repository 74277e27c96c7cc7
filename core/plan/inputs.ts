import type { Appearance, Behaviour, School, StageLooks } from '../match/index.ts'
import type { FoodStage, WaterKind } from '../season/index.ts'
import type { FlyRules } from './rules.ts'
import type { Technique } from './techniques.ts'

/** An outing to come, with the foods likely at its hours. */
export interface ComingOuting {
  readonly key: string
  /** YYYY-MM-DD */
  readonly on: string
  readonly hours: number
  readonly waterKind: WaterKind
  readonly bedMm: number
  readonly surfaceSpeedMmPerS: number
  /** 0 open to 4 a thicket */
  readonly snagginess: number
  /** how it will be fished; null where nobody said */
  readonly technique: Technique | null
  /** the user's note of what may be fished there */
  readonly rules: FlyRules
  readonly foods: readonly {
    readonly stageKey: string
    /** mean share of the fish that are on it */
    readonly worth: number
    readonly lengthMmLow: number
    readonly lengthMmHigh: number
  }[]
}

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
}

/** A variant that could be tied. */
export interface TieableVariant extends ServingVariant {
  readonly hookSize: number | null
  /** whether lead, and whether any weight is tied in */
  readonly lead: boolean
  readonly weighted: boolean
  /** compartment that it would lie in; null where it has none */
  readonly placeKey: string | null
  readonly minutesEach: number
  /** nights that have to pass between the bench and the water */
  readonly nightsToDry: number
  readonly dislike: number
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
