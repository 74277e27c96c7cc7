import { fromAbsolute, parseDate, toCalendarDate, toZoned } from '@internationalized/date'
import type { ZonedDateTime } from '@internationalized/date'

/** Civil date, minute of the day and offset of an instant in an IANA zone. */
export interface LocalTime {
  readonly on: string
  readonly localMin: number
  /** minutes that local time is ahead of UTC */
  readonly utcOffsetMinutes: number
}

const offsetOf = ({ offset }: ZonedDateTime) => offset / 60_000

/** The local time of an instant. */
export function localTime(atMs: number, timeZone: string): LocalTime {
  const local = fromAbsolute(atMs, timeZone)
  return {
    on: toCalendarDate(local).toString(),
    localMin: local.hour * 60 + local.minute,
    utcOffsetMinutes: offsetOf(local),
  }
}

/** The offset at noon of a civil date. */
export const offsetOn = (on: string, timeZone: string): number =>
  offsetOf(toZoned(parseDate(on), timeZone).set({ hour: 12 }))
