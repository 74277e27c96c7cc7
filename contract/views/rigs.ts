import { z } from 'zod'
import { civilDate, rigId, version } from '../common.ts'
import { lineCountBody, lineCountId, rigBody } from '../records/rig.ts'

/** A rig with how often it was fished: then it stays as it is. */
export const rigLine = rigBody
  .extend({
    id: rigId,
    version,
    spells: z.number(),
    /** when its knots were tied last; null where nobody said */
    knotsOn: civilDate.nullable(),
    /** how long it was fished since */
    fishedMin: z.number(),
    counts: z.array(lineCountBody.omit({ rigId: true }).extend({ id: lineCountId, version })),
  })
  .meta({ id: 'Rig' })
/** A rig. */
export type RigLine = z.infer<typeof rigLine>
/** Rigs by name, with the flies that they may carry. */
export const rigsView = z.object({ rigs: z.array(rigLine) }).meta({ id: 'Rigs' })
/** All rigs. */
export type RigsView = z.infer<typeof rigsView>
