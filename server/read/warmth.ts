import { asc, lte } from 'drizzle-orm'
import {
  dayMeanOf, epochDayOf, fitSwing, modelsOf, swingShape, trendCPerDay, usualModel, usualSwing, waterAtC,
} from '../../core/index.ts' // prettier-ignore
import type { DailySwing, DayReading, DaySum, SeasonalModel } from '../../core/index.ts'
import type { ReachId } from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'
import { keptUntilWrite } from '../db/kept.ts'
import { readingDay } from '../db/schema.ts'
import { loadReaches } from './reaches.ts'
import type { LoadedReach } from './reaches.ts'

/** How warm a reach is, from its readings, its river's, or its kind. */
export interface Warmth {
  readonly loaded: LoadedReach
  readonly model: SeasonalModel
  /** daily means just below the surface, in order */
  readonly days: readonly DayReading[]
  readonly latest: DayReading | null
  readonly swing: DailySwing
  readonly trendCPerDay: number | null
}

/** How warm every reach is, by its id. */
export type Warmths = ReadonlyMap<string, Warmth>

/** A reading that nobody has taken. */
export interface SupposedReading {
  readonly reachId: ReachId
  readonly on: string
  readonly localMin: number
  readonly tempC: number
}

/** Readings this near to the surface say how warm a reach is, mm. */
const SURFACE_MM = 1500

/** Sums of the days of a reach by depth, the shallowest first. */
type Sums = ReadonlyMap<number, readonly DaySum[]>

async function readSums(db: Reader): Promise<ReadonlyMap<string, Sums>> {
  const rows = await db
    .select()
    .from(readingDay)
    .where(lte(readingDay.depthMm, SURFACE_MM))
    .orderBy(asc(readingDay.reachId), asc(readingDay.depthMm), asc(readingDay.day))
  const byReach = new Map<string, Map<number, DaySum[]>>()
  for (const { reachId, depthMm, n, ...sums } of rows) {
    const depths = byReach.get(reachId) ?? new Map<number, DaySum[]>()
    byReach.set(reachId, depths.set(depthMm, [...(depths.get(depthMm) ?? []), { ...sums, count: n }]))
  }
  return byReach
}

const loadSums = keptUntilWrite(readSums, [readingDay])

/** Daily means of a reach from readings at whatever hours, the shallowest of each day; and how its water swings. */
function readDays({ water }: LoadedReach, sums: Sums | undefined) {
  const { kind: waterKind, latitudeDeg } = water
  let swing: DailySwing | null = null
  const byDay = new Map<number, DayReading>()
  for (const [depthMm, days] of sums ?? []) {
    const fitted = fitSwing(usualSwing({ waterKind, latitudeDeg, depthMm }), days)
    swing ??= fitted
    for (const sum of days) if (!byDay.has(sum.day)) byDay.set(sum.day, dayMeanOf(fitted, sum))
  }
  return {
    days: [...byDay.values()].sort((a, b) => a.day - b.day),
    swing: swing ?? usualSwing({ waterKind, latitudeDeg, depthMm: 0 }),
  }
}

/** How warm all reaches are: those with readings first, then those that borrow from their own river. */
function warmthsOf(reaches: readonly LoadedReach[], sums: ReadonlyMap<string, Sums>): Warmths {
  const read = new Map(reaches.map((loaded) => [loaded.reach.id, readDays(loaded, sums.get(loaded.reach.id))]))
  const models = modelsOf(
    reaches.map(({ reach }) => ({
      key: reach.id,
      waterKey: reach.waterId,
      elevationM: reach.elevationM,
      days: read.get(reach.id)?.days ?? [],
      usual: usualModel(reach.defaultTempC),
    })),
  )
  return new Map(
    reaches.map((loaded) => {
      const { reach } = loaded
      const { days, swing } = read.get(reach.id) ?? readDays(loaded, undefined)
      const latest = days.at(-1) ?? null
      return [
        reach.id,
        {
          loaded,
          model: models.get(reach.id) ?? usualModel(reach.defaultTempC),
          days,
          latest,
          swing,
          trendCPerDay: latest && trendCPerDay(days, latest.day),
        },
      ]
    }),
  )
}

/** The sums of a reach with one reading in the place of what was read on its day. */
function withSupposed(own: Sums, { on, localMin, tempC }: SupposedReading, usualDepthMm: number): Sums {
  const [depthMm = usualDepthMm] = own.keys()
  const day = epochDayOf(on)
  const shape = swingShape(localMin)
  const sum = { day, count: 1, meanC: tempC, shape, shapeSq: shape ** 2, shapeTempC: shape * tempC }
  const others = (own.get(depthMm) ?? []).filter((one) => one.day !== day)
  return new Map([...own, [depthMm, [...others, sum].sort((a, b) => a.day - b.day)]])
}

async function readWarmth(db: Reader): Promise<Warmths> {
  return warmthsOf(await loadReaches(db), await loadSums(db))
}

/** How warm every reach is, from its readings, its river’s or its kind. */
export const loadWarmth = keptUntilWrite(readWarmth, [loadReaches, loadSums])

/** A thermometer in a hand is so far below the surface, mm. */
export const IN_HAND_MM = 300

/** How warm every reach would be if something had been read of one. */
export async function warmthIfRead(db: Reader, supposed: SupposedReading): Promise<Warmths> {
  const sums = new Map(await loadSums(db))
  sums.set(supposed.reachId, withSupposed(sums.get(supposed.reachId) ?? new Map(), supposed, IN_HAND_MM))
  return warmthsOf(await loadReaches(db), sums)
}

/** Temperature of a reach at a minute of a day, °C in tenths: from its latest reading towards its season. */
export async function tempAt(db: Reader, reachId: ReachId, on: string, localMin: number): Promise<number> {
  const warmth = (await loadWarmth(db)).get(reachId)
  return warmth ? waterAtC(warmth, epochDayOf(on), localMin) : 10
}
