import { chromium } from '@playwright/test'
import autocannon from 'autocannon'
import { readFile, writeFile } from 'node:fs/promises'
import { cpus } from 'node:os'
import { join } from 'node:path'
import {
  descend,
  drawFly,
  evaluateFly,
  LIST_CONDITIONS,
  matchFly,
  resolveDressing,
  sampleFall,
  USUAL_TIPPET,
} from '../core/index.ts'
import { shippedFoods } from '../core/season/shipped/larder.ts'
import { jigNymph } from '../core/testing/shippedMaterial.ts'
import { CHROMIUM_ARGS, chromiumPath } from '../e2e/chromium.ts'
import { serveApart } from '../e2e/serving.ts'
import type { Serving } from '../e2e/serving.ts'

/** One line of the report. */
interface Line {
  readonly what: string
  readonly figure: string
  readonly wanted: string
}

const ROUNDS = 5
const median = (values: readonly number[]) =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0
const ms = (value: number) => `${value < 1 ? value.toFixed(3) : value.toFixed(1)} ms`

/** Median of five rounds of the mean time of one call, warm. */
function timeOf(calls: number, work: () => unknown): number {
  for (let i = 0; i < calls; i += 1) work()
  return median(
    Array.from({ length: ROUNDS }, () => {
      const from = performance.now()
      for (let i = 0; i < calls; i += 1) work()
      return (performance.now() - from) / calls
    }),
  )
}

function benchCore(): readonly Line[] {
  const made = jigNymph()
  const fly = resolveDressing(made.dressing, made.variant, made.materials)
  if (fly.kind !== 'fly') throw new Error('the nymph is incomplete')
  const conditions = { ...LIST_CONDITIONS, tippet: USUAL_TIPPET }
  const report = evaluateFly(fly, conditions)
  if (report.kind !== 'sinks') throw new Error('the nymph floats')
  const edit = () => {
    const resolved = resolveDressing(made.dressing, made.variant, made.materials)
    if (resolved.kind !== 'fly') return
    const worked = evaluateFly(resolved, conditions)
    if (worked.kind === 'sinks') descend(worked.model, 3000, 3600)
    drawFly(resolved)
  }
  const stages = shippedFoods.flatMap(({ stages: all }) => all).map((stage) => ({ ...stage, id: stage.key }))
  const place = {
    waterKind: 'freestone' as const,
    bedMm: 900,
    surfaceSpeedMmPerS: 750,
    lengthMmLow: 6,
    lengthMmHigh: 9,
  }
  const matched = {
    behaviour: { kind: 'sinks' as const, sinkSpeedMmPerS: 420 },
    bodyLengthMm: 7,
    bodyHexWet: '#463c24',
  }
  const sample = () => {
    const work = sampleFall({ fly, conditions, samples: 1000, seed: 1 })
    let step = work.next()
    while (!step.done) step = work.next()
  }
  return [
    {
      what: 'editing a pattern, all of core (resolve, evaluate, fall to 3 m, draw)',
      figure: ms(timeOf(100, edit)),
      wanted: 'under 4 ms',
    },
    {
      what: 'evaluateFly, free and with line',
      figure: ms(timeOf(200, () => evaluateFly(fly, conditions))),
      wanted: '',
    },
    { what: 'descend to 3 m', figure: ms(timeOf(100, () => descend(report.model, 3000, 3600))), wanted: '' },
    {
      what: 'matchFly against all 164 stages',
      figure: ms(timeOf(50, () => stages.map((stage) => matchFly(matched, stage, place)))),
      wanted: '',
    },
    { what: 'sampling 1,000 flies', figure: ms(timeOf(1, sample)), wanted: '' },
  ]
}

/** One run of load at 100 requests a second over two connections: one tier with two tabs. */
async function load(url: string, options: Partial<autocannon.Options> = {}): Promise<autocannon.Result> {
  return autocannon({ url, overallRate: 100, connections: 2, duration: 10, ...options })
}

async function residentMb(pid: number | undefined): Promise<number> {
  const status = await readFile(`/proc/${pid}/status`, 'utf8').catch(() => '')
  return Number(/VmRSS:\s+(\d+)/.exec(status)?.[1] ?? 0) / 1024
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
  const mixed = await Promise.all([
    load(`${address}/api/tonight`, { overallRate: 90 }),
    load(`${address}/api/commands`, {
      method: 'POST',
      overallRate: 10,
      headers: { 'content-type': 'application/json' },
      requests: [{ setupRequest: (request) => ({ ...request, body: write() }) }],
    }),
  ])
  lines.push({
    what: 'mixed: 90 reads of Tonight and 10 writes a second, each read after a write worked out anew, p99 of reads, of writes',
    figure: `${mixed[0].latency.p99} ms, ${mixed[1].latency.p99} ms`,
    wanted: 'under 25 ms',
  })
  lines.push({
    what: 'memory of the server after that',
    figure: `${(await residentMb(serving.process.pid)).toFixed(0)} MB`,
    wanted: 'under 200 MB',
  })
  return lines
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
  ]
}

const lines: Line[] = [...benchCore()]
const serving = await serveApart('demo')
try {
  lines.push(...(await benchPage(serving)), ...(await benchServer(serving)))
} finally {
  await serving.stop()
}
const table = [
  '| what | figure | wanted |',
  '|---|---|---|',
  ...lines.map(({ what, figure, wanted }) => `| ${what} | ${figure} | ${wanted} |`),
].join('\n')
const head = `# Timings\n\nMade by \`npm run bench\` on ${cpus().length} cores with Node.js ${process.versions.node}; medians of five. Reported, never asserted.\n\n`
await writeFile(join('bench', 'report.md'), `${head}${table}\n`)
process.stdout.write(`${table}\n`)
