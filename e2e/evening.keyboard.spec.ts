import { chooseByKeys, expect, tabTo, test } from './thistle.ts'
import type { Page } from '@playwright/test'

const PATTERN = 'Dusk Ledger'
const press = (page: Page, key: string) => page.keyboard.press(key)
const lastAction = (page: Page) => page.getByRole('button', { name: "Tonight's actions" })

/** Tab to a button and press it with Enter. */
async function pressButton(page: Page, name: string | RegExp): Promise<void> {
  await tabTo(page, page.getByRole('button', { name }))
  await press(page, 'Enter')
}

/** Tab to a field, clear it and type. */
async function typeInto(page: Page, label: string | RegExp, text: string): Promise<void> {
  await tabTo(page, page.getByRole('textbox', { name: label }))
  await press(page, 'Control+a')
  await page.keyboard.type(text)
}

async function add(page: Page, kind: string): Promise<void> {
  await chooseByKeys(page, /Add to the dressing/, kind)
}

test('an evening by keyboard alone: design, tie, box, lose, restock, undo', async ({ page }) => {
  await page.goto('/')
  await expect(page.getByRole('list', { name: 'What tonight asks for' })).toContainText('of 10 fish at')

  // design
  await press(page, '4')
  await expect(page.getByRole('heading', { level: 1, name: 'Patterns' })).toBeVisible()
  await press(page, 'n')
  await expect(page.getByRole('textbox', { name: 'Name', exact: true })).toBeFocused()
  await page.keyboard.type(PATTERN)
  await chooseByKeys(page, /Hook: bend, length, wire/, 'Hook, jig, eye bent up by 60')
  await chooseByKeys(page, /Size/, '#14')
  await add(page, 'bead')
  await chooseByKeys(page, /Material$/, 'Tungsten alloy bead, slotted')
  await typeInto(page, 'or type it', '3,3')
  await expect(page.getByText('understood: 3.3 mm')).toBeVisible()
  await add(page, 'thread')
  await add(page, 'body')
  await expect(page.getByTestId('fall')).toHaveText(/\d+ cm\/s/)
  await typeInto(page, 'Name of the variant', '#14 W 3.3')
  await chooseByKeys(page, /Lives in, #14 W 3.3/, 'Dale Box: Midges, leaf')
  await pressButton(page, 'Save')
  await expect(lastAction(page)).toContainText(`Made ${PATTERN}`)
  await expect(page.getByRole('table', { name: 'Foods that it serves' })).toContainText(
    /too large|right size|too small/,
  )

  // tie six
  await pressButton(page, 'Put on the vise')
  const vise = page.getByRole('region', { name: /At the vise/ })
  await expect(vise).toBeFocused()
  await expect(page.getByRole('heading', { level: 2, name: 'Slide the bead on' })).toBeVisible()
  await press(page, 'Space')
  await expect(page.getByRole('heading', { level: 2, name: 'Start the thread' })).toBeVisible()
  await press(page, 'Space')
  await expect(page.getByRole('heading', { level: 2, name: 'Wind the body' })).toBeVisible()
  await press(page, 'Backspace')
  await expect(page.getByRole('heading', { level: 2, name: 'Start the thread' })).toBeVisible()
  for (let n = 1; n <= 6; n += 1) {
    await press(page, 'c')
    await expect(page.getByTestId('count')).toContainText(`${n} of 6 done`)
  }
  await press(page, 'x')
  await expect(page.getByTestId('count')).toContainText('1 spoiled')
  await press(page, 'p')
  await expect(page.getByRole('button', { name: 'Go on', exact: true })).toBeVisible()
  await press(page, 'p')
  await pressButton(page, /^Finish: 6 into Midges, leaf/)
  await expect(lastAction(page)).toContainText(`Tied 6 ${PATTERN}`)

  // lose four on the outing
  await press(page, '8')
  await expect(page.getByRole('heading', { level: 1, name: 'Outings' })).toBeVisible()
  await pressButton(page, 'Empty the pockets')
  const gone = page.getByRole('button', { name: `One ${PATTERN} #14 W 3.3 missing` })
  await tabTo(page, gone)
  for (let n = 0; n < 4; n += 1) await press(page, 'Enter')
  await expect(page.getByText('four gone')).toBeVisible()
  await pressButton(page, 'Write down as lost')
  await expect(page.getByText(`Written down: 4 ${PATTERN} #14 W 3.3 (bottom)`)).toBeVisible()

  // one below what is kept: tie it from the hole
  await press(page, '7')
  await expect(page.getByRole('heading', { level: 1, name: 'Boxes' })).toBeVisible()
  await pressButton(page, /^All \d+$/)
  await pressButton(page, `Tie 1 ${PATTERN} #14 W 3.3 now`)
  await expect(vise).toBeFocused()

  // undo each
  const undone = async (expected: string) => {
    await press(page, 'Control+z')
    await expect(lastAction(page)).toContainText(expected)
  }
  await undone('Lost 4')
  await undone(`Tied 6 ${PATTERN}`)
  await undone('Spoiled 1')
  await expect(page.getByTestId('count')).toContainText('6 of 6 done')
})
