import { and, eq, inArray, isNull, max, ne, sql } from 'drizzle-orm'
import { LIMITS } from '../../contract/index.ts'
import type { BatchId, CommandBody, VariantRevisionId } from '../../contract/index.ts'
import { batch, batchEvent, variantFigure } from '../db/schema.ts'
import { ProblemError } from '../problems/problem.ts'
import type { CommandContext, Handler } from './context.ts'
import { COUNTED } from './counted.ts'
import { bookFlies, bookMaterials, checkCapacity } from './ledger.ts'

/** What a batch has come to: done and spoiled, less what was counted back. */
export async function countsOf({ tx }: Pick<CommandContext, 'tx'>, batchId: BatchId) {
  const events = await tx.select().from(batchEvent).where(eq(batchEvent.batchId, batchId))
  const tally = (kind: string) =>
    events.filter((event) => event.kind === kind).reduce((sum, { count }) => sum + count, 0)
  return { done: tally('done'), spoiled: tally('spoiled') }
}

async function nameOfRevision({ recorder }: CommandContext, revisionId: VariantRevisionId): Promise<string> {
  const revision = await recorder.need('variantRevision', revisionId, 'recipe')
  const row = await recorder.need('variant', revision.variantId, 'variant')
  const owner = await recorder.need('pattern', row.patternId, 'pattern')
  return `${owner.name} ${row.label}`
}

/** Takes whatever lies on the vise off it, so that another batch can go on. */
async function clearVise({ tx, recorder }: CommandContext, except: string): Promise<void> {
  const rows = await tx.select({ id: batch.id }).from(batch).where(eq(batch.onVise, true))
  for (const { id } of rows) if (id !== except) await recorder.update('batch', id, null, { onVise: false })
}

/** Queues a batch, or puts it on the vise at once. */
export const batchPlan: Handler<CommandBody<'batchPlan'>> = async (context, body) => {
  const { tx, recorder, nowMs } = context
  const row = await recorder.need('variant', body.variantId, 'variant')
  const place = await recorder.need('compartment', body.compartmentId, 'compartment')
  await recorder.need('variantRevision', row.currentRevisionId, 'recipe')
  if (body.onVise) await clearVise(context, body.batchId)
  const [last] = await tx.select({ position: max(batch.queuePosition) }).from(batch)
  await recorder.insert('batch', {
    id: body.batchId,
    variantRevisionId: row.currentRevisionId,
    plannedCount: body.plannedCount,
    status: body.onVise ? 'open' : 'planned',
    onVise: body.onVise,
    compartmentId: place.id,
    queuePosition: (last?.position ?? 0) + 1,
    createdAtMs: nowMs,
    startedAtMs: body.onVise ? nowMs : null,
  })
  const subject = await nameOfRevision(context, row.currentRevisionId)
  return { label: { code: body.onVise ? 'batchStarted' : 'batchPlanned', subject, count: body.plannedCount } }
}

/** Puts a queued batch on the vise. */
export const batchOnVise: Handler<CommandBody<'batchOnVise'>> = async (context, { batchId }) => {
  const { recorder, nowMs } = context
  const row = await recorder.need('batch', batchId, 'batch')
  if (row.status === 'finished' || row.status === 'abandoned')
    throw new ProblemError('batchEnded', 'That batch has ended.')
  await clearVise(context, batchId)
  await recorder.update('batch', batchId, null, {
    onVise: true,
    status: 'open',
    startedAtMs: row.startedAtMs ?? nowMs,
  })
  const subject = await nameOfRevision(context, row.variantRevisionId)
  return { label: { code: 'batchStarted', subject, count: row.plannedCount } }
}

/** Ties a batch fly by fly, or step by step over all of it. */
export const batchWay: Handler<CommandBody<'batchWay'>> = async (context, { batchId, way }) => {
  const row = await context.recorder.need('batch', batchId, 'batch')
  await context.recorder.update('batch', batchId, null, { way })
  return { label: { code: 'batchWay', subject: await nameOfRevision(context, row.variantRevisionId) } }
}

/** Says what spoiled a fly that is counted as spoiled. */
export const batchSpoiledCause: Handler<CommandBody<'batchSpoiledCause'>> = async (context, body) => {
  const row = await context.recorder.need('batch', body.batchId, 'batch')
  const [event] = await context.tx
    .select()
    .from(batchEvent)
    .where(and(eq(batchEvent.id, body.eventId), eq(batchEvent.batchId, row.id)))
  if (event?.kind !== 'spoiled') throw new ProblemError('unknownId', 'There is no such spoiled fly.')
  await context.recorder.setSpoiledCause(event.id, body.cause)
  return {
    label: {
      code: 'spoiledBy',
      subject: await nameOfRevision(context, row.variantRevisionId),
      place: body.cause,
    },
  }
}

/** Keeps what was done differently in a batch, to be read when the pattern is tied again. */
export const batchNote: Handler<CommandBody<'batchNote'>> = async (context, { batchId, note }) => {
  const row = await context.recorder.need('batch', batchId, 'batch')
  await context.recorder.update('batch', batchId, null, { note })
  return { label: { code: 'batchNoted', subject: await nameOfRevision(context, row.variantRevisionId) } }
}

const COUNT_LABELS = {
  done: 'batchCounted', spoiled: 'batchSpoiled', station: 'batchThrough', step: 'batchStep', pause: 'batchPaused', resume: 'batchResumed',
} as const satisfies Readonly<Record<CommandBody<'batchCount'>['kind'], string>> // prettier-ignore

