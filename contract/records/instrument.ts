import { z } from 'zod'
import { figure } from '../limited.ts'

/** Asks a scale or a drop timer for a reading. */
export const instrumentAsk = z
  .object({
    kind: z.enum(['scale', 'timer']),
    /** what a simulated one has on its pan or between its gates: mg or s, by the estimate */
    expected: figure('expected'),
  })
  .strict()

/** What it said. Until a real one is connected it is simulated, and says so. */
export const instrumentReading = z
  .object({
    simulated: z.boolean(),
    reading: z.union([
      z.object({ kind: z.literal('reading'), value: z.number() }),
      z.object({ kind: z.enum(['noInstrument', 'lineDropped', 'notStable']) }),
      z.object({ kind: z.literal('fault'), word: z.string() }),
    ]),
  })
  .meta({ id: 'InstrumentReading' })
/** What a scale or a drop timer read, and whether it is simulated; never kept by itself. */
export type InstrumentReading = z.infer<typeof instrumentReading>
