/** A civil date as days since 1970-01-01. */
export type EpochDay = number

const DAY_MS = 86_400_000

/**
 * Epoch day of `YYYY-MM-DD`.
 *
 * @throws RangeError for anything else
 */
export function epochDayOf(on: string): EpochDay {
  const ms = Date.parse(`${on}T00:00:00Z`)
  if (!/^\d{4}-\d{2}-\d{2}$/.test(on) || Number.isNaN(ms)) throw new RangeError(`${on} is no date YYYY-MM-DD`)
  return ms / DAY_MS
}

/** `YYYY-MM-DD` of an epoch day. */
export const dateOf = (day: EpochDay): string => new Date(day * DAY_MS).toISOString().slice(0, 10)

/** Month 0 to 11 and day of year from 0. */
export function placeInYear(day: EpochDay): {
  month: number
  dayOfMonth: number
  dayOfYear: number
  daysInMonth: number
} {
  const date = new Date(day * DAY_MS)
  const year = date.getUTCFullYear()
  const month = date.getUTCMonth()
  return {
    month,
    dayOfMonth: date.getUTCDate(),
    dayOfYear: day - Date.UTC(year, 0, 1) / DAY_MS,
    daysInMonth: new Date(Date.UTC(year, month + 1, 0)).getUTCDate(),
  }
}

/** Half a year: seasons of the south come so many days after those of the north. */
export const HALF_YEAR_DAYS = 182

/** Days from 1 January on which the months of a common year begin. */
export const MONTH_STARTS: readonly number[] = [0, 31, 59, 90, 120, 151, 181, 212, 243, 273, 304, 334]

/** Year of an epoch day. */
export const yearOf = (day: EpochDay): number => new Date(day * DAY_MS).getUTCFullYear()

/** Epoch day of the first of January of a year. */
export const newYearOf = (year: number): EpochDay => Date.UTC(year, 0, 1) / DAY_MS

/** A value given for the middle of each month, drawn straight between the middles. */
export function throughMonths(values: readonly number[], day: EpochDay): number {
  const { month, dayOfMonth, daysInMonth } = placeInYear(day)
  const fromMiddle = (dayOfMonth - 0.5) / daysInMonth - 0.5
  const other = (month + (fromMiddle < 0 ? 11 : 1)) % 12
  const share = Math.abs(fromMiddle)
  return (values[month] ?? 0) * (1 - share) + (values[other] ?? 0) * share
}
