import { readFile } from 'node:fs/promises'
import { randomFrom } from '../core/index.ts'
import { fixedId } from '../server/db/ids.ts'
import type { Serving } from '../e2e/serving.ts'

/** Memory that a process has in hand, MB. */
export async function residentMb(pid: number | undefined): Promise<number> {
  const status = await readFile(`/proc/${pid}/status`, 'utf8').catch(() => '')
  return Number(/VmRSS:\s+(\d+)/.exec(status)?.[1] ?? 0) / 1024
}

/** What a page asks for through an evening, the oftener the more places it stands in. */
export const READS = [
  '/api/frame', '/api/frame', '/api/frame', '/api/bench', '/api/bench', '/api/bench', '/api/tonight', '/api/tonight',
  '/api/boxes', '/api/boxes', '/api/stores', '/api/patterns', '/api/plan', '/api/outings', '/api/larder', '/api/larder/stock', '/api/actions',
] as const // prettier-ignore

const WRITE_SHARE = 0.2

export interface Ask {
  readonly path: string
  readonly init?: RequestInit
}

function oneOf<T>(list: readonly T[], random: () => number): T {
  const one = list[Math.floor(random() * list.length)]
  if (one === undefined) throw new Error('there is none to choose from')
  return one
}

export const json = async <T>(address: string, path: string): Promise<T> =>
  (await (await fetch(address + path)).json()) as T

/** Writes of an evening: steps at the vise, goods used up and bought, flies counted. */
export async function writesOf({ address }: Serving): Promise<(n: number, random: () => number) => Ask> {
  const { materials } = await json<{ materials: { id: string }[] }>(address, '/api/stores')
  const { boxes } = await json<{
    boxes: { compartments: { id: string; flies: { variantId: string; count: number }[] }[] }[]
  }>(address, '/api/boxes')
  const flies = boxes.flatMap(({ compartments }) =>
    compartments.flatMap(({ id, flies: there }) => there.map((fly) => ({ ...fly, compartmentId: id }))),
  )
  const send = (n: string, kind: string, body: object): Ask => ({
    path: '/api/commands',
    init: {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ id: fixedId(`load:${n}`), kind, body }),
    },
  })
  const batchId = fixedId('load:batch')
  const plan = { batchId, variantId: flies[0]?.variantId, plannedCount: 6, compartmentId: flies[0]?.compartmentId, onVise: true } // prettier-ignore
  const { path, init } = send('plan', 'batchPlan', plan)
  const planned = await fetch(address + path, init)
  if (!planned.ok) throw new Error(await planned.text())
  return (n, random) => {
    const kind = random()
    const fly = oneOf(flies, random)
    const drawer = oneOf(materials, random)
    if (kind < 0.5) {
      const step = { eventId: fixedId(`load:event:${n}`), batchId, kind: 'step', stepKey: 'body', count: 0, spoiledCause: null } // prettier-ignore
      return send(String(n), 'batchCount', step)
    }
    if (kind < 0.8)
      return send(String(n), 'materialEntry', { materialId: drawer.id, cause: 'bought', amount: 100 })
    return send(String(n), 'fliesCount', { compartmentId: fly.compartmentId, variantId: fly.variantId, counted: 1 + Math.floor(random() * 4), anyway: true }) // prettier-ignore
  }
}

/** One answer of a stretch of load: when it was due to be asked, and how long it took from then. */
export interface Answer {
  readonly dueMs: number
  readonly tookMs: number
  readonly isWrite: boolean
}

/** What a stretch of load came to, and how many were refused. */
export interface Stretch {
  readonly answers: readonly Answer[]
  readonly refused: number
}

/** Sends at a steady rate whether or not answers come, until told: who waits is served late, and that counts. */
export async function steadily(
  { address }: Pick<Serving, 'address'>,
  perSecond: number,
  until: (seconds: number) => boolean,
  mint: (n: number, random: () => number) => Ask,
  firstN: number,
): Promise<Stretch> {
  const random = randomFrom(firstN + perSecond)
  const answers: Answer[] = []
  let refused = 0
  const from = performance.now()
  const under: Promise<unknown>[] = []
  for (let n = 0; n % perSecond > 0 || !until(n / perSecond); n += 1) {
    const dueMs = from + (n * 1000) / perSecond
    const waitMs = dueMs - performance.now()
    if (waitMs > 0) await new Promise((resolve) => setTimeout(resolve, waitMs))
    const isWrite = random() < WRITE_SHARE
    const { path, init } = isWrite ? mint(firstN + n, random) : { path: oneOf(READS, random), init: {} }
    under.push(
      fetch(address + path, init)
        .then(async (response) => {
          await response.arrayBuffer()
          if (!response.ok) refused += 1
          answers.push({ dueMs, tookMs: performance.now() - dueMs, isWrite })
        })
        // no connection within ten seconds
        .catch(() => (refused += 1)),
    )
  }
  await Promise.all(under)
  return { answers, refused }
}

/** So many seconds and no more. */
export const forSeconds = (most: number) => (seconds: number) => seconds >= most
