import type { Trigger } from './emergence/index.ts'

/** Where in the water a stage is met. */
export const DEPTH_BANDS = ['bottom', 'midWater', 'topHalfMetre', 'inFilm', 'onFilm'] as const
export type DepthBand = (typeof DEPTH_BANDS)[number]

export const WATER_KINDS = [
  'freestone',
  'springFed',
  'tailwater',
  'smallStream',
  'lowlandStillwater',
  'uplandTarn',
  'reservoir',
] as const
export type WaterKind = (typeof WATER_KINDS)[number]

/** What a month knows of a stage: body length without tails, and the chance to meet it in numbers. */
export interface StageMonth {
  readonly lengthMmLow: number
  readonly lengthMmHigh: number
  /** 0 to 1 on a water where it is at home */
  readonly likelihood: number
}

/** A window of the day, minutes from an anchor of the sun. */
export interface StageHours {
  readonly anchor: 'sunrise' | 'solarNoon' | 'sunset'
  readonly fromMin: number
  readonly toMin: number
  /** 0 to 1 */
  readonly weight: number
  readonly seasons: readonly ('winter' | 'spring' | 'summer' | 'autumn')[]
  readonly weather: string
}

/** One of several generations of a stage in a year. Months are 1 to 12. */
export interface Brood {
  readonly name: string
  readonly months: readonly number[]
  /** how long the natural is, where this is known of the brood: figures take it from the stage's months */
  readonly lengthMmLow?: number
  readonly lengthMmHigh?: number
  readonly trigger: Trigger
}

/**
 * Food within reach of one trout in a minute at a good lie while a stage is about: 1 is the usual drift by day of all
 * small nymphs and larvae of a fertile river, about 1.5 mg of dry mass. 10, 50 and 90 % points of a log-normal spread.
 */
export interface Amount {
  readonly low: number
  readonly usual: number
  readonly peak: number
}

/** What must be so for a stage to be about, beyond months and hours. */
export const NEEDS = [
  'risingLevel',
  'wind',
  'calm',
  'bright',
  'calmBright',
  'swarmDay',
  'mildEvening',
  'mildAir',
  'swimmingFry',
  'spawningFish',
] as const
export type Need = (typeof NEEDS)[number]

/** One life stage of a food. */
export interface FoodStage {
  readonly id: string
  /** the food that it is a stage of: its stages come and go together */
  readonly foodId: string
  readonly stage: string
  readonly months: readonly (StageMonth | null)[]
  readonly colours: readonly { readonly name: string; readonly hexWet: string; readonly share: number }[]
  readonly depthBandRiver: DepthBand | null
  readonly depthBandStillwater: DepthBand | null
  readonly waterKinds: Readonly<Partial<Record<WaterKind, number>>>
  readonly hours: readonly StageHours[]
  /** 0 to 1 */
  readonly importance: number
  readonly amount: Amount
  /** share of that mass which is as good as taken at the cost of one easy rise, 0 to 1 */
  readonly ease: number
  /** how closely a fly must match while trout are on it, 0 to 1 */
  readonly choosy: number
  readonly needs: Need | null
  /** length of the natural over that of the hook which it is dressed on, eye to bend */
  readonly bodyOverHook: number
  /** the stage of the same food with whose start its months and lengths move; null where they stay */
  readonly shiftsWith: string | null
  readonly trigger: Trigger
  /** in calendar order; empty where there is one a year */
  readonly broods: readonly Brood[]
}

/** Whether a kind of water stands still. */
export const isStillwater = (kind: WaterKind): boolean =>
  kind === 'lowlandStillwater' || kind === 'uplandTarn' || kind === 'reservoir'

/** The band of a stage in a kind of water; null where it does not occur there. */
export const bandIn = (stage: FoodStage, kind: WaterKind): DepthBand | null =>
  isStillwater(kind) ? stage.depthBandStillwater : stage.depthBandRiver
