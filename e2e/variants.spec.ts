import { axeFaults, expect, test } from './thistle.ts'

test('tabbing through the variants chooses none of them; Enter and a click do', async ({ page }) => {
  await page.goto('/patterns')
  await page.getByRole('link', { name: 'Damp Straw', exact: true }).first().click()
  const look = (label: string) => page.getByRole('button', { name: `Look at ${label}`, exact: true })
  await expect(look('#16 olive')).toHaveAttribute('aria-pressed', 'true')
  await look('#16 olive').focus()
  for (let n = 0; n < 9; n += 1) await page.keyboard.press('Tab')
  await expect(look('#16 olive')).toHaveAttribute('aria-pressed', 'true')
  await look('#18 olive').focus()
  await page.keyboard.press('Enter')
  await expect(look('#18 olive')).toHaveAttribute('aria-pressed', 'true')
  await expect(look('#16 olive')).toHaveAttribute('aria-pressed', 'false')
  await page.getByRole('table', { name: 'Variants' }).getByRole('row').nth(2).getByRole('cell').last().click()
  await expect(look('#14 olive')).toHaveAttribute('aria-pressed', 'true')
  expect(await axeFaults(page)).toEqual([])
})
