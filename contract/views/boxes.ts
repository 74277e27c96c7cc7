import { z } from 'zod'
import { boxId, compartmentId, materialId, version } from '../common.ts'
import { drawingKey, variantFigure, variantMention } from './parts.ts'

/** A compartment with what lies in it or has its home there. */
export const compartmentLine = z
  .object({
    id: compartmentId,
    row: z.number(),
    column: z.number(),
    label: z.string(),
    capacity: z.number().nullable(),
    /** what lies here and what has its home here, by variant */
    flies: z.array(
      variantMention.extend({
        count: z.number(),
        par: z.number().nullable(),
        isHome: z.boolean(),
        variantVersion: version,
        parCount: z.number().nullable(),
        depthMm: z.number().nullable(),
        /** what it does */
        figure: variantFigure.pick({ kind: true, sinkSpeedMmPerS: true, posture: true, drawingKey: true }),
      }),
    ),
  })
  .meta({ id: 'Compartment' })
/** A compartment with its flies. */
export type CompartmentLine = z.infer<typeof compartmentLine>

/** A box with its compartments, row by row. */
export const boxLine = z
  .object({
    id: boxId,
    name: z.string(),
    kind: z.enum(['box', 'benchTray', 'patch']),
    note: z.string(),
    compartments: z.array(compartmentLine),
  })
  .meta({ id: 'Box' })
/** A box with its compartments. */
export type BoxLine = z.infer<typeof boxLine>

/** A variant below its par, with what the stores still allow. */
export const restockLine = z
  .object({
    ...variantMention.shape,
    onHand: z.number(),
    par: z.number(),
    missing: z.number(),
    compartmentId,
    compartmentLabel: z.string(),
    allowed: z.number().nullable(),
    limitedBy: z.string().nullable(),
    shortOf: z.array(
      z.object({
        materialId,
        name: z.string(),
        stockUnit: z.enum(['count', 'mm', 'mg', 'patch']),
        need: z.number(),
        onHand: z.number().nullable(),
      }),
    ),
    drawingKey: drawingKey.nullable(),
  })
  .meta({ id: 'RestockLine' })
/** A variant below its par. */
export type RestockLine = z.infer<typeof restockLine>

/** All boxes, and what is below par. */
export const boxesView = z
  .object({ boxes: z.array(boxLine), restock: z.array(restockLine) })
  .meta({ id: 'Boxes' })
/** All boxes, and what is below par. */
export type BoxesView = z.infer<typeof boxesView>
