import { chooseByKeys, expect, tabTo, test } from './thistle.ts'

test('by keyboard alone: a drop timed with the space bar, a fly trimmed, a weighting found', async ({
  page,
}) => {
  await page.goto('/tank')
  await page.getByRole('heading', { name: 'Drop tests' }).waitFor()
  await chooseByKeys(page, /Fly that is dropped/, 'Wet Slate #18')
  await tabTo(page, page.getByRole('button', { name: 'Time it with the space bar' }))
  await page.keyboard.press('Enter')
  const times = page.getByLabel('Times, s')
  await page.getByRole('button', { name: 'Start', exact: true }).waitFor()
  // focus leaves the buttons, which keep the space bar for themselves
  await page.evaluate(() => (document.activeElement as HTMLElement).blur())
  for (let drop = 0; drop < 3; drop += 1) {
    await page.keyboard.press('Space')
    await expect(page.getByText('Falling.')).toBeVisible()
    await page.waitForTimeout(400)
    await page.keyboard.press('Space')
    await expect(times).toHaveValue(new RegExp(`^(\\d+\\.\\d\\d ?){${drop + 1}}$`))
  }
  await tabTo(page, page.getByRole('button', { name: 'Keep the test' }))
  await page.keyboard.press('Enter')
  const tests = page.getByRole('table', { name: 'Drop tests, predicted against measured' })
  await expect(tests.getByRole('row').nth(1)).toContainText('Wet Slate #18')
  await expect(tests.getByRole('row').nth(1)).toContainText(/Nothing on a hook|cm\/s/)

  await page.goto('/patterns')
  await tabTo(page, page.getByRole('link', { name: 'Kettle Lid', exact: true }))
  await page.keyboard.press('Enter')
  await tabTo(page, page.getByRole('button', { name: 'Trim it' }))
  await page.keyboard.press('Enter')
  await tabTo(page, page.getByRole('button', { name: 'Cut to 50 %, the pattern itself' }))
  await page.keyboard.press('Enter')
  await expect(page.getByText('not saved')).toBeVisible()
  await tabTo(page, page.getByRole('button', { name: 'Save', exact: true }))
  await page.keyboard.press('Enter')
  // flies of it lie in a box: they stay as they were
  await tabTo(page, page.getByRole('button', { name: /^From now on so/ }))
  await page.keyboard.press('Enter')
  await expect(page.getByText('not saved')).toBeHidden()

  await page.goto('/patterns')
  await tabTo(page, page.getByRole('link', { name: 'Third Button', exact: true }))
  await page.keyboard.press('Enter')
  await tabTo(page, page.getByRole('button', { name: 'Find a weighting' }))
  await page.keyboard.press('Enter')
  await tabTo(page, page.getByRole('button', { name: 'Find weightings' }))
  await page.keyboard.press('Enter')
  await expect(page.getByText(/^The best of/)).toBeVisible()
  await tabTo(page, page.getByRole('button', { name: 'Make a variant of no. 1', exact: true }))
  await page.keyboard.press('Enter')
  await expect(page.getByRole('table', { name: 'Variants' }).getByRole('row')).toHaveCount(7)
})
