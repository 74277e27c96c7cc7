import { WATER_KINDS } from '../../core/index.ts'
import { z } from 'zod'
import {
  compartmentId,
  foodStageId,
  materialId,
  name,
  note,
  patternId,
  share,
  variantId,
  version,
} from '../common.ts'
import { dressingBody, swaps } from '../records/dressing.ts'
import { newMaterial, nextVersion } from './shared.ts'

const patternSave = z
  .object({
    patternId,
    /** null for a new pattern */
    version: nextVersion,
    name,
    purpose: z.enum(['imitation', 'attractor', 'searching']),
    ownMonths: z.array(z.number().int().min(1).max(12)).max(12),
    fishedHow: z.array(z.string().max(40)).max(10),
    waterKinds: z.array(z.enum(WATER_KINDS)).max(7),
    dislike: share,
    note,
    serves: z.array(z.object({ foodStageId, weight: share }).strict()).max(40),
    dressing: dressingBody,
    newMaterials: z.array(newMaterial).max(40),
    variants: z
      .array(
        z
          .object({
            id: variantId,
            label: name,
            hookMaterialId: materialId,
            swaps,
            /** left out where they were not changed: they may have been set elsewhere meanwhile */
            parCount: z.number().int().min(0).max(99).nullable().optional(),
            homeCompartmentId: compartmentId.nullable().optional(),
          })
          .strict(),
      )
      .min(1, 'A pattern has at least one variant.')
      .max(60, 'At most 60 variants.'),
  })
  .strict()

/** What is done with patterns and their variants. */
export const patternCommands = {
  patternSave,
  patternArchive: z.object({ patternId, version }).strict(),
  variantHome: z
    .object({
      variantId,
      version,
      parCount: z.number().int().min(0, 'Keep nought or more.').max(99, 'Keep at most 99.').nullable(),
      homeCompartmentId: compartmentId.nullable(),
    })
    .strict(),
} as const
