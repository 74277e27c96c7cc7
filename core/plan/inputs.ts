import type { Appearance, Behaviour, School, StageLooks } from '../match/index.ts'
import type { FoodStage, WaterKind } from '../season/index.ts'

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
  readonly foods: readonly {
    readonly stageKey: string
    /** likelihood × importance */
    readonly worth: number
    readonly lengthMmLow: number
    readonly lengthMmHigh: number
  }[]
}

/** A variant that could be tied. */
export interface TieableVariant {
  readonly key: string
  readonly behaviour: Behaviour
  /** null where its recipe is incomplete: then it is not planned */
  readonly look: Appearance | null
  readonly onHand: number
  /** how many more its place holds; null where it has none or holds any number */
  readonly room: number | null
  readonly minutesEach: number
  readonly dislike: number
  readonly lost: number
  readonly hoursFished: number
  readonly bill: readonly { readonly materialKey: string; readonly perFly: number }[]
  /** stages that its pattern is meant for */
  readonly meantFor: readonly string[]
}

/** A drawer that a plan may empty. */
export interface PlanDrawer {
  readonly key: string
  /** smallest steps; null where it was never counted: then it limits nothing */
  readonly onHand: number | null
  /** null where nobody knows how long it takes: then it cannot be counted on */
  readonly leadTimeDays: number | null
}

/** What the user asked for: numbers fixed, nought among them to forbid. */
export type PlanChoices = Readonly<Record<string, number>>

/** All that a plan is made from. */
export interface PlanInputs {
  readonly today: string
  readonly serviceLevel: number
  readonly school: School
  readonly evenings: { readonly minutes: number; readonly weekdays: readonly number[] }
  readonly outings: readonly ComingOuting[]
  readonly stages: readonly (FoodStage & StageLooks)[]
  readonly variants: readonly TieableVariant[]
  readonly drawers: readonly PlanDrawer[]
  readonly choices: PlanChoices
}
