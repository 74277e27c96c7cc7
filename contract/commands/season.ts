import { z } from 'zod'
import { foodId, foodStageId, name, version } from '../common.ts'
import { listed, written } from '../limited.ts'
import { foodStageBody } from '../records/food.ts'
import { observationBody, observationId, readingImportId, readingsBody } from '../records/season.ts'
import { nextVersion } from './shared.ts'

const foodStageAs = {
  foodStageId,
  food: z.object({ id: foodId, name, groupKey: written('word', { trimmed: true }) }).strict(),
  stage: foodStageBody,
}

/** What is read, seen and known of waters and foods. */
export const seasonCommands = {
  readingsImport: z.object({ importId: readingImportId, readings: readingsBody }).strict(),
  readingsArchive: z.object({ importId: readingImportId, version }).strict(),
  observationSave: z.object({ observationId, version: nextVersion, observation: observationBody }).strict(),
  /** several foods of one net, stone or fish, in one action */
  sampleSave: z
    .object({
      observations: listed('sampled', z.object({ observationId, observation: observationBody }).strict()),
    })
    .strict(),
  observationArchive: z.object({ observationId, version }).strict(),
  /** version null makes a new one; its food too, where that is new */
  foodStageSave: z.object({ version: nextVersion, ...foodStageAs }).strict(),
  /** many stages, of new foods or in the place of what is known of them */
  larderPutIn: z.object({ stages: listed('larderStages', z.object(foodStageAs).strict()) }).strict(),
  foodStageRestore: z.object({ foodStageId, version }).strict(),
  foodStageArchive: z.object({ foodStageId, version }).strict(),
} as const
