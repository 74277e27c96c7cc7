import { z } from 'zod'
import { variantMention } from './parts.ts'

/** What became of a variant's flies so far. */
export const historyLine = variantMention.extend({
  onHand: z.number(),
  tied: z.number(),
  lost: z.number(),
  /** what took most of those lost; null where none was */
  mostlyTo: z.string().nullable(),
  /** as long as it was noted as fished, and what it took then; null where nobody noted that */
  fished: z.object({ minutes: z.number(), takes: z.number() }).nullable(),
  /** day of the last outing on which it was fished or lost; null for never */
  lastFishedOn: z.string().nullable(),
  /** day since which it has been in the boxes: when the first of its recipe came to be known */
  sinceOn: z.string(),
})
/** What became of the flies of one variant. */
export type HistoryLine = z.infer<typeof historyLine>
/** What became of the flies of every variant that was tied, lost or is on hand. */
export const historyView = z.object({ variants: z.array(historyLine) }).meta({ id: 'History' })
/** What became of the flies of every variant. */
export type HistoryView = z.infer<typeof historyView>
