import type { Browser } from '@playwright/test'
import type { Serving } from '../e2e/serving.ts'
import { ms } from './timing.ts'
import type { Line } from './timing.ts'

const TIMES = 20
const A_MOMENT_MS = 100

/** What it takes the page, ms, that the mouse comes to the first of something and leaves it. */
async function pointingAt(
  browser: Browser,
  { address }: Serving,
  path: string,
  first: string,
): Promise<number> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.goto(address + path, { waitUntil: 'networkidle' })
  const target = page.locator(first).first()
  await target.hover()
  // all that is drawn behind has been drawn
  await page.waitForTimeout(4000)
  const told = await page.context().newCDPSession(page)
  await told.send('Performance.enable')
  const scriptMs = async () => {
    const { metrics } = await told.send('Performance.getMetrics')
    return 1000 * (metrics.find(({ name }) => name === 'ScriptDuration')?.value ?? 0)
  }
  const before = await scriptMs()
  for (let n = 0; n < TIMES; n += 1) {
    await target.hover()
    await page.waitForTimeout(A_MOMENT_MS)
    await page.mouse.move(2, 2)
    await page.waitForTimeout(A_MOMENT_MS)
  }
  const took = (await scriptMs()) - before
  await page.close()
  return took / TIMES
}

/** The page's work for a fly that is pointed at, and left. */
export async function benchPointing(browser: Browser, serving: Serving): Promise<readonly Line[]> {
  const boxes = await pointingAt(browser, serving, '/boxes', '.place .fly')
  const patterns = await pointingAt(browser, serving, '/patterns', 'tr.variant')
  return [
    {
      what: 'pointing at a fly and away from it, scripts of the page: among the boxes; in the list of patterns',
      figure: `${ms(boxes)}; ${ms(patterns)}`,
      wanted: 'a frame, 16 ms, each',
    },
  ]
}
