import { MONTH_STARTS } from '../calendar.ts'

/** What starts a stage. Days of the year are written MM-DD, for the north; spreads are 8 in 10, either side. */
interface Started {
  /** doubt of the start beyond that of the threshold */
  readonly spreadDays: number
  /** how long it then stays worth fishing on one reach */
  readonly durationDays: number
  /** later (or, below nought, earlier) than the start */
  readonly lagDays?: number
  /** start where warmth gives no sign, since the year hardly swings */
  readonly steadyStartOn?: string
  /** day by which it starts anyhow, on waters that come near to what it waits for */
  readonly latest?: string
}

/** Daily mean of the water at or past a threshold; 8 in 10 of the thresholds met with lie from low to high. */
export interface WaterTempTrigger extends Started {
  readonly kind: 'waterTemp'
  readonly direction: 'rising' | 'falling'
  readonly thresholdC: number
  readonly lowC: number
  readonly highC: number
  readonly notBefore: string
  readonly strongLowC?: number
  readonly strongHighC?: number
}

/** Warmth above a base, summed from a day on. */
export interface DegreeDayTrigger extends Started {
  readonly kind: 'degreeDays'
  readonly baseC: number
  readonly degreeDays: number
  readonly startOn: string
}

/** Daylight, sunrise to sunset, of so many hours. */
export interface DayLengthTrigger extends Started {
  readonly kind: 'dayLength'
  readonly direction: 'rising' | 'falling'
  readonly hours: number
  readonly notBefore: string
}

/** The warmest of the day's air. */
export interface AirTempTrigger extends Started {
  readonly kind: 'airTemp'
  readonly thresholdC: number
  readonly lowC: number
  readonly highC: number
  readonly notBefore: string
}

/** Days after the ice has gone; where it does not freeze, after the water first reaches a warmth. */
export interface IceOffTrigger extends Started {
  readonly kind: 'iceOff'
  readonly offsetDays: number
  readonly withoutIceC: number
  readonly notBefore?: string
}

/** A start that can be foretold from a year. */
export type DatedTrigger =
  WaterTempTrigger | DegreeDayTrigger | DayLengthTrigger | AirTempTrigger | IceOffTrigger

/** What starts a stage; light, a rising level and what is there all year have no start in the year. */
export type Trigger =
  | DatedTrigger
  | { readonly kind: 'allYear' }
  | { readonly kind: 'light'; readonly regime: 'glare' | 'dim' | 'night' }
  | { readonly kind: 'level'; readonly riseMm: number; readonly withinHours: number }

/** Whether a trigger gives a start in the year. */
export const isDated = (trigger: Trigger): trigger is DatedTrigger =>
  trigger.kind !== 'allYear' && trigger.kind !== 'light' && trigger.kind !== 'level'

/** What starts the broods of a stage that have dates; a stage without broods is one by itself. */
export function broodsOf({
  trigger,
  broods,
}: {
  readonly trigger: Trigger
  readonly broods: readonly { readonly trigger: Trigger }[]
}): readonly { readonly brood: number; readonly trigger: DatedTrigger }[] {
  const triggers = broods.length > 0 ? broods.map((brood) => brood.trigger) : [trigger]
  return triggers.flatMap((own, brood) => (isDated(own) ? [{ brood, trigger: own }] : []))
}

/** Few dates are asked for again and again. */
const known = new Map<string, number>()

/** Day of the year, from 0, of MM-DD. */
export function dayOfMonthDay(monthDay: string): number {
  const before = known.get(monthDay)
  if (before !== undefined) return before
  const month = Number(monthDay.slice(0, 2))
  const day = (MONTH_STARTS[month - 1] ?? 0) + Number(monthDay.slice(3, 5)) - 1
  known.set(monthDay, day)
  return day
}
