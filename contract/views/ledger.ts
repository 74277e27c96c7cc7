import { z } from 'zod'
import { compartmentId, materialId } from '../common.ts'

/** Whose ledger is asked for. */
export const ledgerQuery = z.union([z.object({ compartmentId }).strict(), z.object({ materialId }).strict()])

/** One entry of a ledger, as it stands there for good. */
export const ledgerLine = z.object({
  id: z.string(),
  on: z.string(),
  localMin: z.number(),
  /** the fly; empty for goods */
  name: z.string(),
  delta: z.number(),
  cause: z.enum([
    'tied',
    'lost',
    'given',
    'retired',
    'found',
    'moved',
    'counted',
    'corrected',
    'bought',
    'used',
    'wasted',
  ]),
  lossCause: z.string().nullable(),
  /** what was counted, where it was */
  counted: z.number().nullable(),
  /** whether it takes an earlier entry back */
  takesBack: z.boolean(),
  /** what lay there once it was entered */
  after: z.number(),
})
/** One entry of a ledger. */
export type LedgerLine = z.infer<typeof ledgerLine>

/** Entries of one compartment or drawer, newest first. */
export const ledgerView = z
  .object({
    /** the latest ones, newest first */
    lines: z.array(ledgerLine),
    /** how many there are in all */
    all: z.number(),
  })
  .meta({ id: 'Ledger' })
/** Entries of one compartment or drawer. */
export type LedgerView = z.infer<typeof ledgerView>
