import { z } from 'zod'
import { actionId, outingId } from './common.ts'
import { listed, written } from './limited.ts'
import { watersideTap } from './records/waterside.ts'

/** What a paired phone is answered in the home network: these and nothing else. */
export const PAIRED_PATHS = {
  door: '/',
  pair: '/pair',
  page: '/outings/:id',
  file: '/outings/:id/file',
  log: '/outings/:id/log',
} as const

/** What a phone says to be let in. */
export const pairAsk = z.object({ code: written('pairingCode'), name: written('phoneName') }).strict()

/** Which outing a page, a file or a log is of. */
export const pairedParams = z.object({ id: outingId })

/** What a paired page sends home; the same taps may come again, each is kept once. */
export const pairedLog = z.object({ id: actionId, taps: listed('taps', watersideTap) }).strict()

/** Who of the home network may come in, and the code that admits one more. */
export const pairingView = z
  .object({
    /** where phones are served; null where the server was started without that */
    servedAt: z.string().nullable(),
    code: z.object({ code: z.string(), untilMs: z.number(), triesLeft: z.number() }).nullable(),
    devices: z.array(
      z.object({
        id: z.string(),
        name: z.string(),
        address: z.string(),
        pairedAtMs: z.number(),
        seenAtMs: z.number(),
      }),
    ),
  })
  .meta({ id: 'Pairing' })
/** Who of the home network may come in. */
export type PairingView = z.infer<typeof pairingView>
