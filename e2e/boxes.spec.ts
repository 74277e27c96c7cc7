import { axeFaults, choose, expect, test } from './thistle.ts'
import { readFile } from 'node:fs/promises'
import type { Page } from '@playwright/test'
import { v7 } from 'uuid'
import type { HistoryView, OutingsView } from '../contract/index.ts'

const lastAction = (page: Page) => page.getByRole('button', { name: "Tonight's actions" })
const grid = (page: Page, place: string) => page.getByRole('grid', { name: `Flies in ${place}` })
const csv = (text: string) => ({ name: 'boxes.csv', mimeType: 'text/csv', buffer: Buffer.from(text) })

test('flies are dragged to another compartment by mouse, as many as wanted', async ({ page }) => {
  await page.goto('/boxes')
  const from = grid(page, 'Swimming nymphs, leaf')
  const to = grid(page, 'Swimming nymphs, lid')
  await from.getByRole('row', { name: /Third Button #16 W 2.8/ }).dragTo(to)
  const how = page.getByRole('form', { name: 'Move Third Button #16 W 2.8' })
  await how.getByLabel('How many of 2').fill('3')
  await expect(how.getByText('From 1 to 2.')).toBeVisible()
  await how.getByLabel('How many of 2').fill('1')
  await how.getByRole('button', { name: 'Move', exact: true }).click()
  await expect(lastAction(page)).toContainText('Moved 1 Third Button #16 W 2.8 to Swimming nymphs, lid')
  await expect(to.getByRole('row', { name: /Third Button #16 W 2.8/ })).toBeVisible()
  expect(await axeFaults(page)).toEqual([])
})

test('several flies are chosen and dragged together, in one action', async ({ page }) => {
  await page.goto('/boxes')
  const from = grid(page, 'Swimming nymphs, lid')
  const to = grid(page, 'Clinging and crawling, leaf')
  await to.scrollIntoViewIfNeeded()
  const heavy = from.getByRole('row', { name: /Third Button #14 W 3.3/ })
  await heavy.click()
  await from.getByRole('row', { name: /Third Button #18 W 2.4/ }).click()
  await expect(heavy).toHaveAttribute('aria-selected', 'true')
  await heavy.dragTo(to)
  await expect(lastAction(page)).toContainText(
    /Moved 4 Third Button #1[48] W .* and 1 other to Clinging and crawling, leaf/,
  )
  await expect(to.getByRole('row', { name: /Third Button/ })).toHaveCount(2)
  expect(await axeFaults(page)).toEqual([])
  await page.keyboard.press('Control+z')
  await expect(to.getByRole('row', { name: /Third Button/ })).toHaveCount(0)
})

test.describe('by touch', () => {
  test.use({ hasTouch: true })

  test('flies are chosen by a tap and put into another compartment by another', async ({ page }) => {
    await page.goto('/boxes')
    const from = grid(page, 'Swimming nymphs, lid')
    await from.getByRole('row', { name: /Third Button #14 W 3.3/ }).tap()
    await page.getByRole('button', { name: 'Put what is chosen into Duns, lid' }).tap()
    const how = page.getByRole('form', { name: 'Move Third Button #14 W 3.3' })
    await how.getByRole('button', { name: 'Move', exact: true }).tap()
    await expect(lastAction(page)).toContainText('Moved 2 Third Button #14 W 3.3 to Duns, lid')
    await expect(page.getByRole('button', { name: /^Put what is chosen into/ })).toHaveCount(0)
    expect(await axeFaults(page)).toEqual([])
  })
})

test('flies are dragged by keyboard', async ({ page }) => {
  await page.goto('/boxes')
  const row = grid(page, 'Swimming nymphs, lid').getByRole('row', { name: /Third Button #16 no bead/ })
  await row.focus()
  await page.keyboard.press('Tab')
  await page.keyboard.press('Enter')
  const target = grid(page, 'Clinging and crawling, leaf')
  for (let n = 0; n < 120; n += 1) {
    await page.keyboard.press('Tab')
    const label = await page.evaluate(() => document.activeElement?.getAttribute('aria-label') ?? '')
    const owner = await page.evaluate(
      () => document.activeElement?.closest('[role=grid]')?.getAttribute('aria-label') ?? '',
    )
    if (`${label} ${owner}`.includes('Clinging and crawling, leaf')) break
  }
  await page.keyboard.press('Enter')
  await expect(lastAction(page)).toContainText(
    'Moved 1 Third Button #16 no bead to Clinging and crawling, leaf',
  )
  await expect(target.getByRole('row', { name: /Third Button #16 no bead/ })).toBeVisible()
})

test('flies without a recipe are pasted, a line each, and those known are found by name', async ({ page }) => {
  await page.goto('/boxes')
  await page.getByRole('button', { name: 'Put flies in' }).click()
  const sheet = page.getByRole('region', { name: 'Put flies in' })
  await sheet.getByLabel(/Flies, such as/).fill('olive jig 14 x6\nthird button #16 W 2.8 x2\nnobody x0')
  const read = sheet.getByRole('table', { name: 'What was understood' })
  await expect(read).toContainText('olive jig #14 new, without a recipe')
  await expect(read).toContainText('Third Button #16 W 2.8')
  await expect(read).toContainText('None of it: leave the line out.')
  await expect(sheet.getByRole('button', { name: /^Put 8 flies in/ })).toBeDisabled()
  await sheet.getByLabel(/Flies, such as/).fill('olive jig 14 x6\nthird button #16 W 2.8 x2')
  await choose(page, /Into$/, /Duns, lid/, sheet)
  await sheet.getByRole('button', { name: 'Put 8 flies in' }).click()
  await expect(lastAction(page)).toContainText('Put 8 flies into Duns, lid')
  await expect(grid(page, 'Duns, lid').getByRole('row', { name: /olive jig #14/ })).toBeVisible()
  await page.goto('/patterns')
  await page.getByLabel('Find a pattern').fill('olive jig')
  await expect(page.getByRole('link', { name: 'olive jig', exact: true })).toBeVisible()
  await page.getByRole('link', { name: 'olive jig', exact: true }).click()
  await expect(page.getByText('nobody knows what it weighs')).toBeVisible()
  await expect(page.getByRole('table', { name: 'Variants' })).toContainText('no recipe')
})

test('a table of boxes goes out and comes in again; a faulty one is told by its rows and takes nothing in', async ({
  page,
}) => {
  await page.goto('/boxes')
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as a table' }).click(),
  ])
  const text = await readFile(await download.path(), 'utf8')
  expect(text).toContain('box,compartment,pattern,variant,count')
  expect(text).toMatch(/Third Button,#16 W 2\.8,2/)
  await page.getByRole('button', { name: 'Take a table in' }).click()
  const picker = page.getByLabel('Take a table of boxes in: file')
  const sheet = page.getByRole('region', { name: 'Take a table of boxes in' })
  const head = 'box,compartment,pattern,variant,count\n'
  const told = async (rows: string, ...messages: readonly string[]) => {
    await picker.setInputFiles(csv(head + rows))
    for (const message of messages) await expect(sheet.getByRole('alert')).toContainText(message)
    await expect(sheet.getByRole('button', { name: /anew$/ })).toHaveCount(0)
  }
  await told(
    'Dale Box,"Duns, leaf",Nobody,,3\nDale Box,"Duns, leaf",Damp Straw,#14 olive,=1+1\nDale Box,Attic,Damp Straw,#14 olive,2',
    'Row 2: no fly of yours is called Nobody',
    'Row 3: =1+1 is no count of flies',
    'Row 4: there is no compartment called Attic',
  )
  await told('Dale Box,"Duns, leaf,Damp Straw,#14 olive,2', 'a quotation mark opens and never closes')
  await told('Dale Box,"Duns, leaf",D\u00c3\u00a4mp Straw,,2', 'some letters are broken')
  await told(
    Array.from({ length: 50_000 }, () => 'Dale Box,"Duns, leaf",Damp Straw,#14 olive,2').join('\n'),
    '50,000 rows are too many at once',
  )
  await told(
    'Dale Box,"Duns, leaf",Damp Straw,#14 olive,2\nDale Box,"Duns, leaf",damp straw,#14 olive,3',
    'Row 3: damp straw #14 olive is named twice',
  )
  await picker.setInputFiles(csv(text.replace(/(Third Button,#16 W 2\.8),2/, '$1,5')))
  await expect(sheet).toContainText('1 differ from what is on hand')
  await sheet.getByRole('button', { name: /anew$/ }).click()
  await expect(page.getByRole('img', { name: /Third Button #16 W 2\.8: 5 of 12/ }).first()).toBeVisible()
})

test('a box is arranged after a school, its flies get their places, and its labels print', async ({ page }) => {
  await page.goto('/boxes')
  await page.getByRole('button', { name: 'New box' }).click()
  const sheet = page.getByRole('region', { name: 'New box' })
  await sheet.getByLabel('Name', { exact: true }).fill('Depth Box')
  await choose(page, /Arranged$/, 'by depth and weight', sheet)
  const proposed = sheet.getByRole('table', { name: 'Proposed compartments' })
  await expect(proposed).toContainText('On and in the film')
  await expect(proposed.getByRole('row', { name: /Anchors/ })).toContainText('Coal Scuttle')
  await sheet.getByText('move what is on hand of them there too').click()
  await sheet.getByRole('button', { name: 'Make the box' }).click()
  const made = page.getByRole('region', { name: 'Depth Box' })
  await expect(made.getByRole('row', { name: /Coal Scuttle #10 W 4\.0/ })).toBeVisible()
  const [labels] = await Promise.all([
    page.waitForEvent('download'),
    made.getByRole('button', { name: 'Labels of Depth Box to print' }).click(),
  ])
  expect(labels.suggestedFilename()).toBe('labels-depth-box.pdf')
  expect(await readFile(await labels.path(), 'latin1')).toMatch(/^%PDF-1\./)
})

test('a full compartment refuses, and takes them anyway where that is wanted', async ({ page, pageErrors }) => {
  await page.goto('/boxes')
  await page
    .getByRole('main')
    .getByRole('button', { name: /^Duns, leaf/ })
    .click()
  await page.getByRole('textbox', { name: 'I count' }).first().fill('40')
  await page.getByRole('button', { name: 'Write down 40' }).first().click()
  await expect(page.getByText(/no room for 37 more/)).toBeVisible()
  await page.getByRole('button', { name: 'Put in anyway' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('47 of 12')
  pageErrors.length = 0
})

test('flies are packed for an outing, and what is left goes back where it came from', async ({ page }) => {
  await page.goto('/outings')
  await page.getByRole('button', { name: 'Pack', exact: true }).first().click()
  await choose(page, /Into$/, /Bench tray/)
  await page.getByText('Third Button #18 W 2.4').click()
  await page.getByRole('button', { name: 'Pack 2 flies' }).click()
  await expect(page.getByText(/Packed into .*: 2 Third Button #18 W 2\.4\./)).toBeVisible()
  await page.getByRole('button', { name: 'Empty the pockets' }).first().click()
  await expect(page.getByRole('button', { name: /missing$/ })).toHaveCount(2)
  await page.getByRole('button', { name: 'One Third Button #18 W 2.4 missing' }).click()
  await page.getByRole('button', { name: 'Write down as lost' }).click()
  await expect(page.getByText('Written down: 1 Third Button #18 W 2.4 (bottom).')).toBeVisible()
  await page.goto('/outings')
  await page.getByRole('button', { name: 'Unpack' }).click()
  await expect(lastAction(page)).toContainText('Unpacked 1 from')
  await page.goto('/boxes')
  await expect(page.getByRole('img', { name: 'Third Button #18 W 2.4: 1 of 3' }).first()).toBeVisible()
})

test('a fly that was fished for long and took nothing is told apart from one that nobody fished', async ({
  page,
  request,
}) => {
  await page.goto('/outings')
  const day = page.locator('section', { hasText: 'Sat 9 May 2026' }).first()
  const { outings } = (await (await request.get('/api/outings')).json()) as OutingsView
  const { variants } = (await (await request.get('/api/history')).json()) as HistoryView
  const [never] = variants.filter(({ onHand, fished }) => onHand > 0 && fished === null)
  const [surely] = variants.filter(({ onHand, fished }) => onHand > 0 && (fished?.takes ?? 0) > 3)
  const spell = { spellId: v7(), version: null, outingId: outings.find(({ on }) => on === '2026-05-09')?.id, variantId: never?.variantId, minutes: 300, takes: 0, refusals: 2 } // prettier-ignore
  const kept = await request.post('/api/commands', { data: { id: v7(), kind: 'spellSave', body: spell } })
  expect(kept.status()).toBe(200)
  await page.reload()
  await expect(day).toContainText('300 minutes')
  await page.goto('/boxes')
  await page.getByRole('button', { name: 'Fished and lost' }).click()
  const poor = page.getByRole('table', { name: 'Fished, and took little' })
  await expect(poor.getByRole('link', { name: `${never?.patternName} ${never?.label}` })).toBeVisible()
  await expect(poor).toContainText('5.0')
  await expect(poor.getByRole('link', { name: `${surely?.patternName} ${surely?.label}` })).toHaveCount(0)
})

test.describe('what only reads', () => {
  test.use({ onlyReads: true })

  test('what was not fished and what is lost most is told', async ({ page }) => {
    await page.goto('/boxes')
    await page.getByRole('button', { name: 'Fished and lost' }).click()
    await expect(page.getByRole('table', { name: 'Flies lost most' }).getByRole('row')).not.toHaveCount(1)
    await choose(page, /How long/, 'half a year')
    await expect(page.getByRole('heading', { name: /Not fished for half a year/ })).toBeVisible()
    expect(await axeFaults(page)).toEqual([])
  })

  test('the census in the Column: a depth is chosen by keys and by its handles, and what fishes there is lit', async ({
    page,
  }) => {
    await page.goto('/boxes')
    await page.getByRole('heading', { name: 'Dale Box' }).waitFor()
    const column = page.getByRole('complementary', { name: 'Water column' })
    await expect(column.getByRole('button', { name: /Duns, lid/ })).toBeVisible()
    await page.keyboard.press('Shift+ArrowDown')
    const said = page.getByText(/^Between the film and 0\.1 m fish \d+ of your flies/)
    await expect(said).toBeVisible()
    const lit = page.locator('.place[data-lit="true"]')
    await expect(lit.filter({ hasText: 'Duns, leaf' })).toHaveCount(1)
    await expect(lit.filter({ hasText: 'Swimming nymphs, leaf' })).toHaveCount(0)
    const lower = column.getByRole('slider', { name: 'Lower end of the depth looked at' })
    await lower.focus()
    for (let n = 0; n < 25; n += 1) await page.keyboard.press('ArrowDown')
    await expect(page.getByText(/^Between the film and 0\.9 m fish/)).toBeVisible()
    await expect(lit.filter({ hasText: 'Swimming nymphs, leaf' })).toHaveCount(1)
    const upper = await column.getByRole('slider', { name: /^Upper end/ }).boundingBox()
    const water = await lower.boundingBox()
    if (!upper || !water) throw new Error('no handles')
    await page.mouse.move(upper.x + 40, upper.y + 5)
    await page.mouse.down()
    await page.mouse.move(upper.x + 40, water.y - 60, { steps: 8 })
    await page.mouse.up()
    await expect(page.getByText(/^Between 0\.8 m and 0\.9 m fish/)).toBeVisible()
    expect(await axeFaults(page)).toEqual([])
    await page.getByRole('button', { name: 'At any depth' }).click()
    await expect(page.getByText(/^Between/)).toHaveCount(0)
  })
})

test('what came and went of a compartment is read', async ({ page }) => {
  await page.goto('/boxes')
  await page
    .getByRole('main')
    .getByRole('button', { name: /^Swimming nymphs, leaf/ })
    .click()
  // counting is apart from taking out: as it stands there is nothing to write down
  const row = page.getByRole('main').locator('section').first()
  await expect(row.getByRole('button', { name: 'Write down', exact: true })).toBeDisabled()
  await row.getByRole('textbox', { name: 'I count' }).fill('1')
  await row.getByRole('button', { name: 'Write down 1', exact: true }).click()
  await page.getByRole('button', { name: 'What came and went' }).click()
  const ledger = page.getByRole('table', { name: 'What came and went' })
  await expect(ledger.getByRole('row').nth(1)).toContainText('counted, fewer')
  await expect(ledger.getByRole('row').nth(1)).toContainText('−1')
  expect(await axeFaults(page)).toEqual([])
})

test('a box looks like the box: each fly in its slit, its name where it is pointed at, larger or by name', async ({
  page,
}) => {
  await page.goto('/boxes')
  const lid = grid(page, 'Swimming nymphs, lid')
  const heavy = lid.getByRole('row', { name: /Third Button #14 W 3.3/ })
  const flies = heavy.locator('.slit:not(.gap) img')
  await expect(flies).toHaveCount(2)
  await heavy.scrollIntoViewIfNeeded()
  await expect(flies.first()).toHaveAttribute('src', /^blob:/)
  const small = await flies.first().boundingBox()
  await heavy.hover()
  await expect(page.getByText(/^Third Button #14 W 3\.3 · 2 of 3 · falls \d+ cm\/s$/)).toBeVisible()
  await page.getByRole('slider', { name: 'Flies' }).press('End')
  await expect(page.getByText('3 ×', { exact: true })).toBeVisible()
  await expect
    .poll(async () => (await flies.first().boundingBox())?.width ?? 0)
    .toBeGreaterThan(2 * small!.width)
  expect(await axeFaults(page)).toEqual([])
  await page.getByRole('button', { name: 'By name' }).click()
  await expect(heavy.getByText('Third Button #14 W 3.3')).toBeVisible()
  await page.reload()
  await expect(heavy.getByText('Third Button #14 W 3.3')).toBeVisible()
  await page.getByRole('button', { name: 'As they look' }).click()
  await expect(flies).toHaveCount(2)
})
