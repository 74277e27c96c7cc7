import { dayOfFeeding, epochDayOf, yearOfFeeding } from '../../core/index.ts'
import type { FeedingRow } from '../../core/index.ts'
import type { FeedingRowView, FoodStageId, ReachId } from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'
import { inTurns } from '../read/inTurns.ts'
import { saidOrRead } from '../read/likely.ts'
import type { SaidOfHour } from '../read/likely.ts'
import { feedingScene } from '../read/season.ts'
import { loadStages } from '../read/stages.ts'

const rounded = (values: readonly number[]) => values.map((value) => Math.round(value * 1e4) / 1e4)

const toRow = ({ whatever, stages }: FeedingRow): FeedingRowView => ({
  whatever: rounded(whatever),
  stages: stages.map(({ stageId, about, onIt }) => ({
    stageId: stageId as FoodStageId,
    about: rounded(about),
    onIt: rounded(onIt),
  })),
})

const NOTHING: FeedingRowView = { whatever: [], stages: [] }

/** What trout are on at a reach through a day. */
export async function dayOfReach(
  db: Reader,
  { reachId, on, ...said }: { readonly reachId: ReachId; readonly on: string } & SaidOfHour,
): Promise<FeedingRowView> {
  const scene = await feedingScene(db, reachId, on)
  if (!scene) return NOTHING
  const stages = (await loadStages(db)).map(({ core }) => core)
  const { conditions } = await saidOrRead(db, reachId, on, said)
  return toRow(await inTurns(dayOfFeeding(stages, scene, epochDayOf(on), conditions)))
}

/** What trout are on at a reach through a year. */
export async function yearOfReach(
  db: Reader,
  { reachId, year }: { readonly reachId: ReachId; readonly year: number },
): Promise<FeedingRowView> {
  const scene = await feedingScene(db, reachId, `${year}-12-31`)
  if (!scene) return NOTHING
  const stages = (await loadStages(db)).map(({ core }) => core)
  return toRow(await inTurns(yearOfFeeding(stages, scene, year)))
}
