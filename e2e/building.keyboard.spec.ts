import { axeFaults, chooseByKeys, expect, tabTo, test } from './thistle.ts'
import type { Page } from '@playwright/test'

const lines = (page: Page) => page.getByRole('list', { name: 'Dressing in tying order' })
const figures = (page: Page) => page.getByTestId('figures')

async function begin(page: Page, name: string): Promise<void> {
  await page.keyboard.press('Escape')
  await page.keyboard.press('4')
  await page.getByRole('heading', { name: 'Patterns', level: 1 }).waitFor()
  await page.keyboard.press('n')
  await page.getByLabel('Name', { exact: true }).waitFor()
  await page.keyboard.type(name)
}
async function fromForm(page: Page, form: string): Promise<void> {
  await tabTo(page, page.getByRole('button', { name: form, exact: true }))
  await page.keyboard.press('Enter')
  await expect(lines(page).getByRole('listitem').first()).toBeVisible()
}
async function typeLine(page: Page, line: string): Promise<void> {
  const field = page.getByRole('form', { name: 'Type a line' }).getByLabel('Type a line')
  await tabTo(page, field)
  await page.keyboard.type(line)
  await page.keyboard.press('Enter')
  await expect(field).toHaveValue('')
}
async function save(page: Page, name: string): Promise<void> {
  await tabTo(page, page.getByRole('button', { name: 'Save', exact: true }))
  await page.keyboard.press('Enter')
  await expect(page.getByRole('button', { name: "Tonight's actions" })).toContainText(`Made ${name}`)
}

test('by keyboard alone: a balanced leech, a tungsten jig, a tufted emerger and a foam dry', async ({
  page,
}) => {
  await page.goto('/')
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Tonight')

  await begin(page, 'Heather Leech')
  await fromForm(page, 'marabou leech')
  await tabTo(page, lines(page).getByRole('button', { name: /^bead/ }))
  await page.keyboard.press('Enter')
  await tabTo(page, page.getByLabel('Pin before the eye, mm'))
  await page.keyboard.press('Control+a')
  await page.keyboard.type('4')
  await expect(figures(page)).toContainText(/level with the bead .+ before the eye/)
  await save(page, 'Heather Leech')

  await begin(page, 'Bracken Jig')
  await chooseByKeys(page, /Hook: bend, length, wire/, 'Hook, jig, eye bent up by 60°')
  await typeLine(page, 'bead: tungsten slotted 7/64 in copper')
  await typeLine(page, 'thread: nylon 70 denier olive')
  await typeLine(page, 'tail: 6 speckled cock, ⅔ shank')
  await typeLine(page, 'body: hare, slim, from 0.3 to 1')
  await expect(lines(page)).toContainText('6 fibres, ⅔ shank')
  await expect(figures(page)).toContainText('sinks')
  const form = page.getByRole('form', { name: 'Type a line' })
  await tabTo(page, form.getByLabel('Type a line'))
  await page.keyboard.type('rib: copper wire, some turns')
  await page.keyboard.press('Enter')
  await expect(form).toContainText('Settle what it asks first.')
  await page.keyboard.press('Control+a')
  await page.keyboard.press('Delete')
  await page.keyboard.press('Escape')
  // a bead up and down the rungs, and back to the one that was typed
  const rung = page.getByRole('status', { name: 'Another rung' })
  // the ladder is there once what was typed last is worked out
  await expect(async () => {
    await page.keyboard.press('Alt+ArrowDown')
    await expect(rung).toContainText('tungsten →', { timeout: 500 })
  }).toPass()
  await page.keyboard.press('Escape')
  await expect(rung).toBeHidden()
  await save(page, 'Bracken Jig')

  await begin(page, 'Sedge Lantern')
  await fromForm(page, 'tufted emerger')
  await expect(figures(page)).toContainText('hanging below the film')
  await save(page, 'Sedge Lantern')

  await begin(page, 'Peat Beetle')
  await fromForm(page, 'foam beetle')
  await expect(figures(page)).toContainText('Lighter than water')
  expect(await axeFaults(page)).toEqual([])
  await save(page, 'Peat Beetle')
})
