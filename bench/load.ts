import { once } from 'node:events'
import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { quantile } from '../core/number/index.ts'
import { fixedId } from '../server/db/ids.ts'
import { startProcess } from '../e2e/serving.ts'
import type { Serving } from '../e2e/serving.ts'
import { startBareServer } from './bareServer.ts'
import { json, READS, residentMb, steadily, writesOf } from './evening.ts'
import type { Stretch } from './evening.ts'
import { median, ms, ROUNDS } from './timing.ts'
import type { Line } from './timing.ts'

const p99 = (values: readonly number[]) =>
  `${quantile(
    [...values].sort((a, b) => a - b),
    0.99,
  ).toFixed(0)} ms`
const figureOf = ({ reads, writes, refused }: Stretch, bare: Stretch) =>
  `${p99(reads)}, ${p99(writes)} (${refused} refused); ${p99(bare.reads)}, ${p99(bare.writes)}`

const LINES = 2000

/** Puts a table in while a page asks on; answers how long it took, and the slowest of what was asked meanwhile. */
async function whileAsking(
  address: string,
  work: () => Promise<void>,
): Promise<readonly [tookMs: number, slowestMs: number]> {
  let [over, slowest] = [false, 0]
  const asking = (async () => {
    for (let n = 0; !over; n += 1) {
      const at = performance.now()
      await (await fetch(address + (READS[n % READS.length] ?? '/api/frame'))).arrayBuffer()
      slowest = Math.max(slowest, performance.now() - at)
      await new Promise((resolve) => setTimeout(resolve, 50))
    }
  })()
  const from = performance.now()
  await work()
  const took = performance.now() - from
  over = true
  await asking
  return [took, slowest]
}

async function importing({ address, process: server }: Serving): Promise<readonly Line[]> {
  const put = async (n: number, kind: string, body: object) => {
    const answer = await fetch(`${address}/api/imports`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ id: fixedId(`load:import:${n}`), kind, body }),
    })
    if (!answer.ok) throw new Error(await answer.text())
  }
  const { materials } = await json<{ materials: { id: string; kind: string }[] }>(address, '/api/stores')
  const { boxes } = await json<{ boxes: { compartments: { id: string }[] }[] }>(address, '/api/boxes')
  const compartmentId = boxes[0]?.compartments[0]?.id
  const hookMaterialId = materials.find(({ kind }) => kind === 'hook')?.id
  const newFlies = Array.from({ length: LINES }, (_, n) => ({ patternId: fixedId(`load:p${n}`), variantId: fixedId(`load:v${n}`), name: `Bought ${n}`, label: '#14', hookMaterialId })) // prettier-ignore
  const lines = newFlies.map(({ variantId }) => ({ compartmentId, variantId, count: 1 }))
  const flies = await whileAsking(address, () =>
    put(0, 'fliesPutIn', { how: 'found', anyway: true, newMaterials: [], newFlies, lines }),
  )
  const figures = await whileAsking(address, async () => {
    const toCome = async () =>
      (await json<{ roll: { figuresToCome: number } }>(address, '/api/frame')).roll.figuresToCome
    while ((await toCome()) > 0) await new Promise((resolve) => setTimeout(resolve, 200))
  })
  const counted = Array.from({ length: LINES }, (_, n) => ({ materialId: materials[n % materials.length]?.id, counted: n, minimumAmount: 5, packAmount: null, priceMinor: null, supplier: null })) // prettier-ignore
  const stores = await whileAsking(address, () => put(1, 'storesPutIn', { newMaterials: [], lines: counted }))
  const line = (what: string, [took, slowest]: readonly [number, number]): Line => ({
    what: `${what}: seconds; the slowest answer to another page meanwhile`,
    figure: `${(took / 1000).toFixed(1)} s; ${slowest.toFixed(0)} ms`,
    wanted: 'others within 100 ms',
  })
  return [
    line(`import of ${LINES} new flies`, flies),
    line('their figures, worked out behind', figures),
    line(`import of ${LINES} lines of stores`, stores),
    {
      what: 'memory of the server after the imports',
      figure: `${(await residentMb(server.pid)).toFixed(0)} MB`,
      wanted: 'reported',
    },
  ]
}

/** From the start after a kill to the first answer, ms, again and again. */
async function startsAfterKills(dataPath: string): Promise<readonly number[]> {
  const took: number[] = []
  for (let n = 0; n < ROUNDS; n += 1) {
    const from = performance.now()
    const serving = await startProcess('demo', dataPath)
    await json(serving.address, '/api/frame')
    took.push(performance.now() - from)
    const ended = once(serving.process, 'close')
    serving.process.kill('SIGKILL')
    await ended
  }
  return took
}

/** An evening's reads and writes together at two rates, and the memory that they leave. */
export async function benchLoad(seconds = 30): Promise<readonly Line[]> {
  const dataPath = await mkdtemp(join(tmpdir(), 'thistle-load-'))
  // once to make the data, which is no part of an evening
  await (await startProcess('demo', dataPath)).stop()
  const starts = await startsAfterKills(dataPath)
  const serving = await startProcess('demo', dataPath)
  try {
    const mint = await writesOf(serving)
    await steadily(serving, 60, 15, mint, 0)
    const slow = await steadily(serving, 30, seconds, mint, 100_000)
    const fast = await steadily(serving, 100, seconds, mint, 200_000)
    const memory = await residentMb(serving.process.pid)
    const bare = await startBareServer()
    const bareSlow = await steadily(bare, 30, seconds, mint, 100_000)
    const bareFast = await steadily(bare, 100, seconds, mint, 200_000)
    await bare.stop()
    return [
      {
        what: 'from a start after a kill to the first answer, median and slowest',
        figure: `${ms(median(starts))}, ${ms(Math.max(...starts))}`,
        wanted: 'within 1.5 s',
      },
      {
        what: '30 requests a second, a fifth of them writes: p99 of reads, of writes; of a server that answers nothing',
        figure: figureOf(slow, bareSlow),
        wanted: 'under 25 ms',
      },
      {
        what: '100 requests a second, a fifth of them writes: p99 of reads, of writes; of a server that answers nothing',
        figure: figureOf(fast, bareFast),
        wanted: 'under 100 ms, none refused',
      },
      {
        what: 'memory of the server after that',
        figure: `${memory.toFixed(0)} MB`,
        wanted: 'under 200 MB',
      },
      ...(await importing(serving)),
    ]
  } finally {
    await serving.stop()
    await rm(dataPath, { recursive: true, force: true })
  }
}
