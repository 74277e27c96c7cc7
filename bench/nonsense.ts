import { join } from 'node:path'
import { copyOfDemo, filledDemo } from '../demo/testing/filledDemo.ts'
import { sendNonsense } from '../demo/testing/nonsense.ts'
import { openTestServer } from '../server/testing/testServer.ts'
import { checkDatabase } from '../server/upkeep/verify.ts'
import type { Line } from './timing.ts'

const REQUESTS = 20_000
const STRETCHES = 4

const residentMb = () => process.memoryUsage().rss / 1e6

/** Twenty thousand requests that make no sense: what broke, and the memory that they left. */
export async function benchNonsense(): Promise<readonly Line[]> {
  const copy = await copyOfDemo(await filledDemo())
  const server = await openTestServer(join(copy.path, 'heavy-thistle.db'))
  const faults: string[] = []
  const memory: number[] = []
  const byStatus = new Map<string, number>()
  for (let n = 0; n < STRETCHES; n += 1) {
    const report = await sendNonsense(server, 100 + n, REQUESTS / STRETCHES)
    faults.push(...report.faults)
    for (const [status, count] of Object.entries(report.byStatus))
      byStatus.set(status, (byStatus.get(status) ?? 0) + count)
    memory.push(residentMb())
    process.stderr.write(`${n + 1} of ${STRETCHES}: ${memory.at(-1)?.toFixed(0)} MB\n`)
  }
  const amiss = (await checkDatabase(server.database)).filter((line) => !line.startsWith('ok'))
  await server.close()
  await copy.remove()
  for (const fault of [...faults, ...amiss]) process.stderr.write(`${fault}\n`)
  const answered = [...byStatus].map(([status, count]) => `${count} × ${status}`).join(', ')
  return [
    {
      what: `${REQUESTS.toLocaleString('en')} requests that make no sense (${answered}): broken or refused without a sentence, amiss in the database`,
      figure: `${faults.length}, ${amiss.length}`,
      wanted: '0, 0',
    },
    {
      what: 'memory of that process after each quarter of them',
      figure: memory.map((mb) => `${mb.toFixed(0)} MB`).join(', '),
      wanted: 'flat',
    },
  ]
}
