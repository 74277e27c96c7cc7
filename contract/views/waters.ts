import { z } from 'zod'
import { reachBody, waterBody } from '../records/water.ts'
import { reachId, version, waterId } from '../common.ts'

/** A water with its reaches, lowest first. */
export const waterLine = z
  .object({
    id: waterId,
    version,
    water: waterBody,
    reaches: z.array(z.object({ id: reachId, version, reach: reachBody })),
  })
  .meta({ id: 'Water' })
/** All waters, in the order of their names. */
export const watersView = z.object({ waters: z.array(waterLine) }).meta({ id: 'Waters' })
/** All waters. */
export type WatersView = z.infer<typeof watersView>
