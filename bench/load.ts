import { once } from 'node:events'
import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { quantile } from '../core/number/index.ts'
import { fixedId } from '../server/db/ids.ts'
import { startProcess } from '../e2e/serving.ts'
import type { Serving } from '../e2e/serving.ts'
import { startBareServer } from './bareServer.ts'
import { forSeconds, json, READS, residentMb, steadily, writesOf } from './evening.ts'
import type { Answer } from './evening.ts'
import { watchQuiet } from './quiet.ts'
import { median, ms, ROUNDS } from './timing.ts'
import type { Line } from './timing.ts'

/** As many quiet seconds as a stretch wants, and how many times as long it waits for them. */
const QUIET_SECONDS = 30
const WAITS_FOR_QUIET = 4

type Quiet = ReturnType<typeof watchQuiet>

const p99 = (answers: readonly Answer[]) =>
  answers.length === 0
    ? 'none'
    : `${quantile(
        answers.map(({ tookMs }) => tookMs).sort((a, b) => a - b),
        0.99,
      ).toFixed(0)} ms`
const readsAndWrites = (answers: readonly Answer[]) =>
  `${p99(answers.filter(({ isWrite }) => !isWrite))}, ${p99(answers.filter(({ isWrite }) => isWrite))}`

/** Load at a rate, in quiet and over all, beside a server that answers nothing. */
async function atRate(
  perSecond: number,
  quiet: Quiet,
  [ours, bare]: readonly [Serving, Pick<Serving, 'address'>],
  mint: Parameters<typeof steadily>[3],
  wanted: string,
): Promise<Line> {
  const until = (from: number) => (seconds: number) => {
    const quietSeconds = Array.from({ length: seconds }, (_, n) => from + n * 1000).filter(quiet.wasQuiet)
    return quietSeconds.length >= QUIET_SECONDS || seconds >= WAITS_FOR_QUIET * QUIET_SECONDS
  }
  const firstN = perSecond * 10_000
  const { answers, refused } = await steadily(ours, perSecond, until(performance.now()), mint, firstN)
  const nothing = await steadily(bare, perSecond, until(performance.now()), mint, firstN)
  const inQuiet = (all: readonly Answer[]) => all.filter(({ dueMs }) => quiet.wasQuiet(dueMs))
  const share = `${Math.round(inQuiet(answers).length / perSecond)} of ${Math.round(answers.length / perSecond)} s`
  return {
    what: `${perSecond} requests a second, a fifth of them writes: p99 of reads, of writes while the host left it its processors; of a server that answers nothing; the same over all`,
    figure: `${readsAndWrites(inQuiet(answers))} (${share}, ${refused} refused); ${readsAndWrites(inQuiet(nothing.answers))}; ${readsAndWrites(answers)}; ${readsAndWrites(nothing.answers)}`,
    wanted,
  }
}

const LINES = 2000

/** How long a piece of work took, and what was asked by a page meanwhile. */
interface Beside {
  readonly tookMs: number
  readonly answers: readonly Answer[]
}

/** Puts a table in while a page asks on. */
async function whileAsking(address: string, work: () => Promise<void>): Promise<Beside> {
  let over = false
  const answers: Answer[] = []
  const asking = (async () => {
    for (let n = 0; !over; n += 1) {
      const dueMs = performance.now()
      await (await fetch(address + (READS[n % READS.length] ?? '/api/frame'))).arrayBuffer()
      answers.push({ dueMs, tookMs: performance.now() - dueMs, isWrite: false })
      await new Promise((resolve) => setTimeout(resolve, 50))
    }
  })()
  const from = performance.now()
  await work()
  const tookMs = performance.now() - from
  over = true
  await asking
  return { tookMs, answers }
}

async function importing({ address, process: server }: Serving, quiet: Quiet): Promise<readonly Line[]> {
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
  const slowest = (answers: readonly Answer[]) =>
    answers.length === 0 ? 'none' : ms(Math.max(...answers.map(({ tookMs }) => tookMs)))
  const line = (what: string, { tookMs, answers }: Beside): Line => {
    const inQuiet = answers.filter(({ dueMs }) => quiet.wasQuiet(dueMs))
    return {
      what: `${what}: seconds; the slowest answer to another page beside it, while the host left it its processors; over all`,
      figure: `${(tookMs / 1000).toFixed(1)} s; ${slowest(inQuiet)} (of ${inQuiet.length}); ${slowest(answers)} (of ${answers.length})`,
      wanted: 'others within 100 ms',
    }
  }
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

/** From the start after a kill to the first answer, ms: so many in quiet, if they come, and all. */
async function startsAfterKills(dataPath: string, quiet: Quiet) {
  const [inQuiet, all]: [number[], number[]] = [[], []]
  while (inQuiet.length < ROUNDS && all.length < WAITS_FOR_QUIET * ROUNDS) {
    const from = performance.now()
    const serving = await startProcess('demo', dataPath)
    await json(serving.address, '/api/frame')
    const till = performance.now()
    all.push(till - from)
    const ended = once(serving.process, 'close')
    serving.process.kill('SIGKILL')
    await ended
    if (quiet.wasQuiet(from) && quiet.wasQuiet(till)) inQuiet.push(till - from)
  }
  return { inQuiet, all }
}

const medianAndMost = (values: readonly number[]) =>
  values.length === 0 ? 'none' : `${ms(median(values))}, ${ms(Math.max(...values))} (of ${values.length})`

/** An evening's reads and writes together at two rates, and the memory that they leave. */
export async function benchLoad(): Promise<readonly Line[]> {
  const dataPath = await mkdtemp(join(tmpdir(), 'thistle-load-'))
  const quiet = watchQuiet()
  // once to make the data, which is no part of an evening
  await (await startProcess('demo', dataPath)).stop()
  const starts = await startsAfterKills(dataPath, quiet)
  const [serving, bare] = [await startProcess('demo', dataPath), await startBareServer()]
  try {
    const mint = await writesOf(serving)
    await steadily(serving, 60, forSeconds(15), mint, 0)
    const slow = await atRate(30, quiet, [serving, bare], mint, 'under 25 ms')
    const fast = await atRate(100, quiet, [serving, bare], mint, 'under 100 ms, none refused')
    const memory = await residentMb(serving.process.pid)
    return [
      {
        what: 'from a start after a kill to the first answer, median and slowest, while the host left it its processors; over all',
        figure: `${medianAndMost(starts.inQuiet)}; ${medianAndMost(starts.all)}`,
        wanted: 'within 1.5 s',
      },
      slow,
      fast,
      {
        what: 'memory of the server after that',
        figure: `${memory.toFixed(0)} MB`,
        wanted: 'under 200 MB',
      },
      ...(await importing(serving, quiet)),
    ]
  } finally {
    quiet.stop()
    await bare.stop()
    await serving.stop()
    await rm(dataPath, { recursive: true, force: true })
  }
}
