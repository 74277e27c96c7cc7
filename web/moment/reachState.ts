import { parseDate, toZoned } from '@internationalized/date'
import type { EmergenceWindow, ReachSeason, ReachState } from '../../core/index.ts'
import type { ReachSeasonView } from '../../contract/index.ts'
import type { Moment } from './useMoment.ts'

/** Minutes that a zone is ahead of UTC at noon of a day. */
const offsetMinutes = (on: string, timeZone: string): number =>
  toZoned(parseDate(on), timeZone).set({ hour: 12 }).offset / 60_000

/** What the server has of a reach's season, as core reckons with it; null until its windows were worked out. */
export function toReachSeason(view: ReachSeasonView, moment: Moment): ReachSeason | null {
  if (view.windows.length === 0) return null
  const windows = new Map<string, EmergenceWindow[]>()
  for (const { after } of view.windows) {
    windows.set(after.stageKey, [...(windows.get(after.stageKey) ?? []), after])
  }
  return {
    windows,
    seenOn: new Map(Object.entries(view.seenOn)),
    waterTempC: moment.waterTempC,
    trendCPerDay: view.warmth.trendCPerDay,
    measured: view.days.length > 0,
  }
}

/** The reach of a moment as the season knows it; a common river where there is no water yet. */
export function reachStateOf(moment: Moment | null, season: ReachSeason | null = null): ReachState {
  if (!moment) return { waterKind: 'freestone', latitudeDeg: 54, longitudeDeg: 0, utcOffsetMinutes: 0 }
  const { waterKind, latitudeDeg, longitudeDeg, timeZone } = moment.reach
  return { waterKind, latitudeDeg, longitudeDeg, utcOffsetMinutes: offsetMinutes(moment.on, timeZone), season }
}
