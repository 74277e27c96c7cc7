import { z } from 'zod'
import { familyId, materialId, version } from '../common.ts'

/** Flies are counted in whole ones. */
export const flies = z
  .number()
  .int('Whole flies only.')
  .min(1, 'At least one.')
  .max(999, 'At most 999 at once.')

/** How many flies someone counted: whole ones, 0 to 999. */
export const fliesSeen = z
  .number()
  .int('Whole flies only.')
  .min(0, 'Nought or more.')
  .max(999, 'At most 999 at once.')

/** puts flies into a compartment that is full */
export const anyway = z.boolean().optional()

/** lines that one command may bring */
export const MOST_ROWS = 2000

/** The version that an edit started from; null for a row that is new. */
export const nextVersion = version.nullable()

/** A drawer that is not there yet: minted with nothing in it by the command that first names it. */
export const newMaterial = z
  .object({
    id: materialId,
    familyId,
    sizeKey: z.string().max(12),
    colourName: z.string().min(1).max(40),
  })
  .strict()
