import type { Page } from '@playwright/test'
import { axeFaults, choose, expect, goWithin, test } from './thistle.ts'

const PLACES = [
  ['/', /^Tonight/],
  ['/waters', 'Waters'],
  ['/larder', 'Larder'],
  ['/patterns', 'Patterns'],
  ['/tank', 'Tank'],
  ['/bench', 'Bench'],
  ['/boxes', 'Boxes'],
  ['/outings', 'Outings'],
  ['/stores', 'Stores'],
  ['/settings', 'Settings'],
] as const

test.use({ onlyReads: true })

/** Axe finds nothing once the place has all that it asks for. */
const staysClean = (page: Page, path: string) =>
  expect(async () => {
    await expect(page.locator('#sheet [aria-busy="true"]')).toHaveCount(0)
    expect(await axeFaults(page), path).toEqual([])
  }).toPass({ timeout: 60_000 })

for (const [some, places] of [
  ['the first', PLACES.slice(0, 5)],
  ['the other', PLACES.slice(5)],
] as const) {
  test(`${some} places say what they are and are clean for axe`, async ({ page }) => {
    await page.goto('/settings')
    for (const [path, heading] of places) {
      await goWithin(page, path)
      await expect(page.getByRole('heading', { level: 1, name: heading })).toBeVisible()
      await expect(page.locator('aside .water')).toBeVisible()
      await staysClean(page, path)
    }
  })
}

test('the night bench is clean for axe as well', async ({ page }) => {
  await page.emulateMedia({ colorScheme: 'dark' })
  await page.goto('/settings')
  for (const path of ['/', '/tank']) {
    await goWithin(page, path)
    await expect(page.getByRole('heading', { level: 1 })).not.toHaveText('Settings')
    await staysClean(page, path)
  }
})

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 } })

  test('every place keeps within the screen, shows its pocket, and is clean for axe', async ({ page }) => {
    await page.goto('/settings')
    for (const [path, heading] of [
      ...PLACES,
      ['/larder?view=day', 'Larder'],
      ['/boxes?view=cover', 'Boxes'],
    ] as const) {
      await goWithin(page, path)
      await expect(page.getByRole('heading', { level: 1, name: heading })).toBeVisible()
      await staysClean(page, path)
      const beyond = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)
      expect(beyond, path).toBeLessThanOrEqual(0)
      const pocket = await page.locator('nav .active').first().boundingBox()
      expect(pocket && pocket.x >= 0 && pocket.x + pocket.width <= 390, path).toBe(true)
    }
  })

  test('a pattern’s figures stay in view in one line, whatever is read below', async ({ page }) => {
    await page.goto('/patterns')
    await page.getByRole('link', { name: 'Third Button', exact: true }).first().click()
    await page.getByRole('heading', { name: 'How this came about' }).evaluate((h) => h.scrollIntoView())
    const figures = page.getByTestId('fall')
    await expect(figures).toBeInViewport()
    const line = await figures.locator('xpath=ancestor::dl').boundingBox()
    expect(line?.height ?? 999).toBeLessThan(844 / 4)
    await staysClean(page, 'a pattern')
  })
})

test('digits open the places in work order, and the find line finds', async ({ page }) => {
  await page.goto('/')
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Tonight')
  for (const [digit, heading] of [
    ['4', 'Patterns'],
    ['7', 'Boxes'],
    ['9', 'Stores'],
    ['2', 'Waters'],
  ] as const) {
    await page.keyboard.press(digit)
    await expect(page.getByRole('heading', { level: 1, name: heading })).toBeVisible()
  }
  await page.keyboard.press('/')
  await expect(page.getByRole('combobox', { name: 'Find anything' })).toBeFocused()
  await page.keyboard.type('third')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { level: 1, name: 'Third Button' })).toBeVisible()
  await page.keyboard.press('Control+k')
  await page.keyboard.type('open st')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { level: 1, name: 'Stores' })).toBeVisible()
})

