import { z } from 'zod'
import { outingId, reachId, spellId, variantId, version, waterId } from '../common.ts'
import { outingBody } from '../records/outing.ts'
import { reachBody, reachWithId, waterBody } from '../records/water.ts'
import { nextVersion } from './shared.ts'

/** Waters, and outings to them. */
export const waterCommands = {
  waterCreate: z.object({ waterId, water: waterBody, reaches: z.array(reachWithId).min(1).max(12) }).strict(),
  waterSave: z.object({ waterId, version, water: waterBody }).strict(),
  reachSave: z.object({ reachId, version, reach: reachBody }).strict(),
  outingSave: z.object({ outingId, version: nextVersion, outing: outingBody }).strict(),
  /** how long a fly was in the water on an outing, and what came of it */
  spellSave: z
    .object({
      spellId,
      version: nextVersion,
      outingId,
      variantId,
      minutes: z.number().int().min(1, 'At least a minute.').max(1440, 'At most a day.'),
      takes: z.number().int().min(0).max(500, 'At most 500.'),
      refusals: z.number().int().min(0).max(500, 'At most 500.'),
    })
    .strict(),
  spellArchive: z.object({ spellId, version }).strict(),
} as const
