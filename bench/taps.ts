import { chromium } from '@playwright/test'
import type { Page } from '@playwright/test'
import { mkdtemp, rm, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { CHROMIUM_ARGS, chromiumPath } from '../e2e/chromium.ts'
import { packedForSaturday } from '../e2e/packed.ts'
import { serveApart } from '../e2e/serving.ts'
import { median, ms, ROUNDS } from './timing.ts'
import type { Line } from './timing.ts'

/** From a tap on a button until its answer is painted, ms. */
const tapped = (page: Page, name: string): Promise<number> =>
  page
    .getByRole('button', { name, exact: true })
    .first()
    .evaluate(async (button: HTMLButtonElement) => {
      const from = performance.now()
      button.click()
      await new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve, 0)))
      return performance.now() - from
    })

/** Between two taps there is time for what is not looked at to be brought up to date. */
const BREATH_MS = 350

const TAPS = {
  sign: 'Snout and a bubble left behind',
  'what to put on': 'Put on',
  fishing: 'Fish',
  'back to the signs': 'Look',
} as const
type Tap = keyof typeof TAPS

/** How long the page that goes along takes to answer, from its file: the first time of each, and all later ones. */
export async function benchTaps(): Promise<readonly Line[]> {
  const serving = await serveApart('demo')
  const path = await mkdtemp(join(tmpdir(), 'thistle-along-'))
  const browser = await chromium.launch({ executablePath: chromiumPath(), args: CHROMIUM_ARGS })
  const [first, later] = [new Map<Tap, number[]>(), new Map<Tap, number[]>()]
  try {
    const context = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true })
    const id = await packedForSaturday(context.request, serving.address)
    const file = join(path, 'along.html')
    await writeFile(file, await (await context.request.get(`${serving.address}/api/outings/${id}/page`)).body())
    for (let round = 0; round < ROUNDS; round += 1) {
      const page = await context.newPage()
      await page.goto(`file://${file}`)
      await page.getByRole('heading', { level: 1 }).waitFor()
      for (let i = 0; i < ROUNDS; i += 1)
        for (const [tap, name] of Object.entries(TAPS) as [Tap, string][]) {
          await page.waitForTimeout(BREATH_MS)
          const into = i === 0 ? first : later
          into.set(tap, [...(into.get(tap) ?? []), await tapped(page, name)])
        }
      await page.close()
    }
  } finally {
    await browser.close()
    await serving.stop()
    await rm(path, { recursive: true, force: true })
  }
  const line = (when: string, taps: ReadonlyMap<Tap, number[]>): Line => ({
    what: `the page that goes along, from a tap to its answer, ${when}: ${[...taps.keys()].join('; ')}`,
    figure: [...taps.values()].map((times) => ms(median(times))).join('; '),
    wanted: 'within 50 ms',
  })
  return [line('the first time', first), line('later', later)]
}
