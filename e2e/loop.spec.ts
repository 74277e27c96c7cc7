import { expect, tabTo, test } from './thistle.ts'
import type { Page } from '@playwright/test'

const FLY = 'Paper Lantern #10 2XL'
const lastAction = (page: Page) => page.getByRole('button', { name: "Tonight's actions" })
const mayfly = (page: Page) =>
  page
    .getByRole('table', { name: 'Cover' })
    .getByRole('row', { name: /Large burrowing mayfly/ })
    .getByRole('button', { name: /^dun/ })

async function pressButton(page: Page, name: string | RegExp): Promise<void> {
  await tabTo(page, page.getByRole('button', { name }))
  await page.keyboard.press('Enter')
}

test('from a hole in the box to a full one: cover, plan, queue, bench by keyboard, box, losses, restock', async ({
  page,
}) => {
  // what is thin
  await page.goto('/boxes?view=cover')
  await expect(mayfly(page)).toContainText(/0 hole/)

  // what to tie for the coming outing, and when
  await page.goto('/ahead')
  await expect(page.getByText(/^No plan beats it/)).toBeVisible()
  const row = page
    .getByRole('table', { name: 'To tie before Sat 6 June' })
    .getByRole('row', { name: new RegExp(FLY) })
  await row.getByRole('button', { name: /^Queue/ }).click()
  await expect(lastAction(page)).toContainText(`Queued 2 ${FLY}`)

  // at the bench, by keyboard
  await page.keyboard.press('6')
  await page.getByRole('heading', { name: 'Bench', level: 1 }).waitFor()
  const queued = page.getByRole('listitem').filter({ hasText: FLY })
  await tabTo(page, queued.getByRole('button', { name: 'Put on the vise' }))
  await page.keyboard.press('Enter')
  await expect(page.getByRole('region', { name: new RegExp(`At the vise: ${FLY}`) })).toBeFocused()
  await page.keyboard.press('c')
  await expect(page.getByTestId('count')).toContainText('1 of 2 done')
  await page.keyboard.press('c')
  await expect(page.getByTestId('count')).toContainText('2 of 2 done')
  await pressButton(page, /^Finish: 2 into/)
  await expect(lastAction(page)).toContainText(`Tied 2 ${FLY}`)

  // covered
  await page.goto('/boxes?view=cover')
  await expect(mayfly(page)).toContainText(/2 (?:short|covered)/)

  // the outing takes two of them
  await page.goto('/outings')
  await page.getByRole('button', { name: 'Empty the pockets' }).first().click()
  const gone = page.getByRole('button', { name: `One ${FLY} missing` })
  await gone.click()
  await gone.click()
  await page.getByRole('button', { name: 'Write down as lost' }).click()
  await expect(page.getByText(`Written down: 2 ${FLY} (bottom)`)).toBeVisible()

  // and the box asks for them again
  await page.goto('/boxes')
  await page.getByRole('button', { name: /^All \d+$/ }).click()
  await expect(page.getByRole('region', { name: 'Short' }).getByRole('link', { name: FLY })).toBeVisible()
  await expect(page.getByText(/Stores allow 0: short of Barred flank/).first()).toBeVisible()
})

test('by stations: each step over the whole batch, what was spoiled and why, and no connection in between', async ({
  page,
  context,
  pageErrors,
}) => {
  await page.goto('/boxes')
  await page.getByRole('button', { name: /^Tie 3 Coal Scuttle/ }).click()
  await page.getByRole('heading', { level: 2, name: 'Slide the bead on' }).waitFor()
  await page.getByRole('button', { name: 'By stations instead' }).click()
  await expect(page.getByText('0 of 3 through this step')).toBeVisible()
  const vise = page.getByRole('region', { name: /At the vise/ })
  await vise.focus()
  for (let n = 1; n <= 2; n += 1) {
    await page.keyboard.press('c')
    await expect(page.getByText(`${n} of 3 through this step`)).toBeVisible()
  }
  await page.keyboard.press('c')
  // the last of them: on to the next step
  await expect(page.getByRole('heading', { level: 2, name: 'Start the thread' })).toBeVisible()
  await page.keyboard.press('x')
  await expect(page.getByTestId('count')).toContainText('1 spoiled')
  await expect(page.getByRole('group', { name: 'Why was it spoiled' })).toBeVisible()
  await page.keyboard.press('1')
  await expect(page.getByRole('group', { name: 'Why was it spoiled' })).toBeHidden()
  await expect(page.getByText('0 of 2 through this step')).toBeVisible()
  await page.getByRole('button', { name: 'One at a time instead' }).click()
  await page.getByRole('button', { name: 'By stations instead' }).waitFor()
  await context.setOffline(true)
  await vise.focus()
  await page.keyboard.press('c')
  await expect(page.getByTestId('count')).toContainText('1 of 3 done')
  await page.keyboard.press('c')
  await expect(page.getByTestId('count')).toContainText('2 of 3 done')
  await context.setOffline(false)
  await page.reload()
  await expect(page.getByTestId('count')).toContainText('2 of 3 done, 1 spoiled')
  await page.reload()
  await expect(page.getByTestId('count')).toContainText('2 of 3 done, 1 spoiled')
  expect(pageErrors.filter((text) => !text.includes('ERR_INTERNET_DISCONNECTED'))).toEqual([])
  pageErrors.length = 0
})
