import { parseDate, toZoned } from '@internationalized/date'
import type { Spot, WaterKind } from '../../core/index.ts'
import type { Moment } from './useMoment.ts'

/** Minutes that a zone is ahead of UTC at noon of a day. */
const offsetMinutes = (on: string, timeZone: string): number =>
  toZoned(parseDate(on), timeZone).set({ hour: 12 }).offset / 60_000

/** The reach of a moment as the sun and the larder know it; a common river where there is no water yet. */
export function reachStateOf(moment: Moment | null): Spot & { readonly waterKind: WaterKind } {
  if (!moment) return { waterKind: 'freestone', latitudeDeg: 54, longitudeDeg: 0, utcOffsetMinutes: 0 }
  const { waterKind, latitudeDeg, longitudeDeg, timeZone } = moment.reach
  return { waterKind, latitudeDeg, longitudeDeg, utcOffsetMinutes: offsetMinutes(moment.on, timeZone) }
}
