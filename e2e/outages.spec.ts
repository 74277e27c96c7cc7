import { randomFrom } from '../core/index.ts'
import { countThroughOutages, putOnVise } from './outages.ts'
import { expect, test } from './thistle.ts'

// a hundred of up to twenty seconds: npm run bench -- outages
test('what is counted through outages arrives, in order and once', async ({ page, pageErrors }) => {
  await putOnVise(page)
  await page.goto('/bench')
  const report = await countThroughOutages(page, { count: 5, shortestMs: 300, longestMs: 1500 }, randomFrom(7))
  expect(report.pressed).toBeGreaterThan(9)
  expect(report.booked).toBe(report.pressed)
  await page
    .getByRole('status')
    .getByText(/kept here/)
    .waitFor({ state: 'detached' })
  pageErrors.length = 0
})
