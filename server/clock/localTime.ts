/** Civil date, minute of the day and offset of an instant in an IANA zone. */
export interface LocalTime {
  readonly on: string
  readonly localMin: number
  /** minutes that local time is ahead of UTC */
  readonly utcOffsetMinutes: number
}

const formatters = new Map<string, Intl.DateTimeFormat>()

function formatterOf(timeZone: string): Intl.DateTimeFormat {
  const known = formatters.get(timeZone)
  if (known) return known
  const made = new Intl.DateTimeFormat('en-GB', {
    timeZone,
    hourCycle: 'h23',
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
    hour: '2-digit',
    minute: '2-digit',
  })
  formatters.set(timeZone, made)
  return made
}

/** The local time of an instant. */
export function localTime(atMs: number, timeZone: string): LocalTime {
  const parts = Object.fromEntries(
    formatterOf(timeZone)
      .formatToParts(atMs)
      .map(({ type, value }) => [type, value]),
  )
  const on = `${parts.year}-${parts.month}-${parts.day}`
  const localMin = Number(parts.hour) * 60 + Number(parts.minute)
  const utcOffsetMinutes = Math.round((Date.parse(`${on}T00:00:00Z`) + localMin * 60_000 - atMs) / 60_000)
  return { on, localMin, utcOffsetMinutes }
}

/** The offset at noon of a civil date. */
export const offsetOn = (on: string, timeZone: string): number =>
  localTime(Date.parse(`${on}T12:00:00Z`), timeZone).utcOffsetMinutes
