import { access, constants, stat } from 'node:fs/promises'
import { isAbsolute } from 'node:path'
import { and, eq, isNull } from 'drizzle-orm'
import { isStillwater } from '../../core/index.ts'
import type { WaterKind } from '../../core/index.ts'
import { changedSettings, foldedKey, saidIn, waterRules } from '../../contract/index.ts'
import type {
  CommandBody,
  CompartmentId,
  ReachBody,
  VariantId,
  WaterBody,
  WaterId,
} from '../../contract/index.ts'
import { reach } from '../db/schema.ts'
import { ProblemError } from '../problems/problem.ts'
import type { CommandContext, Handler } from './context.ts'
import { bookFlies, checkCapacity, lotsOf } from './ledger.ts'

/** Moves all that is on hand of a variant into one compartment. */
async function gather(
  context: CommandContext,
  variantId: VariantId,
  compartmentId: CompartmentId,
): Promise<void> {
  const lots = await lotsOf(context, variantId)
  const elsewhere = lots.filter((lot) => lot.compartmentId !== compartmentId)
  await checkCapacity(
    context,
    compartmentId,
    elsewhere.reduce((sum, { count }) => sum + count, 0),
  )
  await bookFlies(
    context,
    elsewhere.flatMap(({ compartmentId: from, variantRevisionId, count }) => {
      const moved = { variantRevisionId, cause: 'moved' as const }
      return [
        { ...moved, compartmentId: from, delta: -count },
        { ...moved, compartmentId, delta: count },
      ]
    }),
  )
}

/** Makes a box with its compartments, gives flies their place in it, and gathers them there if that is wanted. */
export const boxCreate: Handler<CommandBody<'boxCreate'>> = async (context, body) => {
  const { recorder } = context
  await recorder.insert('box', {
    id: body.boxId,
    name: body.name,
    nameKey: foldedKey(body.name),
    kind: 'box',
    note: body.note,
  })
  for (const compartment of body.compartments) {
    const label = compartment.label || `${body.name} ${compartment.row}·${compartment.column}`
    await recorder.insert('compartment', { ...compartment, label, boxId: body.boxId })
  }
  for (const { variantId, compartmentId } of body.homes ?? []) {
    await recorder.update('variant', variantId, null, { homeCompartmentId: compartmentId })
    if (body.moveFlies) await gather(context, variantId, compartmentId)
  }
  return { label: { code: 'boxMade', subject: body.name } }
}

const waterRow = (body: WaterBody) => ({ ...body, nameKey: foldedKey(body.name) })

/** Adds a water with its reaches, the lowest first. */
export const waterCreate: Handler<CommandBody<'waterCreate'>> = async ({ recorder }, body) => {
  await recorder.insert('water', { ...waterRow(body.water), id: body.waterId })
  for (const [position, made] of body.reaches.entries()) {
    if (!isPartOf(body.water.kind, made.kind))
      throw refused(`reaches.${position}.kind`, 'That is a part of another kind of water.')
    await recorder.insert('reach', { ...made, waterId: body.waterId, position })
  }
  return { label: { code: 'waterMade', subject: body.water.name } }
}

/** Rivers have reaches, and water that stands has shoals, drop-offs and basins. */
const isPartOf = (waterKind: WaterKind, reachKind: ReachBody['kind']): boolean =>
  isStillwater(waterKind) === (reachKind !== 'reach')

const refused = (path: string, message: string) =>
  new ProblemError('invalidInput', message, [{ path, message }])

/** The reaches of a water that are not put away. */
const reachesOf = ({ tx }: CommandContext, waterId: WaterId) =>
  tx
    .select()
    .from(reach)
    .where(and(eq(reach.waterId, waterId), isNull(reach.archivedAtMs)))

/** Changes what is known of a water, a few fields at a time. */
export const waterSave: Handler<CommandBody<'waterSave'>> = async (context, { waterId, change }) => {
  const { recorder } = context
  const before = await recorder.need('water', waterId, 'water')
  const { name, kind } = { ...before, ...saidIn(change) }
  const rules = waterRules.safeParse({ ...before.rules, ...saidIn(change.rules ?? {}) })
  if (!rules.success)
    throw refused(`change.rules.${rules.error.issues[0]?.path.join('.')}`, rules.error.issues[0]?.message ?? '')
  const reaches = await reachesOf(context, waterId)
  if (!reaches.every((one) => isPartOf(kind, one.kind)))
    throw refused('change.kind', 'Its reaches are those of another kind: a river flows, a lake stands.')
  await recorder.update('water', waterId, null, {
    ...saidIn(change),
    nameKey: foldedKey(name),
    rules: rules.data,
  })
  return { label: { code: 'waterSaved', subject: name } }
}

