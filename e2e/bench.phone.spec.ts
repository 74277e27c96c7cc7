import { axeFaults, expect, test } from './thistle.ts'

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true })

test('the bench on a phone: large targets, nothing cut off, counts kept through a lost connection and a closed tab', async ({
  page,
  context,
  pageErrors,
}) => {
  await page.goto('/boxes')
  await page.getByRole('button', { name: /^Tie 3 Coal Scuttle/ }).tap()
  await expect(page.getByRole('heading', { level: 2, name: 'Slide the bead on' })).toBeVisible()
  for (const name of ['Next step', 'Count one done', 'One spoiled', 'Pause']) {
    const box = await page.getByRole('button', { name, exact: true }).boundingBox()
    expect(box?.height, name).toBeGreaterThanOrEqual(48)
    expect((box?.x ?? 999) + (box?.width ?? 999), name).toBeLessThanOrEqual(390)
  }
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  expect(await axeFaults(page)).toEqual([])

  await page.getByRole('button', { name: 'Count one done' }).tap()
  await expect(page.getByTestId('count')).toContainText('1 of 3 done')

  await context.setOffline(true)
  await page.getByRole('button', { name: 'Count one done' }).tap()
  await expect(page.getByRole('status')).toContainText('The server does not answer. One thing is kept here')
  await page.close()
  await context.setOffline(false)

  const later = await context.newPage()
  await later.goto(new URL('/bench', page.url() === 'about:blank' ? '' : page.url()).href)
  await expect(later.getByTestId('count')).toContainText('2 of 3 done')
  await later.reload()
  await expect(later.getByTestId('count')).toContainText('2 of 3 done')
  expect(pageErrors.filter((text) => !text.includes('ERR_INTERNET_DISCONNECTED'))).toEqual([])
  pageErrors.length = 0
})
