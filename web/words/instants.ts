import { fromAbsolute, toCalendarDate, toTime } from '@internationalized/date'

/** An instant as a tier reads it: `Thu 4 Jun 2026, 19:40`. */
export function instantName(atMs: number, timeZone: string): string {
  const at = new Date(atMs)
  const day = at.toLocaleDateString('en-GB', {
    timeZone,
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    year: 'numeric',
  })
  const time = at.toLocaleTimeString('en-GB', { timeZone, hour: '2-digit', minute: '2-digit' })
  return `${day.replace(',', '')}, ${time}`
}

/** How many times midnight struck in a zone between two instants; 0 on the same day. */
export const daysBetween = (fromMs: number, toMs: number, timeZone: string): number =>
  toCalendarDate(fromAbsolute(toMs, timeZone)).compare(toCalendarDate(fromAbsolute(fromMs, timeZone)))

/** The day of an instant in a zone, YYYY-MM-DD. */
export const dayOf = (atMs: number, timeZone: string): string =>
  toCalendarDate(fromAbsolute(atMs, timeZone)).toString()

/** Minute of the day of an instant in a zone. */
export function minuteOfDay(atMs: number, timeZone: string): number {
  const { hour, minute } = toTime(fromAbsolute(atMs, timeZone))
  return hour * 60 + minute
}
