import { expect, test } from './thistle.ts'

test('a hole of the Column is dragged to the vise, or queued by B, and waits at the bench', async ({
  page,
}) => {
  await page.goto('/')
  const hole = page.getByRole('button', { name: /^hole: .* queues \d/ }).first()
  await expect(hole).toBeVisible()
  const said = (await hole.getAttribute('aria-label')) ?? ''
  const [, fly, count] = /, ([^,]+) would serve .* queues (\d+)$/.exec(said) ?? []
  await hole.dragTo(page.getByText('Nothing on the vise'))
  const last = page.getByRole('button', { name: "Tonight's actions" })
  await expect(last).toContainText(`Queued ${count} ${fly}`)
  await page
    .getByRole('contentinfo', { name: 'Tray' })
    .getByRole('button', { name: 'Undo', exact: true })
    .click()
  await expect(last).not.toContainText(`Queued ${count} ${fly}`)
  await hole.focus()
  await page.keyboard.press('b')
  await expect(last).toContainText(`Queued ${count} ${fly}`)
  await page.goto('/bench')
  await expect(page.getByRole('main')).toContainText(fly ?? 'no fly')
})
