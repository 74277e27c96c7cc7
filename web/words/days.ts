import { dateOf, HALF_YEAR_DAYS } from '../../core/index.ts'

/** Months as charts name them. */
export const MONTHS: readonly string[] = [
  'Jan',
  'Feb',
  'Mar',
  'Apr',
  'May',
  'Jun',
  'Jul',
  'Aug',
  'Sep',
  'Oct',
  'Nov',
  'Dec',
]
/** An epoch day that is 1 January of a common year. */
const SOME_NEW_YEAR = 19_358
/** `2 Jun` of a day of a window's year: from 1 January, in the south from 1 July. */
export function dayMonth(dayOfYear: number, south: boolean): string {
  const date = dateOf(SOME_NEW_YEAR + ((Math.round(dayOfYear) + (south ? HALF_YEAR_DAYS : 0) + 365) % 365))
  return `${Number(date.slice(8))} ${MONTHS[Number(date.slice(5, 7)) - 1] ?? ''}`
}
