import { CODED_METALS, ROLES } from '../../core/index.ts'
import { z } from 'zod'
import { boxId, compartmentId, foodStageId, materialId, patternId, variantId, version } from '../common.ts'
import { dressingBody, swaps } from '../records/dressing.ts'
import { variantFigure } from './parts.ts'

/** A variant as lists show it: figures, on hand, its home. */
export const variantLine = z
  .object({
    id: variantId,
    version,
    label: z.string(),
    parCount: z.number().nullable(),
    homeCompartmentId: compartmentId.nullable(),
    onHand: z.number(),
    olderOnHand: z.number(),
    figure: variantFigure,
  })
  .meta({ id: 'VariantLine' })
/** A variant as lists show it. */
export type VariantLine = z.infer<typeof variantLine>

/** A variant with what makes it one. */
export const variantFull = variantLine.extend({ hookMaterialId: materialId, swaps }).meta({ id: 'Variant' })
/** A variant with its hook and swaps. */
export type VariantFull = z.infer<typeof variantFull>

/** A pattern as lists show it, with its variants. */
export const patternLine = z
  .object({
    id: patternId,
    name: z.string(),
    purpose: z.enum(['imitation', 'attractor', 'searching']),
    roles: z.array(z.enum(ROLES)),
    serves: z.array(z.object({ foodStageId, weight: z.number(), name: z.string() })),
    variants: z.array(variantLine),
  })
  .meta({ id: 'PatternLine' })
/** A pattern as lists show it. */
export type PatternLine = z.infer<typeof patternLine>

/** A pattern with its dressing: what its sheet and the tank need. */
export const patternView = patternLine
  .extend({
    version,
    ownMonths: z.array(z.number()),
    fishedHow: z.array(z.string()),
    waterKinds: z.array(z.string()),
    dislike: z.number(),
    note: z.string(),
    dressing: dressingBody,
    revision: z.number(),
    variants: z.array(variantFull),
  })
  .meta({ id: 'Pattern' })
/** A pattern with its dressing. */
export type PatternView = z.infer<typeof patternView>

/** Flies that are easily taken for one another, and marks that break the user's weight code. */
const toldApart = z.object({
  pairs: z.array(z.object({ lighterId: variantId, heavierId: variantId, ratio: z.number() })),
  marks: z.array(
    z.object({
      variantId,
      metal: z.enum(CODED_METALS),
      expected: z.string().nullable(),
      found: z.string().nullable(),
    }),
  ),
})

/** All patterns, and flies that are easily taken for one another. */
export const patternsView = z
  .object({
    patterns: z.array(patternLine),
    /** where flies live, for asking by box */
    boxes: z.array(z.object({ id: boxId, name: z.string(), compartmentIds: z.array(compartmentId) })),
    toldApart,
  })
  .meta({ id: 'Patterns' })
/** All patterns. */
export type PatternsView = z.infer<typeof patternsView>
