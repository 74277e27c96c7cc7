import { z } from 'zod'
import { STANDINGS } from '../../core/index.ts'
import { compartmentId, foodStageId, patternId, variantId } from '../common.ts'

/** How each food that the water ahead asks for stands in the boxes: at the outing where it stands worst. */
export const standingsView = z
  .object({
    /** holes first, then what is thin, then what is covered; among them what most fish are on first */
    stages: z.array(
      z.object({
        foodStageId,
        name: z.string(),
        standing: z.enum(STANDINGS),
        on: z.string(),
        reachName: z.string(),
        /** `13–17 h`: from the first to the last half hour in which at least one fish in twenty is on it */
        hours: z.string(),
        /** `4 of 10 fish`, in the half hour with the most */
        onIt: z.string(),
        /** flies that serve it and are there by then, as the losses before it leave them; parts of a fly among them */
        flies: z.number(),
        /** chance, 0 to 1, that one of them lasts through those hours */
        lasts: z.number(),
        /** the variant that serves it best, of those that may be fished; null where none is designed */
        best: z
          .object({
            variantId,
            patternId,
            name: z.string(),
            /** what of it is below what is kept, one at least, and where it would go */
            batch: z.object({ count: z.number(), compartmentId }),
          })
          .nullable(),
      }),
    ),
    holes: z.number(),
    thin: z.number(),
  })
  .meta({ id: 'Standings' })
/** How each food that the water ahead asks for stands. */
export type StandingsView = z.infer<typeof standingsView>
