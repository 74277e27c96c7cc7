import { wording } from '../../core/index.ts'
import { z } from 'zod'
import { boxId, compartmentId, materialId, name, note, outingId, patternId, variantId } from '../common.ts'
import { figure, listed, written } from '../limited.ts'
import { anyway, flies, fliesSeen, newMaterial } from './shared.ts'

/** a fly that was bought, given or found: a name and a hook, and no recipe */
const bareFly = z.object({ patternId, variantId, name, label: name, hookMaterialId: materialId }).strict()

const lossCause = z.enum(wording.LOSS_CAUSES)

const loss = z.object({ compartmentId, variantId, count: flies, cause: lossCause }).strict()

/** What becomes of flies, and where they lie. */
export const boxCommands = {
  fliesLose: z.object({ outingId: outingId.nullable(), losses: listed('losses', loss) }).strict(),
  fliesCount: z.object({ compartmentId, variantId, counted: fliesSeen, anyway }).strict(),
  fliesMove: z
    .object({
      fromCompartmentId: compartmentId,
      toCompartmentId: compartmentId,
      variantId,
      count: flies,
      /** others of the same compartment that go along */
      also: listed('movedAlong', z.object({ variantId, count: flies }).strict()).optional(),
      anyway,
    })
    .strict(),
  /** many flies at once, typed or from a table; those that nobody has a recipe of are made with a name and a hook */
  fliesPutIn: z
    .object({
      /** `found` adds to what lies there, `counted` says what lies there now */
      how: z.enum(['found', 'counted']),
      anyway,
      newMaterials: listed('newMaterials', newMaterial),
      newFlies: listed('newFlies', bareFly),
      lines: listed('rows', z.object({ compartmentId, variantId, count: fliesSeen }).strict()),
    })
    .strict(),
  boxCreate: z
    .object({
      boxId,
      name,
      note,
      compartments: listed(
        'compartments',
        z
          .object({
            id: compartmentId,
            row: figure('gridPlace'),
            column: figure('gridPlace'),
            label: written('shortLabel'),
            capacity: figure('capacity').nullable(),
          })
          .strict(),
      ),
      /** flies that get their place in it */
      homes: listed('newFlies', z.object({ variantId, compartmentId }).strict()).optional(),
      /** whether what is on hand of those is moved there too */
      moveFlies: z.boolean().optional(),
    })
    .strict(),
  /** takes flies along: out of their compartments into one that goes to the water */
  outingPack: z
    .object({
      outingId,
      toCompartmentId: compartmentId,
      flies: listed('packed', z.object({ fromCompartmentId: compartmentId, variantId, count: flies }).strict()),
      anyway,
    })
    .strict(),
  /** what is left of them goes back where it came from */
  outingUnpack: z.object({ outingId }).strict(),
} as const
