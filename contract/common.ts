import { z } from 'zod'
import { figure, written } from './limited.ts'

/** Ids are UUIDs in lower case, minted by whoever creates the row. */
export const id = <Brand extends string>(brand: Brand) =>
  z
    .string()
    .regex(
      /^[0-9a-f]{8}-[0-9a-f]{4}-[1-9a-f][0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/,
      `There is no such ${brand.replace(/(?<=[a-z])[A-Z]/g, (letter) => ` ${letter}`).toLowerCase()}.`,
    )
    .brand<Brand>()

/** A name that people give: trimmed, NFC, 1 to 80 characters, without control characters. */
export const name = z
  .string()
  .transform((text) => text.normalize('NFC').trim().replace(/\s+/g, ' '))
  .pipe(written('name').regex(/^[^\u0000-\u001f\u007f]*$/, 'A name has no control characters.'))

/** Free text that people write: at most 2,000 characters. */
export const note = written('note').transform((text) => text.normalize('NFC').trim())

/** Names compare by this: NFC, lower case, single spaces. */
export const foldedKey = (text: string): string =>
  text.normalize('NFC').trim().replace(/\s+/g, ' ').toLocaleLowerCase('en')

/** Counts the changes of a row, from 1; a save from an older one is stale. */
export const version = figure('version')
const isCivilDate = (on: string) => {
  const ms = Date.parse(`${on}T00:00:00Z`)
  return !Number.isNaN(ms) && new Date(ms).toISOString().startsWith(on)
}
/** A day of a calendar, YYYY-MM-DD, that exists; it belongs to the zone of its water. */
export const civilDate = z
  .string()
  .regex(/^\d{4}-\d{2}-\d{2}$/, { error: 'A date is written YYYY-MM-DD.', abort: true })
  .refine(isCivilDate, { error: 'There is no such day.', abort: true })
  .refine((on) => on >= '1900' && on < '2101', 'A year from 1900 to 2100.')

/** Days of the longest February on: a season may begin on 29 February. */
const MONTH_DAYS = [31, 29, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31]
/** A day of any year, MM-DD. */
export const monthDay = z
  .string()
  .regex(/^\d{2}-\d{2}$/, { error: 'Month and day are written MM-DD.', abort: true })
  .refine((text) => {
    const [month = 0, day = 0] = text.split('-').map(Number)
    return day >= 1 && day <= (MONTH_DAYS[month - 1] ?? 0)
  }, 'There is no such day.')
/** Minutes after midnight in local time, 0 to 1440. */
export const localMinute = figure('localMinute')
/** A part of a whole, 0 to 1. */
export const share = figure('share')

/** Names a pattern. */
export const patternId = id('Pattern')
/** Names one revision of a pattern’s dressing. */
export const dressingId = id('Dressing')
/** Names a variant: a dressing on one hook with its swaps. */
export const variantId = id('Variant')
/** Names a recipe as tied; batches, ledger and measurements point to it. */
export const variantRevisionId = id('VariantRevision')
/** Names a family of goods. */
export const familyId = id('Family')
/** Names a drawer: family, size and colour. */
export const materialId = id('Material')
/** Names a water. */
export const waterId = id('Water')
/** Names a reach, shoal, drop-off or basin of a water. */
export const reachId = id('Reach')
/** Names a food. */
export const foodId = id('Food')
/** Names a life stage of a food. */
export const foodStageId = id('FoodStage')
/** Names a box, or the bench tray. */
export const boxId = id('Box')
/** Names a compartment of a box. */
export const compartmentId = id('Compartment')
/** Names a batch at the bench. */
export const batchId = id('Batch')
/** Names an event at the vise; minted where it happened. */
export const eventId = id('Event')
/** Names an outing. */
export const outingId = id('Outing')
/** Names an action: the id of the command that made it. */
export const actionId = id('Action')
/** Names a spell: one fly fished for some minutes of an outing. */
export const spellId = id('Spell')
/** Names a rig. */
export const rigId = id('Rig')
/** Names an answer in a drill. */
export const drillAnswerId = id('DrillAnswer')
/** Names a tap at the water. */
export const tapId = id('Tap')
/** Names a picture. */
export const photoId = id('Photo')
/** Names an order. */
export const purchaseId = id('Purchase')
/** Names one line of an order. */
export const purchaseLineId = id('PurchaseLine')

/** Id of a pattern. */
export type PatternId = z.infer<typeof patternId>
/** Id of a revision of a dressing. */
export type DressingId = z.infer<typeof dressingId>
/** Id of a variant. */
export type VariantId = z.infer<typeof variantId>
/** Id of a recipe as tied. */
export type VariantRevisionId = z.infer<typeof variantRevisionId>
/** Id of a family of goods. */
export type FamilyId = z.infer<typeof familyId>
/** Id of a drawer. */
export type MaterialId = z.infer<typeof materialId>
/** Id of a water. */
export type WaterId = z.infer<typeof waterId>
/** Id of a reach. */
export type ReachId = z.infer<typeof reachId>
/** Id of a food. */
export type FoodId = z.infer<typeof foodId>
/** Id of a stage of a food. */
export type FoodStageId = z.infer<typeof foodStageId>
/** Id of a box. */
export type BoxId = z.infer<typeof boxId>
/** Id of a compartment. */
export type CompartmentId = z.infer<typeof compartmentId>
/** Id of a batch. */
export type BatchId = z.infer<typeof batchId>
/** Id of an outing. */
export type OutingId = z.infer<typeof outingId>
/** Id of an event at the vise. */
export type EventId = z.infer<typeof eventId>
/** Id of a picture. */
export type PhotoId = z.infer<typeof photoId>
/** Id of an order. */
export type PurchaseId = z.infer<typeof purchaseId>
/** Id of a line of an order. */
export type PurchaseLineId = z.infer<typeof purchaseLineId>
/** Id of an answer in a drill. */
export type DrillAnswerId = z.infer<typeof drillAnswerId>
/** Id of a tap at the water. */
export type TapId = z.infer<typeof tapId>
/** Id of a rig. */
export type RigId = z.infer<typeof rigId>
/** Id of a spell. */
export type SpellId = z.infer<typeof spellId>
/** Id of an action. */
export type ActionId = z.infer<typeof actionId>
