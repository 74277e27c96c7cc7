import { z } from 'zod'
import { version } from '../common.ts'
import { dropTestBody, dropTestId, weighingBody, weighingId } from '../records/measurement.ts'
import { lineCountBody, lineCountId } from '../records/rig.ts'
import { nextVersion } from './shared.ts'

/** What is measured of flies and goods. */
export const measurementCommands = {
  dropTestSave: z.object({ testId: dropTestId, version: nextVersion, test: dropTestBody }).strict(),
  weighingSave: z.object({ weighingId, weighing: weighingBody }).strict(),
  lineCountSave: z.object({ lineCountId, count: lineCountBody }).strict(),
  measurementArchive: z.union([
    z.object({ kind: z.literal('dropTest'), id: dropTestId, version }).strict(),
    z.object({ kind: z.literal('weighing'), id: weighingId, version }).strict(),
    z.object({ kind: z.literal('lineCount'), id: lineCountId, version }).strict(),
  ]),
} as const
