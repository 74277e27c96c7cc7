import { z } from 'zod'

/** Ids are UUIDs in lower case, minted by whoever creates the row. */
export const id = <Brand extends string>(brand: Brand) =>
  z
    .string()
    .regex(/^[0-9a-f]{8}-[0-9a-f]{4}-[1-9a-f][0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/, `no ${brand} id`)
    .brand<Brand>()

/** A name that people give: trimmed, NFC, 1 to 80 characters, without control characters. */
export const name = z
  .string()
  .transform((text) => text.normalize('NFC').trim().replace(/\s+/g, ' '))
  .pipe(
    z
      .string()
      .min(1, 'Give it a name.')
      .max(80, 'At most 80 characters.')

      .regex(/^[^\u0000-\u001f\u007f]*$/, 'A name has no control characters.'),
  )

/** Free text that people write: at most 2,000 characters. */
export const note = z
  .string()
  .max(2000, 'At most 2,000 characters.')
  .transform((text) => text.normalize('NFC').trim())

/** Names compare by this: NFC, lower case, single spaces. */
export const foldedKey = (text: string): string =>
  text.normalize('NFC').trim().replace(/\s+/g, ' ').toLocaleLowerCase('en')

export const version = z.number().int().min(1)
const isCivilDate = (on: string) => {
  const ms = Date.parse(`${on}T00:00:00Z`)
  return !Number.isNaN(ms) && new Date(ms).toISOString().startsWith(on)
}
export const civilDate = z
  .string()
  .regex(/^\d{4}-\d{2}-\d{2}$/, 'A date is written YYYY-MM-DD.')
  .refine(isCivilDate, 'There is no such day.')
export const localMinute = z.number().int().min(0).max(1440)
export const share = z.number().min(0).max(1)

export const patternId = id('Pattern')
export const dressingId = id('Dressing')
export const variantId = id('Variant')
export const variantRevisionId = id('VariantRevision')
export const familyId = id('Family')
export const materialId = id('Material')
export const waterId = id('Water')
export const reachId = id('Reach')
export const foodId = id('Food')
export const foodStageId = id('FoodStage')
export const boxId = id('Box')
export const compartmentId = id('Compartment')
export const batchId = id('Batch')
export const eventId = id('Event')
export const outingId = id('Outing')
export const actionId = id('Action')
export const spellId = id('Spell')
export const photoId = id('Photo')
export const purchaseId = id('Purchase')
export const purchaseLineId = id('PurchaseLine')

export type PatternId = z.infer<typeof patternId>
export type DressingId = z.infer<typeof dressingId>
export type VariantId = z.infer<typeof variantId>
export type VariantRevisionId = z.infer<typeof variantRevisionId>
export type FamilyId = z.infer<typeof familyId>
export type MaterialId = z.infer<typeof materialId>
export type WaterId = z.infer<typeof waterId>
export type ReachId = z.infer<typeof reachId>
export type FoodId = z.infer<typeof foodId>
export type FoodStageId = z.infer<typeof foodStageId>
export type BoxId = z.infer<typeof boxId>
export type CompartmentId = z.infer<typeof compartmentId>
export type BatchId = z.infer<typeof batchId>
export type OutingId = z.infer<typeof outingId>
export type EventId = z.infer<typeof eventId>
export type PhotoId = z.infer<typeof photoId>
export type PurchaseId = z.infer<typeof purchaseId>
export type PurchaseLineId = z.infer<typeof purchaseLineId>
export type SpellId = z.infer<typeof spellId>
export type ActionId = z.infer<typeof actionId>