test('patterns are narrowed by food, size and what is short; whoever comes back finds them so', async ({
  page,
}) => {
  await page.goto('/patterns')
  const list = page.getByRole('table', { name: 'Patterns and their variants' })
  const flies = list.getByRole('row').filter({ has: page.getByRole('img') })
  await expect(flies.first()).toBeVisible()
  const all = await flies.count()
  await choose(page, 'Of what size', '#16')
  await choose(page, 'Short or not', 'what is short')
  await expect.poll(() => flies.count()).toBeLessThan(all)
  for (const label of await flies.getByRole('link', { name: /^#/ }).allTextContents())
    expect(label).toMatch(/^#16/)
  const few = await flies.count()
  expect(few).toBeGreaterThan(0)
  await flies.getByRole('link', { name: /^#/ }).first().click()
  await expect(page.getByTestId('figures')).toBeVisible()
  await page.goBack()
  await expect.poll(() => flies.count()).toBe(few)
  await page.getByLabel('Find a pattern').fill('no such fly')
  await expect(page.getByText('No fly is like this.')).toBeVisible()
  await page.getByRole('button', { name: 'Show all' }).click()
  await expect.poll(() => flies.count()).toBeGreaterThan(few)
})

test('the Column is entered with D, walked with arrows, left with Escape; a mark lights its row', async ({
  page,
}) => {
  await page.goto('/')
  await expect(page.locator('[data-mark="foods"]').first()).toBeVisible()
  await page.keyboard.press('d')
  const lane = () => page.evaluate(() => document.activeElement?.getAttribute('data-mark'))
  expect(await lane()).toBe('foods')
  const first = await page.evaluate(() => document.activeElement?.textContent)
  await page.keyboard.press('ArrowDown')
  expect(await page.evaluate(() => document.activeElement?.textContent)).not.toBe(first)
  await page.keyboard.press('ArrowRight')
  expect(await lane()).toBe('flies')
  await page.keyboard.press('p')
  await expect(page.locator('[data-pinned="true"]')).toHaveCount(1)
  await page.keyboard.press('Escape')
  expect(await page.evaluate(() => document.activeElement?.id)).toBe('sheet')
  await page.getByText('Paper Lantern #10 2XL: 0 of 3').hover()
  await expect(page.locator('[data-mark][data-lit="true"]')).toContainText('Paper Lantern')
})

test('D twice opens the water: whole names, the hours of the day, groups that open in place; Esc closes it', async ({
  page,
}) => {
  await page.goto('/')
  const column = page.getByRole('complementary', { name: 'Water column' })
  await expect(page.locator('[data-mark="foods"]').first()).toBeVisible()
  // no label is over another of its lane, and each stands inside the water
  const labels = await page.locator('[data-mark="flies"]').evaluateAll((marks) =>
    marks.map((mark) => {
      const { top, bottom } = mark.getBoundingClientRect()
      return { top, bottom }
    }),
  )
  expect(labels.length).toBeGreaterThan(8)
  labels.sort((a, b) => a.top - b.top)
  labels.slice(1).forEach(({ top }, i) => expect(top).toBeGreaterThanOrEqual((labels[i]?.bottom ?? 0) - 0.5))
  await page.keyboard.press('d')
  await page.keyboard.press('d')
  await expect(column.getByRole('group', { name: 'Hours of the day' })).toBeVisible()
  await expect
    .poll(async () => (await column.boundingBox())?.width ?? 0)
    .toBeGreaterThan(0.45 * (page.viewportSize()?.width ?? 0))
  await expect(column.getByText('Large burrowing mayfly, emerger · 2 of 10 fish')).toBeVisible()
  await column.getByRole('button', { name: /^20:00, / }).click()
  await expect(page.locator('#moment')).toContainText('20:00')
  const group = column.getByRole('button', { name: /near the bed$/ }).last()
  await group.click()
  await expect(column.getByRole('button', { name: /^Cellar Step #6/ })).toBeVisible()
  await page.keyboard.press('Escape')
  await page.keyboard.press('Escape')
  await expect(column.getByRole('group', { name: 'Hours of the day' })).toHaveCount(0)
})

test('the moment is set in one place and moves foods and figures', async ({ page }) => {
  await page.goto('/larder')
  const rows = page.getByRole('table', { name: 'Foods at this moment' }).getByRole('row')
  await expect(rows.nth(1)).toBeVisible()
  await page.keyboard.press('w')
  await page.keyboard.press('Enter')
  await page.getByLabel('Day').fill('2026-01-15')
  await expect(page.locator('#moment')).toContainText('15 January')
  await expect(page.locator('#moment')).toContainText(/[0-4]\.\d °C/)
  await expect(page.getByRole('table', { name: 'Foods at this moment' })).not.toContainText(
    'Large burrowing mayfly, dun',
  )
  await choose(page, /Reach$/, 'Dunmarl Reservoir, Shoal')
  await expect(page.locator('#moment')).toContainText('Shoal')
  await page.getByRole('button', { name: 'Next outing' }).click()
  await expect(page.locator('#moment')).toContainText('Bridge Reach · Sat 6 June')
})

test('the band is checked by sampling in a worker, and what would narrow it is said', async ({ page }) => {
  await page.goto('/patterns')
  await page.getByRole('link', { name: 'Third Button', exact: true }).click()
  const how = page.getByRole('region', { name: 'How this came about' })
  await expect(how.getByRole('table', { name: 'Mass by component' })).toContainText('whole fly')
  await expect(how).toContainText('What would narrow it most? Stretch the line')
  await how.getByRole('button', { name: 'Check the band by sampling' }).click()
  await expect(how.getByRole('status')).toContainText(/4000 flies drawn .* The two agree\./)
})

test('the first view is small', async ({ page }) => {
  const client = await page.context().newCDPSession(page)
  await client.send('Network.enable')
  let bytes = 0
  const scripts = new Set<string>()
  client.on('Network.responseReceived', ({ requestId, response }) => {
    if (response.mimeType.includes('javascript')) scripts.add(requestId)
  })
  client.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
    if (scripts.has(requestId)) bytes += encodedDataLength
  })
  await page.goto('/')
  await expect(page.getByRole('list', { name: 'What tonight asks for' })).toBeVisible()
  await page.waitForLoadState('networkidle')
  expect(bytes).toBeGreaterThan(50_000)
  expect(bytes).toBeLessThanOrEqual(240_000)
})
