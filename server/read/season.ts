import { asc, isNull } from 'drizzle-orm'
import {
  AS_USUAL,
  borrowSeasonal,
  CORE_VERSION,
  datedBroods,
  epochDayOf,
  firstDayOf,
  fitSeasonal,
  forecastC,
  HALF_YEAR_DAYS,
  learnedWindow,
  learnShift,
  leaveOneOut,
  newYearOf,
  onsetDay,
  peakDayOf,
  trendCPerDay,
  usualModel,
  yearAsItWas,
  yearOf,
} from '../../core/index.ts'
import type {
  Backtest,
  DatedBrood,
  DayReading,
  EmergenceWindow,
  Learned,
  Note,
  ReachSeason,
  SeasonalModel,
} from '../../core/index.ts'
import type { Reader } from '../db/database.ts'
import { keptUntilWrite } from '../db/kept.ts'
import { observation, readingDay, seasonWindow } from '../db/schema.ts'
import { contentHash } from '../db/ids.ts'
import { loadReaches } from './reaches.ts'
import type { LoadedReach } from './reaches.ts'
import { loadStages } from './stages.ts'
import type { ReachId } from '../../contract/index.ts'

/** A note as it is stored. */
export type ObservationRow = typeof observation.$inferSelect

/** How warm a reach is, from its readings, its river's, or its kind. */
export interface Warmth {
  readonly loaded: LoadedReach
  readonly model: SeasonalModel
  /** daily means just below the surface, in order */
  readonly days: readonly DayReading[]
  readonly latest: DayReading | null
  readonly trendCPerDay: number | null
}

/** Readings this near to the surface say how warm a reach is, mm. */
const SURFACE_MM = 1500

async function daysByReach(db: Reader): Promise<ReadonlyMap<string, readonly DayReading[]>> {
  const rows = await db.select().from(readingDay).orderBy(asc(readingDay.reachId), asc(readingDay.day))
  const byReach = new Map<string, DayReading[]>()
  for (const { reachId, depthMm, day, meanC } of rows) {
    if (depthMm > SURFACE_MM) continue
    const own = byReach.get(reachId) ?? []
    if (own.at(-1)?.day !== day) own.push({ day, meanC })
    byReach.set(reachId, own)
  }
  return byReach
}

/** How warm every reach is: those with readings first, then those that borrow from their own river. */
async function readWarmth(db: Reader): Promise<ReadonlyMap<string, Warmth>> {
  const reaches = await loadReaches(db)
  const days = await daysByReach(db)
  const fitted = new Map(
    reaches.flatMap(({ reach }) => {
      const own = days.get(reach.id) ?? []
      return own.length > 0 ? [[reach.id, fitSeasonal(own, usualModel(reach.defaultTempC))] as const] : []
    }),
  )
  return new Map(
    reaches.map((loaded) => {
      const { reach } = loaded
      const own = days.get(reach.id) ?? []
      const lenders = reaches.flatMap(({ reach: other }) => {
        const model = fitted.get(other.id)
        return model && other.waterId === reach.waterId && other.id !== reach.id
          ? [{ elevationM: other.elevationM, model }]
          : []
      })
      const prior = borrowSeasonal(reach.elevationM, lenders) ?? usualModel(reach.defaultTempC)
      const latest = own.at(-1) ?? null
      return [
        reach.id,
        {
          loaded,
          model: fitSeasonal(own, prior),
          days: own,
          latest,
          trendCPerDay: latest && trendCPerDay(own, latest.day),
        },
      ]
    }),
  )
}

/** How warm every reach is, from its readings, its river’s or its kind. */
export const loadWarmth = keptUntilWrite(readWarmth, [loadReaches, readingDay])

const inTenths = (tempC: number) => Math.round(Math.min(Math.max(tempC, 0), 30) * 10) / 10

/** Temperature of a reach on a day, °C in tenths: from its latest reading towards its season. */
export async function tempOn(db: Reader, reachId: ReachId, on: string): Promise<number> {
  const warmth = (await loadWarmth(db)).get(reachId)
  return warmth ? inTenths(forecastC(warmth.model, warmth.latest, epochDayOf(on)).value) : 10
}

