import type { Page } from '@playwright/test'
import { v7 } from 'uuid'
import type { BenchView, BoxesView, PlanView } from '../contract/index.ts'

/** What became of an evening's counting through outages. */
export interface OutageReport {
  readonly outages: number
  /** flies counted at the vise */
  readonly pressed: number
  /** flies that the ledger has of them once all is delivered */
  readonly booked: number
}

/** How the way to the server breaks: nothing gets there, the answer gets lost, or it answers that it cannot. */
const WAYS = ['nothing arrives', 'the answer is lost', 'busy'] as const

interface Outages {
  readonly count: number
  readonly shortestMs: number
  readonly longestMs: number
}

async function view<View>(page: Page, path: string): Promise<View> {
  return (await (await page.request.get(path)).json()) as View
}
const lying = (boxes: BoxesView, variantId: string) =>
  boxes.boxes
    .flatMap(({ compartments }) => compartments.flatMap(({ flies }) => flies))
    .reduce((sum, fly) => (fly.variantId === variantId ? sum + fly.count : sum), 0)

/** Puts a batch on the vise that goes into the bench tray, which holds any number. */
export async function putOnVise(page: Page): Promise<void> {
  const { trayId, variants } = await view<PlanView>(page, '/api/plan')
  const body = {
    batchId: v7(),
    variantId: variants[0]?.variantId,
    plannedCount: 900,
    compartmentId: trayId,
    onVise: true,
  }
  await page.request.post('/api/commands', { data: { id: v7(), kind: 'batchPlan', body } })
}

/**
 * Counts flies at the vise through outages of three kinds, ends the batch in the last of them, and waits until all has
 * arrived.
 *
 * @param page   stands at the bench, a batch on the vise
 * @param random chooses how and how long each outage is
 */
export async function countThroughOutages(
  page: Page,
  { count, shortestMs, longestMs }: Outages,
  random: () => number,
): Promise<OutageReport> {
  const { onVise } = await view<BenchView>(page, '/api/bench')
  if (!onVise) throw new Error('nothing is on the vise')
  const { variantId } = onVise.batch
  const before = lying(await view<BoxesView>(page, '/api/boxes'), variantId)
  let way: (typeof WAYS)[number] | null = null
  await page.route('**/api/**', async (route) => {
    const now = way
    if (now === null) return route.continue()
    if (now === 'busy' && route.request().method() === 'POST')
      return route.fulfill({ status: 503, contentType: 'application/problem+json', body: '{}' })
    if (now === 'the answer is lost') await route.fetch().catch(() => null)
    return route.abort('connectionfailed').catch(() => undefined)
  })
  let pressed = 0
  const press = async () => {
    await page.getByRole('button', { name: 'Count one done' }).click()
    pressed += 1
  }
  for (let n = 0; n < count; n += 1) {
    await press()
    way = WAYS[Math.floor(random() * WAYS.length)] ?? null
    const ends = Date.now() + shortestMs + random() * (longestMs - shortestMs)
    for (let presses = 1 + Math.floor(random() * 3); presses > 0; presses -= 1) await press()
    if (n === count - 1) await page.getByRole('button', { name: /^Finish/ }).click()
    while (Date.now() < ends) await new Promise((resolve) => setTimeout(resolve, 20))
    way = null
    if (random() < 0.3 && n < count - 1) await page.reload()
  }
  const until = Date.now() + 60_000
  let booked = 0
  while (Date.now() < until) {
    const bench = await view<BenchView>(page, '/api/bench')
    booked = lying(await view<BoxesView>(page, '/api/boxes'), variantId) - before
    if (bench.onVise === null && booked > 0) break
    await new Promise((resolve) => setTimeout(resolve, 100))
  }
  return { outages: count, pressed, booked }
}