/** Refuses to count far beyond what was planned. */
async function checkPlanned(
  { tx }: CommandContext,
  { id, plannedCount }: typeof batch.$inferSelect,
  { eventId, kind, stepKey, count }: CommandBody<'batchCount'>,
): Promise<void> {
  if (kind !== 'done' && kind !== 'station') return
  const most = plannedCount + LIMITS.beyondPlanned.max
  const [sum] = await tx
    .select({ counted: sql<number>`coalesce(sum(${batchEvent.count}), 0)` })
    .from(batchEvent)
    .where(
      and(
        eq(batchEvent.batchId, id),
        eq(batchEvent.kind, kind),
        stepKey === null ? isNull(batchEvent.stepKey) : eq(batchEvent.stepKey, stepKey),
        ne(batchEvent.id, eventId),
      ),
    )
  if ((sum?.counted ?? 0) + count <= most) return
  const message = `${plannedCount} were planned; at most ${most} can be counted. Plan a batch of the others.`
  throw new ProblemError('invalidInput', message, [{ path: 'count', message }])
}

/** Notes a step, a fly done or spoiled; touches no ledger. A repeated event id changes nothing. */
export const batchCount: Handler<CommandBody<'batchCount'>> = async (context, body) => {
  const { tx, recorder, nowMs } = context
  const row = await recorder.need('batch', body.batchId, 'batch')
  if (row.status !== 'open')
    throw new ProblemError('batchEnded', 'That batch is not open. Put it on the vise first.')
  await checkPlanned(context, row, body)
  await tx
    .insert(batchEvent)
    .values({
      id: body.eventId,
      batchId: body.batchId,
      atMs: nowMs,
      kind: body.kind,
      stepKey: body.stepKey,
      count: body.kind === 'step' ? 0 : body.count,
      spoiledCause: body.spoiledCause,
    })
    .onConflictDoNothing()
  const subject = await nameOfRevision(context, row.variantRevisionId)
  return {
    label: { code: COUNT_LABELS[body.kind], subject, count: body.count },
    // where the work stands is no count: Ctrl+Z passes it, and it comes and goes with its batch
    undoable: COUNTED.has(body.kind),
    eventId: body.eventId,
  }
}

/**
 * Counts back: the event that an action noted is answered by one that takes it away; one that took away goes itself.
 *
 * @returns the event that counting back once more is to be about
 */
export async function countBack(
  { tx, nowMs }: CommandContext,
  eventId: string,
  newEventId: string,
): Promise<string> {
  const [event] = await tx.select().from(batchEvent).where(eq(batchEvent.id, eventId))
  if (!event) throw new ProblemError('cannotUndo', 'What was counted is not there any more.')
  const [open] = await tx
    .select({ id: batch.id })
    .from(batch)
    .where(and(eq(batch.id, event.batchId), inArray(batch.status, ['planned', 'open'])))
  if (!open) throw new ProblemError('cannotUndo', 'The batch has ended since. Undo its ending first.')
  if (event.undoesEventId !== null) {
    await tx.delete(batchEvent).where(eq(batchEvent.id, event.id))
    return event.undoesEventId
  }
  await tx.insert(batchEvent).values({
    id: newEventId,
    batchId: event.batchId,
    atMs: nowMs,
    kind: event.kind,
    stepKey: event.stepKey,
    count: -event.count,
    spoiledCause: event.spoiledCause,
    undoesEventId: event.id,
  })
  return newEventId
}

/** Ends a batch: flies into the compartment and materials out of the stores, spoiled ones too, in one action. */
export const batchFinish: Handler<CommandBody<'batchFinish'>> = async (context, body) => {
  const { batchId, abandon } = body
  const { tx, recorder, nowMs } = context
  const row = await recorder.need('batch', batchId, 'batch')
  if (row.status === 'finished' || row.status === 'abandoned') {
    throw new ProblemError('batchEnded', 'That batch has ended already, perhaps in another tab.')
  }
  const { done, spoiled } = await countsOf(context, batchId)
  if (!abandon && done === 0) {
    throw new ProblemError(
      'nothingCounted',
      'No fly is counted done yet. Count one with C, or leave the batch.',
    )
  }
  const place = await recorder.need('compartment', body.compartmentId ?? row.compartmentId, 'compartment')
  if (done > 0) {
    await checkCapacity(context, place.id, done, body.anyway)
    await bookFlies(context, [
      {
        compartmentId: place.id,
        variantRevisionId: row.variantRevisionId,
        delta: done,
        cause: 'tied',
        batchId,
      },
    ])
  }
  if (done + spoiled > 0) {
    const [figure] = await tx
      .select()
      .from(variantFigure)
      .where(eq(variantFigure.variantRevisionId, row.variantRevisionId))
    await bookMaterials(
      context,
      (figure?.bill ?? []).flatMap(({ materialId, perFly }) => [
        ...(done > 0 ? [{ materialId, delta: -perFly * done, cause: 'used' as const, batchId }] : []),
        ...(spoiled > 0 ? [{ materialId, delta: -perFly * spoiled, cause: 'wasted' as const, batchId }] : []),
      ]),
    )
  }
  await recorder.update('batch', batchId, null, {
    status: abandon ? 'abandoned' : 'finished',
    onVise: false,
    endedAtMs: nowMs,
  })
  const subject = await nameOfRevision(context, row.variantRevisionId)
  return {
    label: { code: abandon ? 'batchAbandoned' : 'batchFinished', subject, count: done, place: place.label },
  }
}