async function readBroods(db: Reader): Promise<readonly DatedBrood[]> {
  return datedBroods((await loadStages(db)).map(({ core }) => core))
}
/** Broods of the larder that have dates. */
export const loadBroods = keptUntilWrite(readBroods, [loadStages])

const rounded = (model: SeasonalModel) =>
  Object.entries(model).map(([key, value]) => [key, typeof value === 'number' ? value.toFixed(3) : value])

/** What the windows of a reach hang on, as a hash: kept windows of another one are stale. */
export async function windowsHash(db: Reader, { loaded, model }: Warmth): Promise<string> {
  const broods = await loadBroods(db)
  return contentHash([
    CORE_VERSION,
    rounded(model),
    loaded.water.latitudeDeg,
    loaded.reach.elevationM,
    loaded.water.iceOffMonthDay,
    broods,
  ])
}

/** Windows that pages worked out, by reach, with what they were worked out from. */
export const loadKeptWindows = keptUntilWrite(readKeptWindows, [seasonWindow])

async function readKeptWindows(db: Reader) {
  return new Map((await db.select().from(seasonWindow)).map((row) => [row.reachId, row]))
}

/** Notes that are not put away, by day. */
export const loadObservations = keptUntilWrite(readObservations, [observation])

async function readObservations(db: Reader): Promise<readonly ObservationRow[]> {
  return db.select().from(observation).where(isNull(observation.archivedAtMs)).orderBy(asc(observation.on))
}

/** How much a note counts elsewhere: on another reach of its water, and on another water. */
const WEIGHT = { sameReach: 1, sameWater: 0.7, elsewhere: 0.35 }
/** A year foretells its own starts once so many of its days were read. */
const DAYS_FOR_A_YEAR = 90
/** A usual search where nobody wrote how long it was, minutes. */
const USUAL_SEARCH_MIN = 60

/** A brood of a reach as foretold, and as the notes move it. */
export interface LearnedBrood {
  readonly before: EmergenceWindow
  readonly after: EmergenceWindow
  readonly learned: Learned
  readonly backtest: Backtest | null
}

interface Watched {
  readonly row: ObservationRow
  /** windows of the reach where it was noted */
  readonly windows: readonly EmergenceWindow[]
  readonly weight: number
  /** of the water where it was noted: its year may be turned against that of this one */
  readonly latitudeDeg: number
}

/** Day within the window's year, and that year, of a note. */
function placed(row: ObservationRow, latitudeDeg: number): { readonly day: number; readonly year: number } {
  const epoch = epochDayOf(row.on) - (latitudeDeg < 0 ? HALF_YEAR_DAYS : 0)
  const year = yearOf(epoch)
  return { year, day: epoch - newYearOf(year) }
}

/** The brood of a stage that a note belongs to: the one whose middle is nearest to its day. */
function nearestBrood(windows: readonly EmergenceWindow[], stageKey: string, day: number): number | null {
  const own = windows.filter((window) => window.stageKey === stageKey)
  return (
    own.reduce<EmergenceWindow | null>((best, window) => {
      const off = (one: EmergenceWindow) => Math.abs(peakDayOf(one) - day)
      return best && off(best) <= off(window) ? best : window
    }, null)?.brood ?? null
  )
}

/** The start that a year's own readings foretell, by year; empty for years that were not read. */
function foretoldByYear({ loaded, model, days }: Warmth, brood: DatedBrood): (year: number) => number | null {
  const { latitudeDeg } = loaded.water
  const turn = latitudeDeg < 0 ? HALF_YEAR_DAYS : 0
  const byDay = new Map(days.map(({ day, meanC }) => [day, meanC]))
  const reach = { key: '', model, latitudeDeg, elevationM: loaded.reach.elevationM }
  return (year) => {
    const first = newYearOf(year) + turn
    const lived = yearAsItWas(reach, (day) => byDay.get(first + day) ?? null, DAYS_FOR_A_YEAR)
    return lived && onsetDay(brood.trigger, lived, AS_USUAL)
  }
}

