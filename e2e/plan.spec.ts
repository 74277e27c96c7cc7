import { axeFaults, expect, test } from './thistle.ts'
import type { Page } from '@playwright/test'

const saturday = (page: Page) => page.getByRole('table', { name: 'To tie before Sat 6 June' })

test('from a hole to the evening: a plan is made, changed, kept, and queued', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('heading', { name: /^Tonight/ }).waitFor()
  await page.getByRole('button', { name: 'Ahead' }).click()
  await page.getByRole('heading', { name: 'Ahead', level: 1 }).waitFor()
  await expect(page.getByText(/^No plan covers more/)).toBeVisible({ timeout: 30_000 })
  await expect(saturday(page).getByRole('row').nth(1)).toBeVisible()
  expect(await axeFaults(page)).toEqual([])
  const first = saturday(page).getByRole('row').nth(1)
  const name = (await first.getByRole('link').textContent()) ?? ''
  await first.getByRole('button', { name: `Leave ${name} out` }).click()
  await expect(saturday(page).getByRole('link', { name, exact: true })).toHaveCount(0)
  await page.getByRole('button', { name: `${name} – let it back` }).click()
  await expect(saturday(page).getByRole('link', { name, exact: true })).toHaveCount(1)
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save for a calendar' }).click(),
  ])
  expect(download.suggestedFilename()).toBe('bench-evenings.ics')
  await page.getByRole('group', { name: 'Time at the bench' }).getByLabel('Minutes an evening').fill('30')
  await expect(page.getByText('of 60 minutes at the bench')).toBeVisible()
  const waiting = page.getByRole('link', { name: /Bench/ })
  const before = await waiting.textContent()
  await page
    .getByRole('region', { name: 'Before Sat 6 June' })
    .getByRole('button', { name: 'Queue all of it' })
    .click()
  await expect(waiting).not.toHaveText(before ?? '')
})

test('what the boxes cover: foods against flies, what serves each, and where', async ({ page }) => {
  await page.goto('/boxes')
  await page.getByRole('button', { name: 'What they cover' }).click()
  const grid = page.getByRole('table', { name: 'Cover' })
  const dun = grid.getByRole('row', { name: /Large burrowing mayfly, dun/ })
  await expect(dun).toContainText('hole', { timeout: 20_000 })
  await dun.getByRole('button').click()
  await expect(grid).toContainText('Paper Lantern #10 2XL')
  await expect(grid.getByRole('row', { name: /Dark olive, nymph/ })).toContainText('covered')
  expect(await axeFaults(page)).toEqual([])
})

test('by keyboard: Tonight’s digit once more opens what lies ahead', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('heading', { name: /^Tonight/ }).waitFor()
  await page.keyboard.press('1')
  await page.getByRole('heading', { name: 'Ahead', level: 1 }).waitFor()
  await page.keyboard.press('1')
  await page.getByRole('heading', { name: /^Tonight/ }).waitFor()
})
