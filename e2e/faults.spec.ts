import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { copyOfDemo } from '../demo/testing/filledDemo.ts'
import { FILLED } from './fill.ts'
import { startProcess } from './serving.ts'
import { choose, expect, test } from './thistle.ts'
import type { Page } from '@playwright/test'

const open = async (page: Page, name: string) => {
  await page.goto('/patterns')
  // rows grow as their drawings come
  await page.waitForLoadState('networkidle')
  await page.getByRole('link', { name, exact: true }).click()
  await expect(page.getByRole('heading', { level: 1, name })).toBeVisible()
}

test('a name with a script in it is a name', async ({ page }) => {
  await open(page, 'Wet Slate')
  const nasty = '<img src=x onerror="document.title=1">'
  await page.getByLabel('Name', { exact: true }).fill(nasty)
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(nasty)
  // the heading follows what is typed, not what is saved
  await expect(page.getByText('not saved')).toBeHidden()
  await page.goto('/patterns')
  await expect(page.getByRole('link', { name: nasty })).toBeVisible()
  expect(await page.title()).toBe('Heavy Thistle')
})

test('a recipe of which flies lie in a box is asked about: they stay as they were, or what is changed becomes a variant', async ({
  page,
}) => {
  await open(page, 'Third Button')
  await expect(page.getByRole('row', { name: /#16 W 2\.8/ }).first()).toBeVisible()
  const rows = page.getByRole('table', { name: 'Variants' }).getByRole('row')
  const before = await rows.count()
  await page.getByRole('button', { name: /^rib:/ }).click()
  await page.getByLabel('Turns', { exact: true }).fill('7')
  await page.getByLabel('Turns', { exact: true }).blur()
  await page.keyboard.press('Control+s')
  const asked = page.getByRole('alert').filter({ hasText: 'flies of this recipe lie in your boxes' })
  await expect(asked).toBeVisible()
  await asked.getByRole('button', { name: 'Make it a new variant' }).click()
  await expect(page.getByText('not saved')).toBeHidden()
  await expect(rows).toHaveCount(before + 1)
  // the pattern is as it was, its flies too
  await expect(page.getByRole('button', { name: /^rib: .*7 turns/ })).toHaveCount(0)
  // or they were tied so all along
  await page
    .getByRole('table', { name: 'Variants' })
    .getByRole('button', { name: 'Look at #16 W 2.8', exact: true })
    .click()
  await page.getByLabel('Turns', { exact: true }).fill('7')
  await page.getByLabel('Turns', { exact: true }).blur()
  await page.keyboard.press('Control+s')
  await asked.getByRole('button', { name: 'They were tied so' }).click()
  await expect(page.getByText('not saved')).toBeHidden()
  await page.goto('/patterns')
  await expect(page.getByRole('row', { name: /Third Button/ }).first()).toBeVisible()
  await expect(page.getByText(/of an older dressing/)).toHaveCount(0)
  await expect(page.getByText(/^Saved Third Button, \d+ flies in the boxes with it$/)).toBeVisible()
})

test('two tabs on one pattern: the second save is told, and may keep its own or take the other', async ({
  page,
  context,
  pageErrors,
}) => {
  await open(page, 'Damp Straw')
  const second = await context.newPage()
  await second.goto(page.url())
  await expect(second.getByRole('heading', { level: 1, name: 'Damp Straw' })).toBeVisible()
  await page.getByLabel('Note', { exact: true }).fill('from the first tab')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByText('not saved')).toBeHidden()
  await second.getByLabel('Note', { exact: true }).fill('from the second tab')
  await second.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(second.getByText(/^Another tab changed this pattern \(.* \d{4}, \d\d:\d\d\)\.$/)).toBeVisible()
  await expect(second.getByText('there note: from the first tab · yours from the second tab')).toBeVisible()
  await second.getByRole('button', { name: 'Keep yours' }).click()
  await expect(second.getByText('not saved')).toBeHidden()
  await page.reload()
  await expect(page.getByLabel('Note', { exact: true })).toHaveValue('from the second tab')
  pageErrors.length = 0
})

test('more losses than flies, and a full compartment, are refused in words with the way on', async ({
  page,
  pageErrors,
}) => {
  await page.goto('/boxes')
  await page
    .getByRole('main')
    .getByRole('button', { name: /^Duns, leaf/ })
    .click()
  await expect(page.getByRole('heading', { level: 1, name: /Duns, leaf/ })).toBeVisible()
  const count = page.getByRole('textbox', { name: 'I count' }).first()
  await page.getByRole('textbox', { name: 'Take out' }).first().fill('40')
  await choose(page, /Lost to/, 'tree')
  await expect(page.getByText(/There are 3 of #16 olive in that compartment, not 40/)).toBeVisible()
  await count.fill('40')
  await page.getByRole('button', { name: 'Write down 40' }).first().click()
  await expect(page.getByText(/holds 12 and has 10: no room for/)).toBeVisible()
  await count.fill('-2')
  await expect(page.getByText('This cannot be below nought.')).toBeVisible()
  pageErrors.length = 0
})

test('a server that is killed in the middle of a save and started again has the save once', async ({
  page,
  pageErrors,
}) => {
  const copy = await copyOfDemo(process.env[FILLED] ?? '')
  const serving = await startProcess('demo', copy.path)
  await page.goto(`${serving.address}/stores`)
  await page.getByLabel('Find a material').fill('Hare-like')
  await page.getByRole('button', { name: /Hare-like fur with guard hair, natural/ }).click()
  await page.getByLabel('How much, g').fill('5')
  serving.process.kill('SIGKILL')
  await page.getByRole('button', { name: 'Bought' }).click()
  await expect(page.getByRole('status')).toContainText('The server does not answer. One thing is kept here')
  const port = Number(new URL(serving.address).port)
  await serving.stop()
  const again = await startProcess('demo', serving.dataPath, port)
  await expect(page.getByText('13.4 g on hand')).toBeVisible()
  await page.reload()
  await expect(page.getByText('13.4 g on hand')).toBeVisible()
  await again.stop()
  await copy.remove()
  pageErrors.length = 0
})

test('a port that is taken, a directory in use and one that cannot be written are told in one line', async ({
  serving,
}) => {
  const port = Number(new URL(serving.address).port)
  const folder = await mkdtemp(join(tmpdir(), 'thistle-'))
  await expect(startProcess('main', folder, port)).rejects.toThrow(`Port ${port} is taken`)
  await expect(startProcess('main', serving.dataPath)).rejects.toThrow(
    `already serves this data directory at ${serving.address}`,
  )
  await expect(startProcess('main', '/dev/null/nowhere')).rejects.toThrow('cannot be written')
  await rm(folder, { recursive: true, force: true })
})

test('an empty data directory asks for three things, and a first water brings foods', async ({ browser }) => {
  const folder = await mkdtemp(join(tmpdir(), 'thistle-own-'))
  const own = await startProcess('main', folder)
  const page = await browser.newPage()
  await page.goto(own.address)
  await page.getByRole('link', { name: 'name it' }).click()
  await page.getByLabel('Name', { exact: true }).fill('Back Lane Beck')
  await page.getByLabel('Usual depth, m').fill('60 cm')
  await page.getByLabel('Surface speed, m/s').fill('0,5')
  await page.getByRole('button', { name: 'Add the water' }).click()
  await expect(page.getByRole('heading', { level: 2, name: /Back Lane Beck/ })).toBeVisible()
  await expect(page.locator('[data-mark="foods"]').first()).toBeVisible()
  await page.goto(`${own.address}/boxes?new=1`)
  await page.getByLabel('Name', { exact: true }).fill('First Box')
  await page.getByRole('button', { name: 'Make the box' }).click()
  await expect(page.getByRole('region', { name: 'First Box' })).toBeVisible()
  await page.close()
  await own.stop()
  await rm(folder, { recursive: true, force: true })
})

test.describe('what only reads', () => {
  test.use({ onlyReads: true })

  test('a draft outlives leaving and a reload', async ({ page }) => {
    await open(page, 'Cold Tea')
    await page.getByLabel('Note', { exact: true }).fill('half a thought')
    await page.getByRole('link', { name: /^Stores/ }).click()
    await expect(page.getByText('It is kept here as a draft')).toBeVisible()
    await page.getByRole('button', { name: 'Leave it as a draft' }).click()
    await expect(page.getByRole('heading', { level: 1, name: 'Stores' })).toBeVisible()
    await open(page, 'Cold Tea')
    await expect(page.getByLabel('Note', { exact: true })).toHaveValue('half a thought')
    await expect(page.getByText('not saved')).toBeVisible()
  })

  test('absurd entries are told at their field, and what was good stays', async ({ page }) => {
    await open(page, 'Third Button')
    const lines = page.getByRole('list', { name: 'Dressing in tying order' })
    await lines.getByRole('button', { name: /^bead/ }).click()
    await page.getByLabel('or type it').fill('1,234')
    await expect(page.getByText('Did you mean 1.234 or 1234?')).toBeVisible()
    await page.getByLabel('or type it').fill('99 mm')
    await expect(page.getByText(/Too large/)).toBeVisible()
    await page.getByLabel('or type it').fill('2.9')
    await expect(page.getByText(/Does not come in that size; the nearest is/)).toBeVisible()
    await choose(page, /Size$/, '4 mm · 5/32 in', lines)
    await expect(page.getByTestId('figures')).toContainText('A 4.0 mm bead is larger than this gape of 3.6 mm')
    await page.getByLabel('or type it').fill('7/64 in')
    await expect(page.getByTestId('figures')).not.toContainText('larger than this gape')
    await lines.getByRole('button', { name: /^rib/ }).click()
    const turns = page.getByRole('textbox', { name: 'Turns' })
    await turns.fill('-3')
    await expect(page.getByText('This cannot be below nought.')).toBeVisible()
    await turns.fill('9000')
    await expect(page.getByText('From 0 to 200.')).toBeVisible()
    await expect(lines).toContainText('5 turns')
  })
})
