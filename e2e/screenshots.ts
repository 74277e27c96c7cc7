import { chromium } from '@playwright/test'
import type { Page } from '@playwright/test'
import { mkdir } from 'node:fs/promises'
import { join } from 'node:path'
import { CHROMIUM_ARGS, chromiumPath } from './chromium.ts'
import { packedForSaturday } from './packed.ts'
import { FLY_SHEET, flySheet } from './flySheet.ts'
import { serveApart } from './serving.ts'

/** One picture of each main view, from the demo's data. */
interface Shot {
  readonly name: string
  readonly path: string
  readonly size?: { readonly width: number; readonly height: number }
  readonly before?: (page: Page) => Promise<void>
}

const WIDE = { width: 1280, height: 800 }
const PHONE = { width: 390, height: 844 }

async function open(page: Page, name: string): Promise<void> {
  await page.getByRole('link', { name, exact: true }).first().click()
  await page.getByRole('heading', { name, level: 1 }).waitFor()
}

/** Waits for what comes a moment after a page: the pictures of flies that are in view, and what the boxes lack. */
async function settle(page: Page): Promise<void> {
  await page.waitForLoadState('networkidle')
  await page.waitForFunction(() => {
    const roll = document.querySelector('nav')?.textContent ?? ''
    const awaited = [...document.images].filter(({ src }) => src.startsWith('data:'))
    return (
      !roll.includes('…') &&
      awaited.every((image) => {
        const { top, bottom, height } = image.getBoundingClientRect()
        return height === 0 || bottom <= 0 || top >= innerHeight
      })
    )
  })
  await page.evaluate(() => document.fonts.ready)
}

const shots: readonly Shot[] = [
  { name: 'tonight', path: '/' },
  {
    name: 'ahead',
    path: '/ahead',
    before: async (page) => {
      await page.getByText(/^No plan beats it/).waitFor()
    },
  },
  {
    name: 'waters',
    path: '/waters',
    before: async (page) => {
      await page.getByRole('button', { name: 'Look at Drop-off' }).click()
      await page.getByRole('slider', { name: 'Depth of the thermocline' }).waitFor()
    },
  },
  {
    name: 'opened',
    path: '/',
    before: async (page) => {
      await page.locator('[data-mark="flies"]').first().waitFor()
      await page.keyboard.press('d')
      await page.keyboard.press('d')
      await page.getByRole('group', { name: 'Hours of the day' }).waitFor()
    },
  },
  { name: 'larder', path: '/larder' },
  {
    name: 'larder-year',
    path: '/larder?view=year',
    before: async (page) => {
      await page.getByRole('region', { name: 'Foods through the year' }).waitFor()
    },
  },
  { name: 'larder-day', path: '/larder?view=day' },
  { name: 'patterns', path: '/patterns' },
  {
    name: 'pattern',
    path: '/patterns',
    before: async (page) => {
      await open(page, 'Third Button')
      await page.getByText(/^worked out: 96 turns/).waitFor()
    },
  },
  {
    name: 'tank',
    path: '/patterns',
    before: async (page) => {
      const hrefs = await page
        .locator('a[href*="variant="]')
        .evaluateAll((links) =>
          links.map((link) => ({ text: link.textContent, href: link.getAttribute('href') })),
        )
      const id = (label: string) =>
        /variant=([\w-]+)/.exec(hrefs.find(({ text }) => text === label)?.href ?? '')?.[1] ?? ''
      await page.goto(
        new URL(`/tank?fly=${id('#16 W 2.8')}&fly=${id('#16 B 2.8')}&fly=${id('#16 no bead')}`, page.url())
          .href,
      )
      await page.locator('.recharts-surface').first().waitFor()
    },
  },
  {
    name: 'rig',
    path: '/outings?rig=',
    before: async (page) => {
      await page.getByRole('button', { name: 'Tight line, team of two' }).click()
      await page.getByText(/Turned Collar #14 olive 0\.\d\d m down, likely/).waitFor()
    },
  },
  { name: 'boxes', path: '/boxes' },
  {
    name: 'cover',
    path: '/boxes?view=cover',
    before: async (page) => {
      await page.getByRole('table', { name: 'Cover' }).waitFor()
    },
  },
  { name: 'outings', path: '/outings' },
  { name: 'stores', path: '/stores' },
  {
    name: 'bench',
    path: '/',
    before: async (page) => {
      await page
        .getByRole('button', { name: /on the vise$/ })
        .first()
        .click()
      for (let step = 0; step < 3; step += 1) await page.getByRole('button', { name: 'Next step' }).click()
    },
  },
  { name: 'bench-phone', path: '/bench', size: PHONE },
  {
    name: 'there-phone',
    path: '/outings',
    size: PHONE,
    before: async (page) => {
      const { origin } = new URL(page.url())
      const id = await packedForSaturday(page.request, origin)
      await page.goto(`${origin}/outings/${id}?face=there`)
      for (const sign of ['Back and tail, no snout', 'Empty shucks drifting'])
        await page.getByRole('button', { name: sign, exact: true }).click()
      await page.getByRole('button', { name: 'Put on' }).click()
      await page.getByRole('region', { name: 'What to put on' }).waitFor()
      await page.locator('#sheet').evaluate((sheet) => sheet.scrollTo(0, 0))
    },
  },
]

const only = process.argv.slice(2).filter((arg) => !arg.startsWith('--'))
const folder = process.env.SHOTS_TO ?? join('docs', 'screenshots')
await mkdir(folder, { recursive: true })
const serving = await serveApart('demo')
const browser = await chromium.launch({ executablePath: chromiumPath(), args: CHROMIUM_ARGS })
try {
  for (const { name, path, size, before } of shots) {
    if (only.length > 0 && !only.includes(name) && name !== 'bench') continue
    const context = await browser.newContext({
      viewport: size ?? WIDE,
      colorScheme: 'light',
      reducedMotion: 'reduce',
      locale: 'en-GB',
    })
    const page = await context.newPage()
    page.on('console', (message) =>
      message.type() === 'error' ? process.stderr.write(`${name}: ${message.text()}\n`) : undefined,
    )
    page.on('pageerror', (error) => process.stderr.write(`${name}: ${error.message}\n`))
    await page.goto(serving.address + path)
    await page.locator('#sheet h1').waitFor()
    await before?.(page)
    await settle(page)
    await page.mouse.move(600, 4)
    if (only.length === 0 || only.includes(name)) {
      await page.screenshot({ path: join(folder, `${name}.png`) })
      process.stdout.write(`${name}\n`)
    }
    await context.close()
  }
  if (only.length === 0 || only.includes('flies')) {
    const page = await browser.newPage({ viewport: FLY_SHEET })
    await page.setContent(flySheet())
    await page.screenshot({ path: join(folder, 'flies.png') })
    process.stdout.write('flies\n')
  }
} finally {
  await browser.close()
  await serving.stop()
}
