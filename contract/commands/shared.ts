import { z } from 'zod'
import { familyId, materialId, version } from '../common.ts'
import { figure, hexColour, written } from '../limited.ts'

/** Flies are counted in whole ones. */
export const flies = figure('flies')

/** How many flies someone counted: whole ones, 0 to 999. */
export const fliesSeen = figure('fliesSeen')

/** puts flies into a compartment that is full */
export const anyway = z.boolean().optional()

/** The version that an edit started from; null for a row that is new. */
export const nextVersion = version.nullable()

/** A drawer that is not there yet: minted with nothing in it by the command that first names it. */
export const newMaterial = z
  .object({
    id: materialId,
    familyId,
    sizeKey: written('sizeKey'),
    colourName: written('word'),
    /** of a colour of one's own, which its family does not list */
    colourHex: hexColour.optional(),
  })
  .strict()