function notesFor(
  window: EmergenceWindow,
  watched: readonly Watched[],
  warmth: Warmth,
  brood: DatedBrood,
): readonly Note[] {
  const foretold = foretoldByYear(warmth, brood)
  return watched.flatMap(({ row, windows, weight, latitudeDeg }): Note[] => {
    const { day, year } = placed(row, latitudeDeg)
    const there = windows.find((one) => one.stageKey === window.stageKey && one.brood === window.brood)
    if (!there || nearestBrood(windows, window.stageKey, day) !== window.brood) return []
    const here = day + firstDayOf(window) - firstDayOf(there)
    return [
      {
        kind: row.kind,
        day: here,
        year,
        effortMinutes: row.effortMinutes ?? USUAL_SEARCH_MIN,
        weight,
        foretoldDay: weight === 1 ? foretold(year) : null,
      },
    ]
  })
}

async function readLearned(db: Reader, reachId: ReachId): Promise<readonly LearnedBrood[]> {
  const warmths = await loadWarmth(db)
  const warmth = warmths.get(reachId)
  const kept = await loadKeptWindows(db)
  const own = kept.get(reachId)?.windows
  if (!warmth || !own) return []
  const broods = new Map((await loadBroods(db)).map((brood) => [`${brood.stageKey} ${brood.brood}`, brood]))
  const watched = new Map<string, Watched[]>()
  for (const row of await loadObservations(db)) {
    const there = warmths.get(row.reachId)
    const windows = kept.get(row.reachId)?.windows
    if (!there || !windows) continue
    const sameWater = there.loaded.water.id === warmth.loaded.water.id
    const weight = row.reachId === reachId ? WEIGHT.sameReach : sameWater ? WEIGHT.sameWater : WEIGHT.elsewhere
    watched.set(row.foodStageId, [
      ...(watched.get(row.foodStageId) ?? []),
      { row, windows, weight, latitudeDeg: there.loaded.water.latitudeDeg },
    ])
  }
  return own.flatMap((before): LearnedBrood[] => {
    const brood = broods.get(`${before.stageKey} ${before.brood}`)
    if (!brood) return []
    const seen = watched.get(before.stageKey) ?? []
    const notes = seen.length > 0 ? notesFor(before, seen, warmth, brood) : []
    const learned = learnShift(before, notes)
    return [{ before, after: learnedWindow(before, learned), learned, backtest: leaveOneOut(before, notes) }]
  })
}

/** The broods of a reach as the notes move them; none until its windows were worked out. */
export const loadLearned = keptUntilWrite(readLearned, [
  loadWarmth,
  loadKeptWindows,
  loadBroods,
  loadObservations,
])

/** Days MM-DD of earlier notes, by stage, on the reach's water. */
export async function seenOn(db: Reader, reachId: ReachId): Promise<ReadonlyMap<string, readonly string[]>> {
  const warmths = await loadWarmth(db)
  const waterId = warmths.get(reachId)?.loaded.water.id
  const byStage = new Map<string, string[]>()
  for (const row of await loadObservations(db)) {
    if (row.kind === 'absent' || warmths.get(row.reachId)?.loaded.water.id !== waterId) continue
    byStage.set(row.foodStageId, [...(byStage.get(row.foodStageId) ?? []), row.on.slice(5)])
  }
  for (const days of byStage.values()) days.sort()
  return byStage
}

/** What the season engine knows of a reach on a day; null until its windows were worked out. */
export async function reachSeasonOn(db: Reader, reachId: ReachId, on: string): Promise<ReachSeason | null> {
  const learned = await loadLearned(db, reachId)
  const warmth = (await loadWarmth(db)).get(reachId)
  if (learned.length === 0 || !warmth) return null
  const windows = new Map<string, EmergenceWindow[]>()
  for (const { after } of learned) windows.set(after.stageKey, [...(windows.get(after.stageKey) ?? []), after])
  return {
    windows,
    seenOn: await seenOn(db, reachId),
    waterTempC: await tempOn(db, reachId, on),
    trendCPerDay: warmth.trendCPerDay,
    measured: warmth.days.length > 0,
  }
}
