import { and, eq, sql } from 'drizzle-orm'
import type { CommandBody, ObservationBody, ObservationId, ReachId } from '../../contract/index.ts'
import type { Tx } from '../db/database.ts'
import { WARMEST_MIN } from '../../core/index.ts'
import { usableZone } from '../../contract/index.ts'
import { localTime } from '../clock/localTime.ts'
import { food, foodStage, readingDay, readingImport } from '../db/schema.ts'
import { ProblemError } from '../problems/problem.ts'
import type { CommandContext, Handler } from './context.ts'

async function reachName({ recorder }: CommandContext, reachId: ReachId): Promise<string> {
  return (await recorder.need('reach', reachId, 'reach')).name
}

/** Takes readings in: all of them, in one statement. They count from now until their import is put away. */
export const readingsImport: Handler<CommandBody<'readingsImport'>> = async (context, body) => {
  const { importId, readings } = body
  const { reachId, depthMm, source, rows } = readings
  const subject = await reachName(context, reachId)
  const days = rows.map(([day]) => day)
  const firstDay = days.reduce((least, day) => Math.min(least, day), Infinity)
  const lastDay = days.reduce((most, day) => Math.max(most, day), -Infinity)
  // put away at first, so that undo has a state to return to and redo brings the same readings back
  await context.tx.insert(readingImport).values({
    id: importId,
    reachId,
    depthMm,
    source,
    atMs: context.nowMs,
    rowCount: rows.length,
    firstDay,
    lastDay,
    archivedAtMs: context.nowMs,
  })
  await context.tx.run(sql`
    insert into reading (import_id, day, local_min, temp_c100, level_mm, clarity_mm)
    select ${importId}, value ->> 0, value ->> 1, value ->> 2, value ->> 3, value ->> 4
    from json_each(${JSON.stringify(rows)})`)
  await context.recorder.update('readingImport', importId, null, { archivedAtMs: null })
  return { label: { code: 'readingsTaken', subject, count: rows.length } }
}

/** Puts an import away: its readings count no more. */
export const readingsArchive: Handler<CommandBody<'readingsArchive'>> = async (
  context,
  { importId, version },
) => {
  const { reachId } = await context.recorder.need('readingImport', importId, 'import')
  await context.recorder.update('readingImport', importId, version, { archivedAtMs: context.nowMs })
  return { label: { code: 'readingsArchived', subject: await reachName(context, reachId) } }
}

/** Sums the readings of a reach and depth up by days, over all imports that count. */
export async function sumUpDays(tx: Tx, reachId: ReachId, depthMm: number): Promise<void> {
  await tx.delete(readingDay).where(and(eq(readingDay.reachId, reachId), eq(readingDay.depthMm, depthMm)))
  // core's swingShape
  const shape = sql`cos(2 * pi() * (r.local_min - ${WARMEST_MIN}) / 1440)`
  await tx.run(sql`
    insert into reading_day (reach_id, depth_mm, day, min_c, mean_c, max_c, n, shape, shape_sq, shape_temp_c)
    select ${reachId}, ${depthMm}, r.day, min(r.temp_c100) / 100.0, avg(r.temp_c100) / 100.0, max(r.temp_c100) / 100.0, count(*),
      avg(${shape}), avg(${shape} * ${shape}), avg(${shape} * r.temp_c100) / 100.0
    from reading r join reading_import i on i.id = r.import_id
    where i.reach_id = ${reachId} and i.depth_mm = ${depthMm} and i.archived_at_ms is null and r.temp_c100 is not null
    group by r.day`)
}

/** Refuses a note of a day that has not come. */
export function mustHaveCome(context: CommandContext, { on }: Pick<ObservationBody, 'on'>, path: string): void {
  if (on <= localTime(context.nowMs, usableZone(context.settings.timeZone)).on) return
  const message = 'That day has not come yet.'
  throw new ProblemError('invalidInput', message, [{ path, message }])
}

/** Notes what was seen, or changes a note. */
export const observationSave: Handler<CommandBody<'observationSave'>> = async (context, body) => {
  const { observationId, version, observation } = body
  mustHaveCome(context, observation, 'observation.on')
  const where = await reachName(context, observation.reachId)
  const [stage] = await context.tx
    .select({ name: foodStage.stageName, foodName: food.name })
    .from(foodStage)
    .innerJoin(food, eq(food.id, foodStage.foodId))
    .where(eq(foodStage.id, observation.foodStageId))
  if (!stage) throw new ProblemError('unknownId', 'There is no such food.')
  if (version === null) await context.recorder.insert('observation', { ...observation, id: observationId })
  else await context.recorder.update('observation', observationId, version, observation)
  return { label: { code: 'observed', subject: `${stage.foodName}, ${stage.name}, at ${where}` } }
}

/** Notes what was seen of one food; gives the name of the reach. */
export async function noteSeen(
  context: CommandContext,
  observationId: ObservationId,
  observation: ObservationBody,
  path: string,
): Promise<string> {
  mustHaveCome(context, observation, path)
  const where = await reachName(context, observation.reachId)
  await context.recorder.need('foodStage', observation.foodStageId, 'food')
  await context.recorder.insert('observation', { ...observation, id: observationId })
  return where
}

/** Notes several foods of one net, stone or fish, all or none. */
export const sampleSave: Handler<CommandBody<'sampleSave'>> = async (context, { observations }) => {
  const reaches = new Set<string>()
  for (const [i, { observationId, observation }] of observations.entries()) {
    reaches.add(await noteSeen(context, observationId, observation, `observations.${i}.observation.on`))
  }
  return {
    label: { code: 'sampled', subject: `at ${[...reaches].join(' and ')}`, count: observations.length },
  }
}

/** Puts a note of what was seen away. */
export const observationArchive: Handler<CommandBody<'observationArchive'>> = async (context, body) => {
  await context.recorder.update('observation', body.observationId, body.version, {
    archivedAtMs: context.nowMs,
  })
  return { label: { code: 'observationArchived', subject: '' } }
}
