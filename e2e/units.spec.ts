import { expect, test } from './thistle.ts'

test('units follow the user everywhere', async ({ page }) => {
  await page.goto('/settings')
  await page.getByRole('button', { name: /Fall/ }).click()
  await page.getByRole('option', { name: 'in/s' }).click()
  await page.goto('/patterns')
  await expect(page.getByRole('table', { name: 'Patterns and their variants' })).toContainText('in/s')
  await page.goto('/tank')
  await expect(page.locator('#sheet')).toContainText('in/s')
})
