import { wording } from '../../core/index.ts'
import { z } from 'zod'
import { boxId, compartmentId, materialId, name, note, outingId, patternId, variantId } from '../common.ts'
import { anyway, flies, fliesSeen, MOST_ROWS, newMaterial } from './shared.ts'

/** a fly that was bought, given or found: a name and a hook, and no recipe */
const bareFly = z.object({ patternId, variantId, name, label: name, hookMaterialId: materialId }).strict()

const lossCause = z.enum(wording.LOSS_CAUSES)

const loss = z.object({ compartmentId, variantId, count: flies, cause: lossCause }).strict()

/** What becomes of flies, and where they lie. */
export const boxCommands = {
  fliesLose: z
    .object({ outingId: outingId.nullable(), losses: z.array(loss).min(1, 'Say what was lost.').max(200) })
    .strict(),
  fliesCount: z.object({ compartmentId, variantId, counted: fliesSeen, anyway }).strict(),
  fliesMove: z
    .object({
      fromCompartmentId: compartmentId,
      toCompartmentId: compartmentId,
      variantId,
      count: flies,
      /** others of the same compartment that go along */
      also: z
        .array(z.object({ variantId, count: flies }).strict())
        .max(100, 'At most 100 at once.')
        .optional(),
      anyway,
    })
    .strict(),
  /** many flies at once, typed or from a table; those that nobody has a recipe of are made with a name and a hook */
  fliesPutIn: z
    .object({
      /** `found` adds to what lies there, `counted` says what lies there now */
      how: z.enum(['found', 'counted']),
      anyway,
      newMaterials: z.array(newMaterial).max(60),
      newFlies: z.array(bareFly).max(MOST_ROWS),
      lines: z
        .array(z.object({ compartmentId, variantId, count: fliesSeen }).strict())
        .min(1, 'Say what to put in.')
        .max(MOST_ROWS, `At most ${MOST_ROWS} lines at once.`),
    })
    .strict(),
  boxCreate: z
    .object({
      boxId,
      name,
      note,
      compartments: z
        .array(
          z
            .object({
              id: compartmentId,
              row: z.number().int().min(1).max(40),
              column: z.number().int().min(1).max(40),
              label: z.string().max(60),
              capacity: z.number().int().min(1, 'At least one.').max(500, 'At most 500.').nullable(),
            })
            .strict(),
        )
        .min(1, 'A box has at least one compartment.')
        .max(200, 'At most 200 compartments.'),
      /** flies that get their place in it */
      homes: z.array(z.object({ variantId, compartmentId }).strict()).max(MOST_ROWS).optional(),
      /** whether what is on hand of those is moved there too */
      moveFlies: z.boolean().optional(),
    })
    .strict(),
  /** takes flies along: out of their compartments into one that goes to the water */
  outingPack: z
    .object({
      outingId,
      toCompartmentId: compartmentId,
      flies: z
        .array(z.object({ fromCompartmentId: compartmentId, variantId, count: flies }).strict())
        .min(1, 'Say what to pack.')
        .max(300),
      anyway,
    })
    .strict(),
  /** what is left of them goes back where it came from */
  outingUnpack: z.object({ outingId }).strict(),
} as const
