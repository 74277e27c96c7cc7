import { z } from 'zod'
import { TECHNIQUES } from '../techniques.ts'
import { compartmentId, outingId, reachId, rigId, spellId, version, waterId } from '../common.ts'
import { waterStep } from '../records/waterside.ts'
import { waterRules } from '../records/water.ts'
import { variantMention } from './parts.ts'

/** An outing with what was fished, taken, lost and packed. */
export const outingLine = z
  .object({
    id: outingId,
    version,
    waterId,
    reachId: reachId.nullable(),
    waterName: z.string(),
    reachName: z.string().nullable(),
    on: z.string(),
    fromLocalMin: z.number(),
    toLocalMin: z.number(),
    status: z.enum(['planned', 'done', 'cancelled']),
    technique: z.enum(TECHNIQUES),
    alsoTechniques: z.array(z.enum(TECHNIQUES)),
    note: z.string(),
    rules: waterRules,
    /** flies fished, in the order in which they were noted */
    spells: z.array(
      variantMention.extend({
        spellId,
        version,
        rigId: rigId.nullable(),
        minutes: z.number(),
        takes: z.number(),
        refusals: z.number(),
      }),
    ),
    /** how much that was noted at the water waits to be made something of: spells, losses, samples, readings */
    waits: z.number(),
    /** what goes along, still as it was packed */
    packed: z.array(variantMention.extend({ count: z.number(), compartmentId, compartmentLabel: z.string() })),
    losses: z.array(
      variantMention.extend({ count: z.number(), cause: z.string(), compartmentLabel: z.string() }),
    ),
  })
  .meta({ id: 'Outing' })
/** An outing. */
export type OutingLine = z.infer<typeof outingLine>
const taken = z.object({ minutes: z.number(), takes: z.number() })
/** Outings that are planned, then those that are done, newest first. */
export const outingsView = z
  .object({
    outings: z.array(outingLine),
    /** what came before and after each kind of change, as it was noted at the water */
    changes: z.array(z.object({ step: waterStep, times: z.number(), before: taken, after: taken })),
  })
  .meta({ id: 'Outings' })
/** All outings. */
export type OutingsView = z.infer<typeof outingsView>
