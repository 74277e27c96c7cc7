import { shippedFoods } from '../../core/season/shipped/larder.ts'
import type { CommandBody, FoodStageInput } from '../../contract/index.ts'
import type { foodStage } from '../db/schema.ts'
import { ProblemError } from '../problems/problem.ts'
import { stageRow } from '../upkeep/seed.ts'
import { contentHash } from '../db/ids.ts'
import type { CommandContext, Handler } from './context.ts'

type StageRow = typeof foodStage.$inferSelect

/** What is edited of a stage, over what else is known of it. */
function editedRow({ stage, stageName, importance, ...input }: FoodStageInput, before: StageRow | null) {
  const { noteForTier, howFished, hookRanges, ...body } = input
  const known = (before?.body.more.hookSizes ?? {}) as object
  const byLength = Object.fromEntries(
    (hookRanges ?? []).map(({ size, fromMm, toMm }) => [size, [fromMm, toMm]]),
  )
  const hookSizes = hookRanges && hookRanges.length > 0 ? { hookSizes: { ...known, byLength } } : {}
  return {
    stage,
    stageName,
    importance,
    depthBandRiver: input.depthBandRiver,
    depthBandStillwater: input.depthBandStillwater,
    edited: true,
    body: {
      shank: 'standard',
      ...before?.body,
      ...body,
      importance,
      schemaVersion: 1 as const,
      more: { ...before?.body.more, ...hookSizes, noteForTier, howFished },
    },
  }
}

type FoodAs = CommandBody<'foodStageSave'>['food']

/** Makes a food, or calls it as it is called now. */
async function saveFood({ recorder }: CommandContext, food: FoodAs): Promise<void> {
  const known = await recorder.find('food', food.id)
  if (!known) await recorder.insert('food', { ...food, edited: true })
  else if (known.name !== food.name || known.groupKey !== food.groupKey) {
    await recorder.update('food', food.id, null, { name: food.name, groupKey: food.groupKey, edited: true })
  }
}

/** Saves a life stage; makes it, and its food, where they are new. */
export const foodStageSave: Handler<CommandBody<'foodStageSave'>> = async (context, body) => {
  const { recorder } = context
  const { food, stage } = body
  const label = { code: 'foodSaved' as const, subject: `${food.name}, ${stage.stageName}` }
  await saveFood(context, food)
  if (body.version === null) {
    await recorder.insert('foodStage', { ...editedRow(stage, null), id: body.foodStageId, foodId: food.id })
    return { label }
  }
  const before = await recorder.need('foodStage', body.foodStageId, 'life stage')
  await recorder.update('foodStage', before.id, body.version, editedRow(stage, before))
  return { label }
}

/** Takes many stages in, as from a file: those that are known become what it says, and those that say the same stay. */
export const larderPutIn: Handler<CommandBody<'larderPutIn'>> = async (context, { stages }) => {
  const { recorder, pace } = context
  pace.expect(stages.length)
  let count = 0
  for (const { foodStageId, food, stage } of stages) {
    await pace.step()
    const before = await recorder.find('foodStage', foodStageId)
    const row = editedRow(stage, before)
    const owner = await recorder.find('food', food.id)
    const isSame =
      before !== null &&
      owner?.name === food.name &&
      owner.groupKey === food.groupKey &&
      before.archivedAtMs === null &&
      before.stageName === row.stageName &&
      contentHash(row.body) === contentHash(before.body)
    if (isSame) continue
    count += 1
    await saveFood(context, food)
    if (before) await recorder.update('foodStage', foodStageId, null, { ...row, archivedAtMs: null })
    else await recorder.insert('foodStage', { ...row, id: foodStageId, foodId: food.id })
  }
  return { label: { code: 'larderPutIn', subject: '', count } }
}

/** Brings a stage back to what shipped. */
export const foodStageRestore: Handler<CommandBody<'foodStageRestore'>> = async ({ recorder }, body) => {
  const row = await recorder.need('foodStage', body.foodStageId, 'life stage')
  const shipped = shippedFoods
    .flatMap((food) => food.stages.map((stage) => ({ food, stage })))
    .find(({ stage }) => stage.key === row.shippedKey)
  if (!shipped) throw new ProblemError('invalidInput', 'This stage is your own: nothing shipped to go back to.')
  await recorder.update('foodStage', row.id, body.version, { ...stageRow(shipped.stage), edited: false })
  await recorder.update('food', row.foodId, null, {
    name: shipped.food.name,
    groupKey: shipped.food.groupKey,
    edited: false,
  })
  return { label: { code: 'foodRestored', subject: `${shipped.food.name}, ${shipped.stage.name}` } }
}

/** Puts a stage away: patterns and notes that name it keep it, lists and forecasts leave it out. */
export const foodStageArchive: Handler<CommandBody<'foodStageArchive'>> = async ({ recorder, nowMs }, body) => {
  const row = await recorder.need('foodStage', body.foodStageId, 'life stage')
  const food = await recorder.need('food', row.foodId, 'food')
  await recorder.update('foodStage', row.id, body.version, { archivedAtMs: nowMs })
  return { label: { code: 'foodArchived', subject: `${food.name}, ${row.stageName}` } }
}
