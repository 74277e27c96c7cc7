import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { startProcess } from '../e2e/serving.ts'
import { forSeconds, residentMb, steadily, writesOf } from './evening.ts'
import type { Line } from './timing.ts'

const A_SECOND = 30
const MINUTES = 60
/** Memory is read each so often; what it is after the first two counts as what it should stay. */
const READ_EACH_MIN = 5

/** An hour of an evening's reads and writes, and what memory the server has in hand meanwhile. Asked for by name alone. */
export async function benchSoak(): Promise<readonly Line[]> {
  const dataPath = await mkdtemp(join(tmpdir(), 'thistle-soak-'))
  const serving = await startProcess('demo', dataPath)
  const readMb: number[] = []
  let refused = 0
  try {
    const mint = await writesOf(serving)
    const seconds = READ_EACH_MIN * 60
    for (let n = 0; n < MINUTES / READ_EACH_MIN; n += 1) {
      refused += (await steadily(serving, A_SECOND, forSeconds(seconds), mint, n * A_SECOND * seconds)).refused
      readMb.push(await residentMb(serving.process.pid))
      process.stderr.write(`${(n + 1) * READ_EACH_MIN} min: ${readMb.at(-1)?.toFixed(0)} MB\n`)
    }
  } finally {
    await serving.stop()
    await rm(dataPath, { recursive: true, force: true })
  }
  return [
    {
      what: `memory of the server each ${READ_EACH_MIN} minutes at ${A_SECOND} requests a second, a fifth of them writes (${refused} refused)`,
      figure: `${readMb.map((mb) => mb.toFixed(0)).join(', ')} MB`,
      wanted: 'after 60 minutes within 5 % of what it was after 10',
    },
  ]
}
