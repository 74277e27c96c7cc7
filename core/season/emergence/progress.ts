import { dayOfMonthDay } from './trigger.ts'
import type { DatedTrigger } from './trigger.ts'

/** How far a year has come towards the start of a stage; null where warmth has no part in it. */
export type TowardsStart =
  | {
      readonly kind: 'threshold'
      readonly tempC: number
      readonly thresholdC: number
      readonly rising: boolean
    }
  | { readonly kind: 'degreeDays'; readonly sum: number; readonly wanted: number; readonly baseC: number }
  | null

/**
 * Progress of a year towards a start.
 *
 * @param waterC    daily mean of a day of the year, read or likely
 * @param dayOfYear today
 */
export function towardsStart(
  trigger: DatedTrigger,
  waterC: (dayOfYear: number) => number,
  dayOfYear: number,
): TowardsStart {
  if (trigger.kind === 'waterTemp') {
    const { thresholdC, direction } = trigger
    return { kind: 'threshold', tempC: waterC(dayOfYear), thresholdC, rising: direction === 'rising' }
  }
  if (trigger.kind !== 'degreeDays') return null
  let sum = 0
  for (let day = dayOfMonthDay(trigger.startOn); day <= dayOfYear; day += 1) {
    sum += Math.max(waterC(day) - trigger.baseC, 0)
  }
  return { kind: 'degreeDays', sum, wanted: trigger.degreeDays, baseC: trigger.baseC }
}
