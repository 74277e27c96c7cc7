import { BARBS, MATERIAL_KINDS } from '../../core/index.ts'
import { z } from 'zod'
import { familyId, materialId, photoId, purchaseId, purchaseLineId, version } from '../common.ts'
import { physics } from './families.ts'
import { variantMention } from './parts.ts'

/** A drawer of the stores. Amounts in the smallest step: hundredths of a piece or cm², mm, mg. */
export const materialLine = z
  .object({
    id: materialId,
    familyId,
    kind: z.enum(MATERIAL_KINDS),
    name: z.string(),
    sizeKey: z.string(),
    colourName: z.string(),
    colourHex: z.string(),
    colourWetHex: z.string(),
    stockUnit: z.enum(['count', 'mm', 'mg', 'patch']),
    /** null: never counted */
    onHand: z.number().nullable(),
    minimumAmount: z.number().nullable(),
    packAmount: z.number().nullable(),
    /** of a pack, in the currency's smallest coin */
    priceMinor: z.number().nullable(),
    leadTimeDays: z.number().nullable(),
    supplier: z.string(),
    overrides: physics,
    barb: z.enum(BARBS).nullable(),
    usedBy: z.number(),
    cautions: z.array(z.string()),
    note: z.string(),
    photoId: photoId.nullable(),
    version,
  })
  .meta({ id: 'MaterialLine' })
/** A drawer of the stores. */
export type MaterialLine = z.infer<typeof materialLine>

/** What was ordered and has not all come. */
export const purchaseLine = z.object({
  purchaseId,
  version,
  supplier: z.string(),
  orderedOn: z.string(),
  lines: z.array(
    z.object({
      lineId: purchaseLineId,
      materialId,
      name: z.string(),
      packAmount: z.number(),
      packs: z.number(),
      arrivedPacks: z.number(),
    }),
  ),
})
/** An order of which something is still to come. */
export type PurchaseView = z.infer<typeof purchaseLine>

/** All drawers, and what is on order. */
export const storesView = z
  .object({ materials: z.array(materialLine), purchases: z.array(purchaseLine) })
  .meta({ id: 'Stores' })
/** All drawers, and what is on order. */
export type StoresView = z.infer<typeof storesView>

/** Variants that take a material. */
export const usesView = z.object({ uses: z.array(variantMention) }).meta({ id: 'Uses' })
/** Variants that take a material. */
export type UsesView = z.infer<typeof usesView>
