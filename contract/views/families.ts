import { MATERIAL_KINDS, PROPERTY_NAMES } from '../../core/index.ts'
import { z } from 'zod'
import { familyId } from '../common.ts'

const property = z.object({
  value: z.number(),
  low: z.number(),
  high: z.number(),
  evidence: z.enum(['kindDefault', 'catalogue', 'entered', 'weighed', 'timed']),
})

/** Physical properties by name; those that are not there do not apply. */
export const physics = z.partialRecord(z.enum(PROPERTY_NAMES), property)

/** A family with its physics: what core reckons with. */
export const familyFull = z
  .object({
    id: familyId,
    kind: z.enum(MATERIAL_KINDS),
    name: z.string(),
    massModel: z.string(),
    physics,
    hook: z
      .object({
        style: z.string(),
        xLong: z.number(),
        xHeavy: z.number(),
        steps: z.enum(['wholeSizes', 'evenSizes']),
      })
      .nullable(),
    boring: z.enum(['drilled', 'countersunk', 'slotted', 'offCentre']).nullable(),
    line: z
      .object({
        build: z.enum(['uniform', 'compensated', 'sinkTip']),
        tipMm: z.number(),
        tipOfBelly: z.number(),
      })
      .nullable(),
    stockUnit: z.enum(['count', 'mm', 'mg', 'patch']),
    wasteShare: z.number(),
    cutLengthMm: z.number(),
    cautions: z.array(z.string()),
    sizes: z.array(z.string()),
    colours: z.array(z.object({ name: z.string(), hexDry: z.string(), hexWet: z.string() })),
  })
  .meta({ id: 'Family' })
/** A family with its physics. */
export type FamilyFull = z.infer<typeof familyFull>

/** Families with or without their physics, by route. */
export const familiesView = z.object({ families: z.array(familyFull) }).meta({ id: 'Families' })
/** Families of goods. */
export type FamiliesView = z.infer<typeof familiesView>
