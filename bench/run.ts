import { chromium } from '@playwright/test'
import type { Browser } from '@playwright/test'
import autocannon from 'autocannon'
import { writeFile } from 'node:fs/promises'
import { cpus } from 'node:os'
import { join } from 'node:path'
import { CHROMIUM_ARGS, chromiumPath } from '../e2e/chromium.ts'
import { serveApart } from '../e2e/serving.ts'
import type { Serving } from '../e2e/serving.ts'
import { benchCore } from './core.ts'
import { randomFrom } from '../core/index.ts'
import { surviveKills } from '../e2e/kills.ts'
import { benchFresh } from './fresh.ts'
import { benchLarge } from './large.ts'
import { benchLoad } from './load.ts'
import { benchNonsense } from './nonsense.ts'
import { benchOutages } from './outages.ts'
import { benchPlan } from './plan.ts'
import { benchPointing } from './pointing.ts'
import { benchRhythm } from './rhythm.ts'
import { benchRig } from './rig.ts'
import { benchSeason } from './season.ts'
import { benchSoak } from './soak.ts'
import { benchTaps } from './taps.ts'
import { benchUndo } from './undo.ts'
import { median, ms, ROUNDS } from './timing.ts'
import type { Line } from './timing.ts'

/** One run of load at 100 requests a second over two connections: one tier with two tabs. */
async function load(url: string, options: Partial<autocannon.Options> = {}): Promise<autocannon.Result> {
  return autocannon({ url, overallRate: 100, connections: 2, duration: 10, ...options })
}

async function benchServer(serving: Serving): Promise<readonly Line[]> {
  const { address } = serving
  const lines: Line[] = []
  for (const path of ['/api/frame', '/api/tonight', '/api/patterns', '/api/boxes', '/api/stores']) {
    await fetch(address + path)
    const { latency, non2xx } = await load(address + path)
    lines.push({
      what: `GET ${path} at 100 a second, p99`,
      figure: `${latency.p99} ms (${non2xx} refused)`,
      wanted: 'under 25 ms',
    })
  }
  const { materials } = (await (await fetch(`${address}/api/stores`)).json()) as { materials: { id: string }[] }
  const materialId = materials[0]?.id
  let n = 0
  const write = () => {
    n += 1
    const id = `0190b3a0-0000-7000-8000-${String(n).padStart(12, '0')}`
    return JSON.stringify({ id, kind: 'materialEntry', body: { materialId, cause: 'bought', amount: 100 } })
  }
  const writes = await load(`${address}/api/commands`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    requests: [{ setupRequest: (request) => ({ ...request, body: write() }) }],
  })
  lines.push({
    what: 'POST /api/commands at 100 a second, p99',
    figure: `${writes.latency.p99} ms (${writes.non2xx} refused)`,
    wanted: 'under 25 ms',
  })
  return lines
}

/** Frames a second while six flies fall, and the longest task in that time. */
async function benchTank(browser: Browser, serving: Serving): Promise<Line> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.goto(`${serving.address}/tank`)
  for (const fly of ['Third Button #16 B 2.8', 'Wet Slate', 'Cold Tea', 'Coal Scuttle', 'Rag Rug']) {
    await page.getByRole('button', { name: /Put another fly in/ }).click()
    await page.getByRole('option', { name: fly }).first().click()
  }
  await page.waitForLoadState('networkidle')
  await page.getByRole('button', { name: 'Let them fall' }).click()
  const { frames, longest } = await page.evaluate(async () => {
    let [counted, slowest] = [0, 0]
    new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries()) slowest = Math.max(slowest, duration)
    }).observe({ type: 'longtask' })
    const from = performance.now()
    while (performance.now() - from < 4000) {
      await new Promise((resolve) => requestAnimationFrame(resolve))
      counted += 1
    }
    return { frames: counted / ((performance.now() - from) / 1000), longest: slowest }
  })
  await page.close()
  return {
    what: 'tank with six flies falling: frames a second; longest task',
    figure: `${frames.toFixed(0)}; ${longest < 50 ? 'under 50 ms' : ms(longest)}`,
    wanted: '60; under 50 ms',
  }
}

