import type { ReachState } from '../../core/index.ts'
import type { Moment } from './useMoment.ts'

/** Minutes that a zone is ahead of UTC at noon of a day. */
function offsetMinutes(on: string, timeZone: string): number {
  const noon = new Date(`${on}T12:00:00Z`)
  const parts = new Intl.DateTimeFormat('en-GB', {
    timeZone,
    hourCycle: 'h23',
    day: '2-digit',
    hour: '2-digit',
    minute: '2-digit',
  })
    .formatToParts(noon)
    .reduce<Record<string, number>>((all, { type, value }) => ({ ...all, [type]: Number(value) }), {})
  const days = (parts.day ?? 0) - noon.getUTCDate()
  const wrapped = days > 1 ? -1 : days < -1 ? 1 : days
  return wrapped * 1440 + (parts.hour ?? 12) * 60 + (parts.minute ?? 0) - 720
}

/** The reach of a moment as the season knows it; a common river where there is no water yet. */
export function reachStateOf(moment: Moment | null): ReachState {
  if (!moment) return { waterKind: 'freestone', latitudeDeg: 54, longitudeDeg: 0, utcOffsetMinutes: 0 }
  const { waterKind, latitudeDeg, longitudeDeg, timeZone } = moment.reach
  return { waterKind, latitudeDeg, longitudeDeg, utcOffsetMinutes: offsetMinutes(moment.on, timeZone) }
}
