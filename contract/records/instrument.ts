import { z } from 'zod'
import { figure } from '../limited.ts'

/** Asks a scale, a drop timer, a gauge or a weather station for a reading. */
export const instrumentAsk = z
  .object({
    kind: z.enum(['scale', 'timer', 'level', 'air', 'wind']),
    /** what a simulated one has before it, by the estimate: mg, s, mm, °C or m/s */
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
/** What an instrument read, and whether it is simulated; never kept by itself. */
export type InstrumentReading = z.infer<typeof instrumentReading>
