import { chromium } from '@playwright/test'
import { randomFrom } from '../core/index.ts'
import { CHROMIUM_ARGS, chromiumPath } from '../e2e/chromium.ts'
import { countThroughOutages, putOnVise } from '../e2e/outages.ts'
import { serveApart } from '../e2e/serving.ts'
import type { Line } from './timing.ts'

const OUTAGES = 100

/** A long evening's counting in Chromium through outages of half a second to twenty. */
export async function benchOutages(): Promise<readonly Line[]> {
  const serving = await serveApart('demo')
  const browser = await chromium.launch({ executablePath: chromiumPath(), args: CHROMIUM_ARGS })
  try {
    const page = await browser.newPage({ baseURL: serving.address })
    await putOnVise(page)
    await page.goto('/bench')
    const span = { count: OUTAGES, shortestMs: 500, longestMs: 20_000 }
    const { outages, pressed, booked } = await countThroughOutages(page, span, randomFrom(20260604))
    return [
      {
        what: `${pressed} flies counted through ${outages} outages of 0.5 to 20 s (nothing arrives, the answer is lost, busy): booked`,
        figure: String(booked),
        wanted: String(pressed),
      },
    ]
  } finally {
    await browser.close()
    await serving.stop()
  }
}
