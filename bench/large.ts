import { chromium } from '@playwright/test'
import type { Page } from '@playwright/test'
import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { CHROMIUM_ARGS, chromiumPath } from '../e2e/chromium.ts'
import { startProcess } from '../e2e/serving.ts'
import { fixedId } from '../server/db/ids.ts'
import { growDatabase, LARGE } from './largeDatabase.ts'
import { median, ms } from './timing.ts'
import type { Line } from './timing.ts'
import type { VariantId } from '../contract/index.ts'

const READS = 7
const PATHS = ['patterns', 'boxes', 'plan', 'larder', 'stores', 'outings', 'history', 'tonight', 'bench']

interface Flies {
  readonly boxes: readonly {
    readonly compartments: readonly {
      readonly id: string
      readonly flies: readonly { readonly variantId: VariantId }[]
    }[]
  }[]
}

/** Counts a fly, so that what was kept of the boxes is stale. */
async function countOne(address: string, n: number): Promise<void> {
  const { boxes } = (await (await fetch(`${address}/api/boxes`)).json()) as Flies
  const place = boxes.flatMap(({ compartments }) => compartments).find(({ flies }) => flies.length > 0)
  const body = { compartmentId: place?.id, variantId: place?.flies[0]?.variantId, counted: (n % 4) + 1 }
  const response = await fetch(`${address}/api/commands`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ id: fixedId(`large:${n}`), kind: 'fliesCount', body }),
  })
  if (!response.ok) throw new Error(await response.text())
}

/** How long a place takes, ms, until something of it is seen. */
async function opening(page: Page, url: string, ready: string): Promise<number> {
  const from = performance.now()
  await page.goto(url)
  await page.locator('#sheet :is(a, h2, button)', { hasText: ready }).first().waitFor()
  return performance.now() - from
}

/** Frames a second while a sheet is scrolled from its head to its foot, and the longest task meanwhile. */
async function scrolling(page: Page, url: string, ready: string, pxAFrame: number): Promise<string> {
  await opening(page, url, ready)
  await page.waitForTimeout(1500)
  const { frames, longest } = await page.evaluate(async (step) => {
    let [counted, slowest] = [0, 0]
    new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries()) slowest = Math.max(slowest, duration)
    }).observe({ type: 'longtask' })
    const sheet = document.getElementById('sheet')
    const from = performance.now()
    while (performance.now() - from < 4000) {
      sheet?.scrollBy(0, step)
      await new Promise((resolve) => requestAnimationFrame(resolve))
      counted += 1
    }
    return { frames: counted / ((performance.now() - from) / 1000), longest: slowest }
  }, pxAFrame)
  return `${frames.toFixed(0)} frames a second, ${longest < 50 ? 'no task of 50 ms' : `longest task ${ms(longest)}`}`
}

/** A database as large as one gets in decades: how long lists take after a write that makes them stale, and scrolling. */
export async function benchLarge(): Promise<readonly Line[]> {
  const dataPath = await mkdtemp(join(tmpdir(), 'thistle-large-'))
  await (await startProcess('demo', dataPath)).stop()
  await growDatabase(join(dataPath, 'heavy-thistle.db'))
  const serving = await startProcess('demo', dataPath)
  const size = `${LARGE.patterns} patterns, ${LARGE.variants} variants, ${LARGE.boxes} boxes, ${LARGE.entries} entries`
  const lines: Line[] = []
  let n = 0
  for (const path of PATHS) {
    const times: number[] = []
    for (let i = 0; i <= READS; i += 1) {
      await countOne(serving.address, (n += 1))
      const from = performance.now()
      const response = await fetch(`${serving.address}/api/${path}`)
      const answered = performance.now() - from
      await response.arrayBuffer()
      // the first of them fills what the process keeps for good
      if (i > 0) times.push(answered)
    }
    lines.push({
      what: `GET /api/${path} after a count, ${size}: until answered, median and slowest`,
      figure: `${ms(median(times))}, ${ms(Math.max(...times))}`,
      wanted: 'within 100 ms',
    })
  }
  const browser = await chromium.launch({ executablePath: chromiumPath(), args: CHROMIUM_ARGS })
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  for (const [path, ready] of [
    ['patterns', 'Barley Sugar'],
    ['boxes', 'Dale Box'],
    ['stores', 'Brass bead'],
  ] as const) {
    lines.push({
      what: `opening ${path} of the same, until its first row is seen`,
      figure: ms(await opening(page, `${serving.address}/${path}`, ready)),
      wanted: 'within 1.5 s',
    })
    for (const pxAFrame of [20, 60]) {
      lines.push({
        what: `scrolling ${path} of the same by ${pxAFrame} px a frame`,
        figure: await scrolling(page, `${serving.address}/${path}`, ready, pxAFrame),
        wanted: '60, no task of 50 ms',
      })
    }
  }
  await browser.close()
  await serving.stop()
  await rm(dataPath, { recursive: true, force: true })
  return lines
}
