import sharp from 'sharp'
import { axeFaults, expect, test } from './thistle.ts'
import { readFile } from 'node:fs/promises'
import type { Page } from '@playwright/test'

const lastAction = (page: Page) => page.getByRole('button', { name: "Tonight's actions" })
const BEAD = /Tungsten alloy bead, slotted, 2\.8 mm.*copper/

test('what is low is ordered in whole packs, and comes in parts', async ({ page }) => {
  await page.goto('/stores')
  const buying = page.getByRole('region', { name: 'To fill up what is low' })
  await expect(buying.getByRole('row', { name: /Tungsten alloy bead, slotted/ }).first()).toContainText('20')
  const [markdown] = await Promise.all([
    page.waitForEvent('download'),
    buying.getByRole('button', { name: 'Markdown' }).click(),
  ])
  expect(await readFile(await markdown.path(), 'utf8')).toContain('| material | amount | packs |')
  await buying.getByRole('button', { name: 'Write down as ordered' }).click()
  await expect(lastAction(page)).toContainText(/^Ordered \d things/)
  const ordered = page.getByRole('region', { name: /^Ordered/ })
  const line = ordered.getByRole('row', { name: BEAD })
  await expect(line).toContainText('0 of 1')
  await line.getByRole('button').click()
  await expect(line).toContainText('all there')
  await page.getByRole('button', { name: BEAD }).click()
  await expect(page.getByText('29 on hand.')).toBeVisible()
  await page.getByRole('button', { name: 'All drawers' }).click()
  await ordered.getByRole('button', { name: 'All of it came' }).click()
  await expect(ordered).toHaveCount(0)
  await expect(page.getByText('Nothing is low.')).toBeVisible()
})

test('a picture is kept small and without its data; what is none is refused in words', async ({
  page,
  pageErrors,
}) => {
  await page.goto('/stores')
  await page.getByRole('button', { name: BEAD }).click()
  const picker = page.getByLabel(/: file$/)
  await picker.setInputFiles({ name: 'x.png', mimeType: 'image/png', buffer: Buffer.from('no picture at all') })
  await expect(page.getByText('This is no picture that can be read. Take a PNG, JPEG or WebP.')).toBeVisible()
  const jpeg = await sharp({ create: { width: 3000, height: 2000, channels: 3, background: '#7a5230' } })
    .withExif({ IFD0: { Artist: 'Nobody at all' } })
    .jpeg()
    .toBuffer()
  await picker.setInputFiles({ name: 'x.jpg', mimeType: 'image/jpeg', buffer: jpeg })
  const picture = page.getByRole('img', { name: /Tungsten alloy bead/ })
  await expect(picture).toBeVisible()
  const source = await picture.getAttribute('src')
  const kept = Buffer.from(await (await page.request.get(source ?? '')).body())
  const about = await sharp(kept).metadata()
  expect([about.format, about.width, about.exif]).toEqual(['webp', 1600, undefined])
  expect(kept.length).toBeLessThan(300_000)
  await page.getByRole('button', { name: 'Take it off' }).click()
  await expect(picture).toHaveCount(0)
  pageErrors.length = 0
})

test('a table of stores comes in by name; unknown units and materials are told by their rows', async ({
  page,
}) => {
  await page.goto('/stores')
  await page.getByRole('button', { name: 'Take a table in' }).click()
  const picker = page.getByLabel('Take a table of stores in: file')
  const sheet = page.getByRole('region', { name: 'Take a table of stores in' })
  const table = (rows: string) => ({
    name: 'stores.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(`material;size;colour;on hand;unit\n${rows}`),
  })
  await picker.setInputFiles(
    table(
      'Tungsten alloy bead, slotted;2.8;copper;12;m\nMoon dust;;;1;\nTungsten alloy bead, slotted;2.8;copper;-4;pieces',
    ),
  )
  await expect(sheet.getByRole('alert')).toContainText('Row 2: m is no unit that this material is kept in.')
  await expect(sheet.getByRole('alert')).toContainText('Row 3: there is no material called Moon dust.')
  await expect(sheet.getByRole('alert')).toContainText('Row 4: -4 is no amount that a store holds.')
  await picker.setInputFiles(table('Tungsten alloy bead, slotted;2.8;copper;77;pieces'))
  await sheet.getByRole('button', { name: 'Take 1 over' }).click()
  await page.getByRole('button', { name: BEAD }).click()
  await expect(page.getByText('77 on hand.')).toBeVisible()
})

test('goods that do not ship are put among the materials with the usual figures of their kind', async ({
  page,
}) => {
  await page.goto('/stores')
  await page.getByRole('button', { name: 'New material' }).click()
  const form = page.getByRole('region', { name: 'New material' })
  await form.getByLabel('Name', { exact: true }).fill('Combings of the terrier')
  await expect(form).toContainText('as uncertain as all of that kind together')
  await form.getByRole('textbox', { name: 'Colour', exact: true }).fill('wheaten')
  expect(await axeFaults(page)).toEqual([])
  await form.getByRole('button', { name: 'Put it among your materials' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Combings of the terrier, wheaten')
  await page.getByLabel('How much, g').fill('3')
  await page.getByRole('button', { name: 'I count 3' }).click()
  await expect(page.getByText('3.0 g on hand.')).toBeVisible()
})

test.describe('what only reads', () => {
  test.use({ onlyReads: true })

  test('for a missing material the nearest are named, with what each does to the fly', async ({ page }) => {
    await page.goto('/stores')
    await page.getByRole('button', { name: BEAD }).click()
    const instead = page.getByRole('table', { name: /^Instead of/ })
    // as its sheet and every list have it, with what was measured of it and of its likes
    await expect(instead.getByRole('row', { name: /itself/ })).toContainText(/falls 44 cm\/s/)
    await expect(instead.getByRole('row', { name: /slotted, 2\.4 mm/ })).toContainText(/falls 39 cm\/s/)
    await expect(instead.getByRole('row', { name: /3\.3 mm, copper/ })).toContainText('does not fit')
    expect(await axeFaults(page)).toEqual([])
  })

  test('a fly says what it costs, and what limits it', async ({ page }) => {
    await page.goto('/patterns')
    await page.getByRole('link', { name: 'Third Button', exact: true }).click()
    const takes = page.getByRole('region', { name: 'What it takes' })
    // what is far from the edit follows the rest of the sheet
    await expect(takes).toContainText(/A fly costs about €0\.5\d, 6 of them €3\.\d\d/)
    await expect(takes).toContainText(/The stores allow \d+; the limit is/)
  })
})
