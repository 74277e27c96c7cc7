import { epochDayOf, wording } from '../../core/index.ts'
import { inArray } from 'drizzle-orm'
import type {
  CommandBody,
  ObservationId,
  OutingId,
  ReadingImportId,
  SpellId,
  TapId,
} from '../../contract/index.ts'
import { outingTap } from '../db/schema.ts'
import { newId } from '../db/ids.ts'
import { ProblemError } from '../problems/problem.ts'
import type { CommandContext, Handler } from './context.ts'
import { fliesLose } from './flies.ts'
import { IN_HAND_MM } from '../read/warmth.ts'
import { mustHaveCome, noteSeen, readingsImport } from './season.ts'

type Taps = CommandBody<'outingNote'>['taps']

/** Keeps taps that are not kept yet, and those that an undo took away; gives how many. */
async function keepTaps({ tx, recorder }: CommandContext, outingId: OutingId, taps: Taps): Promise<number> {
  const ids = taps.map(({ id }) => id)
  const known = await tx.select().from(outingTap).where(inArray(outingTap.id, ids))
  const before = new Map(
    known.map(({ id, outingId: of, archivedAtMs }) => [id, { of, isGone: archivedAtMs !== null }]),
  )
  let kept = 0
  for (const [i, { id, atMs, ...said }] of taps.entries()) {
    const there = before.get(id)
    if (there && there.of !== outingId)
      throw new ProblemError('invalidInput', 'That was noted on another outing.', [
        { path: `taps.${i}.id`, message: 'It belongs to another outing.' },
      ])
    if (there && !there.isGone) continue
    if (there) await recorder.update('outingTap', id, null, { archivedAtMs: null })
    else await recorder.insert('outingTap', { id, outingId, atMs, said })
    before.set(id, { of: outingId, isGone: false })
    kept += 1
  }
  return kept
}

/** Keeps what was answered in one drill. */
export const drillDone: Handler<CommandBody<'drillDone'>> = async ({ recorder }, { drill, answers }) => {
  for (const answer of answers) await recorder.insert('drillAnswer', { ...answer, drill })
  return { label: { code: 'drilled', subject: wording.drillName[drill] } }
}

/** Keeps what was noted at the water: each tap once, however often it comes. */
export const outingNote: Handler<CommandBody<'outingNote'>> = async (context, { outingId, taps }) => {
  const name = await waterOf(context, outingId)
  return { label: { code: 'outingNoted', subject: name, count: await keepTaps(context, outingId, taps) } }
}

/** What the water of an outing is called. */
async function waterOf({ recorder }: CommandContext, outingId: OutingId): Promise<string> {
  const { waterId } = await recorder.need('outing', outingId, 'outing')
  return (await recorder.need('water', waterId, 'water')).name
}

/** A tap of an outing that nothing was made of yet; null where something was. */
async function unbooked({ recorder }: CommandContext, outingId: string, id: string) {
  const row = await recorder.need('outingTap', id, 'note')
  if (row.outingId !== outingId) throw new ProblemError('invalidInput', 'That was noted on another outing.')
  return row.booked ? null : row
}

/** Marks taps as made use of; false, and nothing is marked, where of some of them something was made before. */
async function bookAll(
  context: CommandContext,
  outingId: OutingId,
  tapIds: readonly TapId[],
): Promise<boolean> {
  for (const tapId of tapIds) if (!(await unbooked(context, outingId, tapId))) return false
  for (const tapId of tapIds) await context.recorder.update('outingTap', tapId, null, { booked: true })
  return true
}

/** Makes readings of the reach of what the thermometer showed. */
async function takeReadings(
  context: CommandContext,
  outingId: OutingId,
  readings: CommandBody<'outingTakeIn'>['readings'],
): Promise<void> {
  const { on, reachId } = await context.recorder.need('outing', outingId, 'outing')
  const tempAt = new Map<number, number>()
  for (const { tapIds, localMin, tempC100 } of readings)
    if (await bookAll(context, outingId, tapIds)) tempAt.set(localMin, tempC100)
  if (tempAt.size === 0) return
  mustHaveCome(context, { on }, 'readings')
  if (reachId === null) throw new ProblemError('invalidInput', 'Say first which reach the outing is at.')
  const day = epochDayOf(on)
  const rows = [...tempAt].map(([localMin, tempC100]) => [day, localMin, tempC100, null, null] as const)
  await readingsImport(context, {
    importId: newId<ReadingImportId>(),
    readings: { reachId, depthMm: IN_HAND_MM, source: 'noted', rows: rows.map((row) => [...row]) },
  })
}

/** Makes spells and losses of what was noted, each tap once: what was taken in before is left as it is. */
export const outingTakeIn: Handler<CommandBody<'outingTakeIn'>> = async (context, body) => {
  const { recorder } = context
  const { outingId, taps, spells, losses, samples, readings } = body
  const name = await waterOf(context, outingId)
  await keepTaps(context, outingId, taps)
  for (const { tapId, ...spell } of spells) {
    if (!(await unbooked(context, outingId, tapId))) continue
    await recorder.need('variant', spell.variantId, 'variant')
    if (spell.rigId) await recorder.need('rig', spell.rigId, 'rig')
    await recorder.insert('spell', { ...spell, id: newId<SpellId>(), outingId })
    await recorder.update('outingTap', tapId, null, { booked: true })
  }
  for (const [i, { tapIds, observation }] of samples.entries()) {
    // a sample of which a part was taken in before would count that part twice
    if (await bookAll(context, outingId, tapIds))
      await noteSeen(context, newId<ObservationId>(), observation, `samples.${i}.observation.on`)
  }
  await takeReadings(context, outingId, readings)
  const gone: CommandBody<'fliesLose'>['losses'] = []
  for (const { tapId, losses: flies } of losses) {
    if (!(await unbooked(context, outingId, tapId))) continue
    gone.push(...flies.map((fly) => ({ ...fly, count: 1 })))
    await recorder.update('outingTap', tapId, null, { booked: true })
  }
  await fliesLose(context, { outingId, losses: gone })
  return { label: { code: 'outingTakenIn', subject: name } }
}
