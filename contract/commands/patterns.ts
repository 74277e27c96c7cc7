import { ROLES, WATER_KINDS } from '../../core/index.ts'
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
import { figure, listed, written } from '../limited.ts'
import { dressingBody, swaps } from '../records/dressing.ts'
import { newMaterial, nextVersion } from './shared.ts'

const patternSave = z
  .object({
    patternId,
    /** null for a new pattern */
    version: nextVersion,
    name,
    purpose: z.enum(['imitation', 'attractor', 'searching']),
    roles: listed('roles', z.enum(ROLES)),
    ownMonths: listed('months', figure('month')),
    fishedHow: listed('fishedHow', written('word')),
    waterKinds: listed('waterKinds', z.enum(WATER_KINDS)),
    dislike: share,
    note,
    serves: listed('serves', z.object({ foodStageId, weight: share }).strict()),
    dressing: dressingBody,
    newMaterials: listed('newMaterials', newMaterial),
    variants: listed(
      'variants',
      z
        .object({
          id: variantId,
          label: name,
          hookMaterialId: materialId,
          swaps,
          /** left out where they were not changed: they may have been set elsewhere meanwhile */
          parCount: figure('par').nullable().optional(),
          homeCompartmentId: compartmentId.nullable().optional(),
        })
        .strict(),
    ),
    /** flies that lie in boxes were tied as it says now; left out, they stay under the recipe that they are of */
    correctsRecord: z.boolean().optional(),
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
      parCount: figure('par').nullable(),
      homeCompartmentId: compartmentId.nullable(),
    })
    .strict(),
} as const