/** Keeps what the user says of a food on a water: not here, in plenty, or nothing. */
export const waterFood: Handler<CommandBody<'waterFood'>> = async ({ recorder }, { waterId, foodId, says }) => {
  const there = await recorder.need('water', waterId, 'water')
  const food = await recorder.need('food', foodId, 'food')
  const { [foodId]: _before, ...others } = there.foodWords
  const foodWords = says ? { ...others, [foodId]: says } : others
  await recorder.update('water', waterId, there.version, { foodWords })
  return { label: { code: 'waterFoodSaid', subject: `${food.name}, ${there.name}` } }
}

/** Adds a reach to a water that is there; by its height it finds its place among the others. */
export const reachAdd: Handler<CommandBody<'reachAdd'>> = async (
  context,
  { waterId, reachId, reach: added },
) => {
  const { recorder } = context
  const water = await recorder.need('water', waterId, 'water')
  if (!isPartOf(water.kind, added.kind))
    throw refused('reach.kind', 'That is a part of another kind of water: a river flows, a lake stands.')
  // those that are put away may come back to their places
  const there = await context.tx.select().from(reach).where(eq(reach.waterId, waterId))
  const position = Math.max(-1, ...there.map((one) => one.position)) + 1
  await recorder.insert('reach', { ...added, id: reachId, waterId, position })
  return { label: { code: 'reachAdded', subject: `${added.name}, ${water.name}` } }
}

/** Puts a reach away; its readings and notes count no more, until it is brought back. */
export const reachArchive: Handler<CommandBody<'reachArchive'>> = async (context, { reachId, version }) => {
  const { recorder, nowMs } = context
  const { waterId, name } = await recorder.need('reach', reachId, 'reach')
  if ((await reachesOf(context, waterId)).length <= 1)
    throw new ProblemError('invalidInput', 'It is the only one: a water has at least one.')
  await recorder.update('reach', reachId, version, { archivedAtMs: nowMs })
  return { label: { code: 'reachArchived', subject: name } }
}

/** Changes what is known of a reach, a few fields at a time. */
export const reachSave: Handler<CommandBody<'reachSave'>> = async ({ recorder }, { reachId, change }) => {
  const before = await recorder.need('reach', reachId, 'reach')
  await recorder.update('reach', reachId, null, saidIn(change))
  return { label: { code: 'waterSaved', subject: change.name ?? before.name } }
}

/** Plans an outing, or changes one. */
export const outingSave: Handler<CommandBody<'outingSave'>> = async ({ recorder }, body) => {
  const water = await recorder.need('water', body.outing.waterId, 'water')
  if (body.outing.reachId) {
    const fished = await recorder.need('reach', body.outing.reachId, 'reach')
    if (fished.waterId !== water.id) {
      const message = 'That reach is of another water.'
      throw new ProblemError('invalidInput', message, [{ path: 'outing.reachId', message }])
    }
  }
  if (body.version === null) await recorder.insert('outing', { ...body.outing, id: body.outingId })
  else await recorder.update('outing', body.outingId, body.version, body.outing)
  return { label: { code: 'outingSaved', subject: water.name } }
}

/** Notes how long a fly was fished on an outing, and what it took; changes a note. */
export const spellSave: Handler<CommandBody<'spellSave'>> = async ({ recorder }, body) => {
  const { spellId, version, ...row } = body
  const fly = await recorder.need('variant', body.variantId, 'variant')
  const owner = await recorder.need('pattern', fly.patternId, 'pattern')
  await recorder.need('outing', body.outingId, 'outing')
  if (body.rigId) await recorder.need('rig', body.rigId, 'rig')
  if (version === null) await recorder.insert('spell', { ...row, id: spellId })
  else await recorder.update('spell', spellId, version, row)
  return { label: { code: 'spellSaved', subject: `${owner.name} ${fly.label}`, count: body.takes } }
}

/** Takes a note of how long a fly was fished back. */
export const spellArchive: Handler<CommandBody<'spellArchive'>> = async ({ recorder, nowMs }, body) => {
  const row = await recorder.need('spell', body.spellId, 'note')
  const fly = await recorder.need('variant', row.variantId, 'variant')
  await recorder.update('spell', body.spellId, body.version, { archivedAtMs: nowMs })
  return { label: { code: 'spellArchived', subject: fly.label } }
}

/** Refuses a folder that copies cannot go to, at its field. */
async function checkFolder(folder: string): Promise<void> {
  const refuse = (message: string) =>
    new ProblemError('invalidInput', message, [{ path: 'change.backupFolder', message }])
  if (!isAbsolute(folder)) throw refuse('Write the whole path, from the root of the disk.')
  const there = await stat(folder).catch(() => null)
  if (!there?.isDirectory()) throw refuse('There is no such folder.')
  await access(folder, constants.W_OK).catch(() => {
    throw refuse('Nothing can be written into that folder.')
  })
}

/** Changes the user’s units and habits, a few at a time. */
export const settingsSave: Handler<CommandBody<'settingsSave'>> = async (
  { recorder, settings },
  { change },
) => {
  if (change.backupFolder) await checkFolder(change.backupFolder)
  await recorder.update('setting', 'settings', null, { body: changedSettings(settings, change) })
  return { label: { code: 'settingsSaved', subject: '' } }
}
