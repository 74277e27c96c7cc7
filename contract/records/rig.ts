import { z } from 'zod'
import { KNOTS, LINE_SORTS, RIG_WAYS, STUFFS } from '../../core/index.ts'
import { id, name, note, rigId, variantId } from '../common.ts'
import { figure, listed } from '../limited.ts'

const lengthMm = figure('pieceMm')
const diameterMm = figure('threadMm')
const massMg = figure('pinchedMg')
const stuff = z.enum(STUFFS)
const fly = variantId.nullable()

/** Names a count that was made with a rig. */
export const lineCountId = id('LineCount')
/** Id of a count. */
export type LineCountId = z.infer<typeof lineCountId>

/** Seconds from a cast over still water until the point touched at a depth that is known. */
export const lineCountBody = z
  .object({
    rigId,
    depthMm: figure('waterDepthMm'),
    countS: figure('countS'),
    waterTempC: figure('waterTempC'),
  })
  .strict()

/** A part of a rig: fly line, leader, tippet, what is tied in or pinched on, a knot. */
export const rigPart = z.discriminatedUnion('kind', [
  z
    .object({
      kind: z.literal('line'),
      sort: z.enum(LINE_SORTS),
      lengthMm,
      diameterMm,
      rateMmPerS: figure('lineRate').nullable(),
    })
    .strict(),
  z.object({ kind: z.literal('leader'), lengthMm, buttMm: diameterMm, tipMm: diameterMm, stuff }).strict(),
  z.object({ kind: z.literal('tippet'), lengthMm, diameterMm, stuff }).strict(),
  z.object({ kind: z.literal('dropper'), lengthMm, fly }).strict(),
  z.object({ kind: z.literal('float'), diameterMm: figure('floatMm'), massMg }).strict(),
  z.object({ kind: z.literal('dry'), fly }).strict(),
  z.object({ kind: z.enum(['shot', 'swivel', 'ring']), massMg }).strict(),
  z.object({ kind: z.literal('knot'), knot: z.enum(KNOTS) }).strict(),
  z.object({ kind: z.literal('point'), fly }).strict(),
])

/** A rig as it is entered: its parts from the rod to the point, and how it is fished. */
export const rigBody = z
  .object({
    name,
    way: z.enum(RIG_WAYS),
    parts: listed('rigParts', rigPart),
    note,
  })
  .strict()
/** A rig as it is entered. */
export type RigBody = z.infer<typeof rigBody>
