import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { Locator, Page } from '@playwright/test'
import { startProcess } from './serving.ts'
import { axeFaults, expect, test } from './thistle.ts'

/** A hand that counts what it does. */
function counting(page: Page) {
  const done = { clicks: 0, fields: 0 }
  return {
    done,
    click: async (target: Locator) => {
      done.clicks += 1
      await target.click()
    },
    fill: async (label: string, text: string) => {
      done.fields += 1
      await page.getByLabel(label, { exact: true }).fill(text)
    },
  }
}

test('from nothing to a tied hole in at most twelve clicks and five fields; the lines stay until each is done', async ({
  browser,
}) => {
  const folder = await mkdtemp(join(tmpdir(), 'thistle-first-'))
  const own = await startProcess('main', folder)
  const page = await browser.newPage()
  await page.goto(own.address)
  const lines = page.getByRole('list', { name: 'The first evening' })
  await expect(lines.getByRole('listitem')).toHaveCount(3)
  // nothing is wrong before a key was pressed
  await expect(page.getByRole('alert')).toHaveCount(0)
  expect(await axeFaults(page)).toEqual([])
  const { done, click, fill } = counting(page)
  await click(page.getByRole('link', { name: 'name it' }))
  await expect(page.getByText(/^! |is missing|Fill in/)).toHaveCount(0)
  await fill('Name', 'Back Lane Beck')
  await fill('Usual depth, m', '60 cm')
  await fill('Surface speed, m/s', '0,5')
  await click(page.getByRole('button', { name: 'Add the water' }))
  await expect(page.getByRole('heading', { level: 2, name: /Back Lane Beck/ })).toBeVisible()
  await click(page.getByRole('link', { name: /^Tonight/ }))
  await expect(lines).toContainText('My next water is Back Lane Beck')
  await expect(lines).toContainText('Next: a reading')
  await click(lines.getByRole('link', { name: /^a first fly for: / }))
  await click(page.getByRole('group', { name: 'Start from a form' }).getByRole('button').first())
  await fill('Name', 'First Try')
  await expect(page.getByTestId('figures')).toBeVisible()
  await click(page.getByRole('button', { name: 'Save', exact: true }))
  const place = page.getByRole('group', { name: 'Its first place' })
  await click(place.getByRole('button', { name: 'Tie 3 now' }))
  await expect(page.getByTestId('count')).toContainText('0 of 3')
  for (let n = 1; n <= 3; n += 1) {
    await click(page.getByRole('button', { name: 'Count one done' }))
    await expect(page.getByTestId('count')).toContainText(`${n} of 3`)
  }
  // counting stops at the batch, and the way on is to finish
  await expect(page.getByRole('button', { name: 'Count one done' })).toBeDisabled()
  await click(page.getByRole('button', { name: '3 of 3: finish' }))
  await expect(page.getByText('The vise is empty.')).toBeVisible()
  expect(done.clicks).toBeLessThanOrEqual(12)
  expect(done.fields).toBeLessThanOrEqual(5)
  await page.keyboard.press('1')
  await expect(lines).toHaveCount(0)
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Tonight')
  await page.close()
  await own.stop()
  await rm(folder, { recursive: true, force: true })
})

test('the valley opens from the empty start in a server of its own, and ends with it', async ({ browser }) => {
  const folder = await mkdtemp(join(tmpdir(), 'thistle-valley-'))
  const own = await startProcess('main', join(folder, 'own'))
  const page = await browser.newPage()
  await page.goto(own.address)
  await page.getByRole('button', { name: 'look round the valley' }).click()
  const link = page.getByRole('link', { name: /^look round the valley/ })
  await expect(link).toBeVisible({ timeout: 120_000 })
  const address = (await link.getAttribute('href')) ?? ''
  expect(new URL(address).origin).not.toBe(new URL(own.address).origin)
  const frame = (await fetch(`${address}/api/frame`).then((answer) => answer.json())) as { isDemo: boolean }
  expect(frame.isDemo).toBe(true)
  // from the valley itself no other is opened
  const again = await fetch(`${address}/api/valley`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json', Origin: address },
    body: '{}',
  })
  expect(again.status).toBe(404)
  await page.close()
  await own.stop()
  await expect
    .poll(() =>
      fetch(`${address}/api/alive`).then(
        () => true,
        () => false,
      ),
    )
    .toBe(false)
  await rm(folder, { recursive: true, force: true })
})
