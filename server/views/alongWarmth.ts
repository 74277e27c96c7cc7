import { airStepsC } from '../../core/index.ts'
import type { AlongView, AlongWarmth, FeedingRowView } from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'
import { loadHours, loadHoursIfRead } from '../read/feedingRows.ts'
import { tempAt } from '../read/warmth.ts'
import { placeOf } from './along.ts'
import { mapOf } from '../read/grouped.ts'

/** By how much warmer than reckoned its water may be read. */
const WARMER_C = [-4, -2, 0, 2, 4]
const HALF_HOUR_MIN = 30
const [FREEZES_C, WARMEST_C] = [0, 30]

/**
 * What fish would be on through an outing's hours had its water been read warmer or colder than it is reckoned to be, as
 * if a thermometer had shown it in the middle of them: each difference has its season drawn anew. And what they would be
 * on were the air so warm.
 */
export async function warmthAlong(db: Reader, along: AlongView): Promise<AlongWarmth> {
  const { outing, fromLocalMin, whatever: halves, stages } = along
  const place = await placeOf(db, outing)
  if (!place) return { reckonedC: [], rows: [], air: [] }
  const [reachId, on] = [place.reach.id, outing.on]
  const reckonedC = await Promise.all(
    halves.map((_, half) => tempAt(db, reachId, on, fromLocalMin + (half + 0.5) * HALF_HOUR_MIN)),
  )
  const localMin = Math.round(fromLocalMin + (halves.length * HALF_HOUR_MIN) / 2)
  const middleC = await tempAt(db, reachId, on, localMin)
  const toLocalMin = fromLocalMin + halves.length * HALF_HOUR_MIN
  const inOrder = ({ stages: found }: FeedingRowView) => {
    const onItOf = mapOf(found, ({ stageId, onIt }) => [stageId, onIt])
    const onIt = stages.map(({ foodStageId }) => onItOf.get(foodStageId) ?? halves.map(() => 0))
    // those on what does not go along are as good as fish that take whatever comes
    const together = halves.map((_, half) => onIt.reduce((sum, own) => sum + (own[half] ?? 0), 0))
    return { onIt, whatever: together.map((share) => Math.max(1 - share, 0)) }
  }
  const rows: AlongWarmth['rows'] = []
  for (const warmerC of WARMER_C) {
    const tempC = Math.round((middleC + warmerC) * 10) / 10
    if (tempC < FREEZES_C || tempC > WARMEST_C) continue
    const row = await loadHoursIfRead(db, { reachId, on, localMin, tempC }, fromLocalMin, toLocalMin)
    rows.push({ warmerC, ...inOrder(row) })
  }
  const air: AlongWarmth['air'] = []
  const steps = airStepsC(middleC)
  for (const fromC of [null, ...steps]) {
    const airTempC = fromC ?? (steps[0] ?? 0) - 1
    const row = await loadHours(db, { reachId, on, airTempC }, fromLocalMin, toLocalMin)
    air.push({ fromC, ...inOrder(row) })
  }
  return { reckonedC, rows, air }
}
