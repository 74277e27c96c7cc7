import { z } from 'zod'
import { version } from '../common.ts'
import { dropTestBody, dropTestId, weighingBody, weighingId } from '../records/measurement.ts'
import { nextVersion } from './shared.ts'

/** What is measured of flies and goods. */
export const measurementCommands = {
  dropTestSave: z.object({ testId: dropTestId, version: nextVersion, test: dropTestBody }).strict(),
  weighingSave: z.object({ weighingId, weighing: weighingBody }).strict(),
  measurementArchive: z.union([
    z.object({ kind: z.literal('dropTest'), id: dropTestId, version }).strict(),
    z.object({ kind: z.literal('weighing'), id: weighingId, version }).strict(),
  ]),
} as const
