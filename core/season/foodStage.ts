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
  readonly trigger: Trigger
}

/** One life stage of a food. */
export interface FoodStage {
  readonly id: string
  readonly stage: string
  readonly months: readonly (StageMonth | null)[]
  readonly colours: readonly { readonly name: string; readonly hexWet: string; readonly share: number }[]
  readonly depthBandRiver: DepthBand | null
  readonly depthBandStillwater: DepthBand | null
  readonly waterKinds: Readonly<Partial<Record<WaterKind, number>>>
  readonly hours: readonly StageHours[]
  /** 0 to 1 */
  readonly importance: number
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
