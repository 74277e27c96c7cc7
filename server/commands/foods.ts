import { shippedFoods } from '../../core/season/shipped/larder.ts'
import type { CommandBody, FoodStageInput } from '../../contract/index.ts'
import type { foodStage } from '../db/schema.ts'
import { ProblemError } from '../problems/problem.ts'
import { stageRow } from '../upkeep/seed.ts'
import type { Handler } from './context.ts'

type StageRow = typeof foodStage.$inferSelect

/** What is edited of a stage, over what else is known of it. */
function editedRow({ stage, stageName, importance, ...input }: FoodStageInput, before: StageRow | null) {
  const { noteForTier, howFished, ...body } = input
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
      more: { ...before?.body.more, noteForTier, howFished },
    },
  }
}

/** Saves a life stage; makes it, and its food, where they are new. */
export const foodStageSave: Handler<CommandBody<'foodStageSave'>> = async ({ recorder }, body) => {
  const { food, stage } = body
  const label = { code: 'foodSaved' as const, subject: `${food.name}, ${stage.stageName}` }
  const known = await recorder.find('food', food.id)
  if (!known) await recorder.insert('food', { ...food, edited: true })
  else if (known.name !== food.name || known.groupKey !== food.groupKey) {
    await recorder.update('food', food.id, null, { name: food.name, groupKey: food.groupKey, edited: true })
  }
  if (body.version === null) {
    await recorder.insert('foodStage', { ...editedRow(stage, null), id: body.foodStageId, foodId: food.id })
    return { label }
  }
  const before = await recorder.need('foodStage', body.foodStageId, 'life stage')
  await recorder.update('foodStage', before.id, body.version, editedRow(stage, before))
  return { label }
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