async function benchPage(serving: Serving): Promise<readonly Line[]> {
  const browser = await chromium.launch({ executablePath: chromiumPath(), args: CHROMIUM_ARGS })
  const usable: number[] = []
  let bytes = 0
  for (let i = 0; i < ROUNDS; i += 1) {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
    const page = await context.newPage()
    const client = await context.newCDPSession(page)
    await client.send('Network.enable')
    const scripts = new Set<string>()
    bytes = 0
    client.on('Network.responseReceived', ({ requestId, response }) => {
      if (response.mimeType.includes('javascript')) scripts.add(requestId)
    })
    client.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
      if (scripts.has(requestId)) bytes += encodedDataLength
    })
    const from = performance.now()
    await page.goto(serving.address)
    await page.getByRole('list', { name: 'What tonight asks for' }).waitFor()
    usable.push(performance.now() - from)
    await context.close()
  }
  const tank = await benchTank(browser, serving)
  const pointing = await benchPointing(browser, serving)
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.goto(`${serving.address}/patterns`)
  await page.getByRole('link', { name: 'Third Button', exact: true }).click()
  await page
    .getByRole('list', { name: 'Dressing in tying order' })
    .getByRole('button', { name: /^rib/ })
    .click()
  const field = page.getByRole('textbox', { name: 'Turns' })
  await field.click()
  await page.evaluate(() => {
    const seen: number[] = []
    Object.assign(window, { seen })
    new PerformanceObserver((list) =>
      seen.push(
        ...list
          .getEntries()
          .filter(({ name }) => name === 'keydown')
          .map(({ duration }) => duration),
      ),
    ).observe({
      type: 'event',
      durationThreshold: 16,
      buffered: false,
    } as PerformanceObserverInit)
  })
  for (let i = 0; i < 30; i += 1) {
    await page.keyboard.press(i % 2 === 0 ? 'Backspace' : '6')
    await page.waitForTimeout(120)
  }
  const paints = await page.evaluate(() => (window as unknown as { seen: number[] }).seen)
  await browser.close()
  const all = [...paints, ...Array.from({ length: Math.max(30 - paints.length, 0) }, () => 16)].sort(
    (a, b) => a - b,
  )
  return [
    {
      what: 'JavaScript of the first view, on the wire',
      figure: `${(bytes / 1000).toFixed(0)} kB`,
      wanted: 'at most 240 kB',
    },
    { what: 'first view usable, cold cache', figure: ms(median(usable)), wanted: 'within 1.5 s' },
    {
      what: 'editing a pattern, key to next paint, 75th percentile',
      figure: `${all[Math.floor(all.length * 0.75)]} ms`,
      wanted: 'under 50 ms',
    },
    tank,
    ...pointing,
  ]
}

async function benchKills(): Promise<readonly Line[]> {
  const kills = await surviveKills(300, randomFrom(20260603))
  return [
    {
      what: `${kills.kills} kills (SIGKILL) in turn while it writes, imports, restores, upgrades; ${kills.acknowledged} writes were acknowledged and ${kills.unanswered} were not: lost, counted twice, amiss in the database`,
      figure: `${kills.lost}, ${kills.tooMany}, ${kills.amiss.length}`,
      wanted: '0, 0, 0',
    },
  ]
}

async function benchDemo(): Promise<readonly Line[]> {
  const serving = await serveApart('demo')
  try {
    return [...(await benchPage(serving)), ...(await benchServer(serving))]
  } finally {
    await serving.stop()
  }
}

/** What is run, each by its name: `npm run bench -- undo kills` runs those two and leaves the report as it is. */
const PARTS: Readonly<Record<string, () => readonly Line[] | Promise<readonly Line[]>>> = {
  core: benchCore,
  season: benchSeason,
  rig: benchRig,
  rhythm: benchRhythm,
  taps: benchTaps,
  plan: benchPlan,
  demo: benchDemo,
  load: benchLoad,
  large: benchLarge,
  kills: benchKills,
  undo: benchUndo,
  fresh: benchFresh,
  nonsense: benchNonsense,
  outages: benchOutages,
}

/** What takes too long to be run with the rest. */
const BY_NAME_ALONE: Readonly<Record<string, () => Promise<readonly Line[]>>> = { soak: benchSoak }

const named = process.argv.slice(2)
const lines: Line[] = []
const rowOf = ({ what, figure, wanted }: Line) => `| ${what} | ${figure} | ${wanted} |\n`
const TITLES = '| what | figure | wanted |\n|---|---|---|\n'
/** Each part is told when it is done: a later one may break. */
async function run(part: () => readonly Line[] | Promise<readonly Line[]>): Promise<void> {
  const own = await part()
  lines.push(...own)
  process.stdout.write(own.map(rowOf).join(''))
}
process.stdout.write(TITLES)
for (const [name, part] of Object.entries(PARTS))
  if (named.length === 0 || named.includes(name)) await run(part)
for (const [name, part] of Object.entries(BY_NAME_ALONE)) if (named.includes(name)) await run(part)
const head = `# Timings\n\nMade by \`npm run bench\` on ${cpus().length} cores with Node.js ${process.versions.node}; medians of five. Reported, never asserted.\n\n`
if (named.length === 0) await writeFile(join('bench', 'report.md'), head + TITLES + lines.map(rowOf).join(''))
