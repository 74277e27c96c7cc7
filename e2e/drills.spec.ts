import type { Page } from '@playwright/test'
import type { DrillsView } from '../contract/index.ts'
import { axeFaults, expect, tabTo, test } from './thistle.ts'

const choices = (page: Page) => page.getByRole('group', { name: 'Your answer' }).getByRole('button')

test('how deep after a count, by keyboard: each answer with its reason, and what was missed comes again', async ({
  page,
  request,
}) => {
  await page.goto('/outings')
  await tabTo(page, page.getByRole('link', { name: 'Drills' }))
  await page.keyboard.press('Enter')
  await tabTo(page, page.getByRole('button', { name: 'Start: how deep after a count' }))
  await page.keyboard.press('Enter')
  let missed = 0
  for (let n = 0; n < 4; n += 1) {
    await expect(choices(page).first()).toBeFocused()
    if (n === 0) expect(await axeFaults(page)).toEqual([])
    await page.keyboard.press('Enter')
    // what is marked as right is what the reason comes to
    const reason = await page.getByRole('status').filter({ hasText: 'seconds make' }).innerText()
    const [, depth = ''] = /make ([\d.]+ (?:m|cm))/.exec(reason) ?? []
    await expect(choices(page).filter({ hasText: '✓' })).toHaveText(`${depth} ✓`)
    if (reason.startsWith('Not so.')) missed += 1
    await expect(page.getByRole('button', { name: 'Next' })).toBeFocused()
    await page.keyboard.press('Enter')
  }
  await tabTo(page, page.getByRole('button', { name: 'Stop' }))
  await page.keyboard.press('Enter')
  await expect(page.getByRole('status').filter({ hasText: /missed/i })).toContainText(
    missed > 0 ? 'Missed, and asked again first' : 'Nothing was missed',
  )
  await page.keyboard.press('Enter')
  await expect(page.getByRole('row', { name: /How deep after a count/ })).not.toContainText('not begun')
  const kept = async () => ((await (await request.get('/api/drills')).json()) as DrillsView).standings.howDeep ?? []
  await expect.poll(async () => (await kept()).length).toBeGreaterThan(0)
  expect((await kept()).filter(({ isMissed }) => isMissed).length).toBeLessThanOrEqual(missed)
}) // prettier-ignore

for (const name of [
  'how a fly sits after a cut',
  'what is taken like this',
  'dun or spent',
  'where to land before a cruiser',
  'the beat of a rise',
  'the hook for a natural',
  'which fly for these signs',
])
  test(`${name}: asked of the demo’s own, answered with a reason, and kept where the drill is left`, async ({
    page,
    request,
  }) => {
    await page.goto('/outings/drills')
    await page.getByRole('button', { name: `Start: ${name}` }).click()
    await choices(page).nth(1).click()
    await expect(choices(page).filter({ hasText: '✓' })).toHaveCount(1)
    await expect(page.getByRole('status').filter({ hasText: /^(Right|Not so)\. ./ })).toBeVisible()
    expect(await axeFaults(page)).toEqual([])
    await page.getByRole('link', { name: 'All outings' }).click()
    await expect
      .poll(async () =>
        Object.values(((await (await request.get('/api/drills')).json()) as DrillsView).standings).flat().length,
      )
      .toBe(1)
  }) // prettier-ignore
