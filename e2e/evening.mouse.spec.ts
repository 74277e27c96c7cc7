import { axeFaults, choose, expect, test } from './thistle.ts'
import type { Page } from '@playwright/test'

const PATTERN = 'Wool Gatherer'

async function addComponent(page: Page, kind: string): Promise<void> {
  await choose(page, /Add to the dressing|Add a component/, new RegExp(`^${kind}$`))
}
const lines = (page: Page) => page.getByRole('list', { name: 'Dressing in tying order' })
const fall = async (page: Page) => Number.parseFloat((await page.getByTestId('fall').textContent()) ?? '')
const pressUndo = (page: Page) =>
  page.getByRole('contentinfo', { name: 'Tray' }).getByRole('button', { name: 'Undo', exact: true }).click()
const lastAction = (page: Page) => page.getByRole('button', { name: "Tonight's actions" })

async function design(page: Page): Promise<void> {
  await page.getByRole('link', { name: 'Patterns 40' }).click()
  await page.getByRole('button', { name: 'New pattern' }).click()
  await page.getByLabel('Name', { exact: true }).fill(PATTERN)
  await choose(page, /Hook: bend, length, wire/, 'Hook, jig, eye bent up by 60°')
  await choose(page, /^#\d+ Size|Size/, '#16')

  await addComponent(page, 'bead')
  await choose(page, /Material$/, 'Tungsten alloy bead, slotted', lines(page))
  await page.getByLabel('or type it').fill('7/64 in')
  await expect(page.getByText('understood: 2.8 mm · 7/64 in')).toBeVisible()
  await addComponent(page, 'thread')
  await addComponent(page, 'tail')
  await addComponent(page, 'body')
  await addComponent(page, 'rib')
  await page.getByRole('textbox', { name: 'Turns' }).fill('6')
  await addComponent(page, 'collar')
  await expect(lines(page)).toContainText('bead: Tungsten alloy bead, slotted, 2.8 mm · 7/64 in')
  await expect(lines(page)).toContainText('6 turns')
}

test('an evening by mouse: from a hole to a restocked box, and all of it taken back', async ({ page }) => {
  await page.goto('/')
  // what the water asks for, what is lacking, what to tie
  const tonight = page.getByRole('list', { name: 'What tonight asks for' })
  await expect(tonight).toContainText('of 10 fish at Bridge Reach')
  await expect(tonight).toContainText('Paper Lantern #10 2XL: 0 of 3')
  await expect(tonight).toContainText(/Tie \w+ /)

  // design a pattern; figures follow at once
  await design(page)
  await expect(page.getByTestId('figures')).toContainText('in water')
  const tungsten = await fall(page)
  expect(tungsten).toBeGreaterThan(25)
  await lines(page).getByRole('button', { name: /^bead/ }).click()
  await choose(page, /Material$/, 'Brass bead, slotted', lines(page))
  await expect.poll(() => fall(page)).toBeLessThan(tungsten)
  await choose(page, /Material$/, 'Tungsten alloy bead, slotted', lines(page))
  await expect.poll(() => fall(page)).toBeCloseTo(tungsten, 0)
  await page.getByLabel('Imitates: find a food').fill('dark olive, nymph')
  await page.getByRole('button', { name: '+ Dark olive, nymph' }).click()
  await page.getByLabel('Name of the variant').first().fill('#16 W 2.8')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(lastAction(page)).toContainText(`Made ${PATTERN}`)
  await expect(page.getByText('not saved')).toBeHidden()

  // copies in one action: next size, other bead, other colour
  await page.getByRole('button', { name: 'a size smaller' }).click()
  await expect(page.getByLabel('Name of the variant').nth(1)).toHaveValue('#18 W 2.4')
  await choose(page, /Copy with another bead/, 'Brass bead, slotted')
  await expect(page.getByLabel('Name of the variant').nth(2)).toHaveValue(/^#18 B/)
  await page
    .getByRole('group', { name: 'Copy in another colour' })
    .getByRole('button', { name: /Colour$/ })
    .click()
  // the last of them is a colour of one's own
  const last = page.getByRole('option').nth(-2)
  const colour = (await last.textContent()) ?? ''
  await last.click()
  await expect(page.getByLabel('Name of the variant').nth(3)).toHaveValue(new RegExp(`${colour}$`))
  const table = page.getByRole('table', { name: 'Variants' })
  await table
    .getByRole('button', { name: /Lives in/ })
    .first()
    .click()
  await page.getByRole('option', { name: 'Dale Box: Spinners, leaf' }).click()
  await table.getByRole('textbox').nth(1).fill('9')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(lastAction(page)).toContainText(`Saved ${PATTERN}`)

  // which foods it serves, and where it is off, in words
  const serves = page.getByRole('table', { name: 'Foods that it serves' })
  await expect(serves).toContainText('meant for it')
  await expect(serves).toContainText(/right size|too large|too small/)
  await expect(serves).toContainText(/gets to its depth|too slow|too fast/)
  expect(await axeFaults(page)).toEqual([])

  // a batch of six through the steps
  await table.getByLabel('Name of the variant').first().click()
  await page.getByRole('button', { name: 'Put on the vise' }).click()
  await expect(page.getByRole('heading', { level: 2, name: 'Slide the bead on' })).toBeVisible()
  const steps = [
    'Start the thread',
    'Tie in the tail',
    'Tie in the rib',
    'Wind the body',
    'Rib it in open turns',
    'Wind the collar',
    'Build a small head',
  ]
  for (const step of steps) {
    await page.getByRole('button', { name: 'Next step' }).click()
    await expect(page.getByRole('heading', { level: 2, name: new RegExp(`^${step}`) })).toBeVisible()
  }
  expect(await axeFaults(page)).toEqual([])
  for (let n = 1; n <= 6; n += 1) {
    await page.getByRole('button', { name: 'Count one done' }).click()
    await expect(page.getByTestId('count')).toContainText(`${n} of 6 done`)
  }
  await page.getByRole('button', { name: 'Finish: 6 into Spinners, leaf' }).click()
  await expect(lastAction(page)).toContainText(`Tied 6 ${PATTERN} #16 W 2.8 into Spinners, leaf`)

  // they lie in the box, and the hooks are out of the stores: 6 − 6
  await page.getByRole('link', { name: 'Boxes', exact: false }).first().click()
  await expect(page.getByRole('img', { name: `${PATTERN} #16 W 2.8: 6 of 9` }).first()).toBeVisible()
  await page.getByRole('link', { name: 'Stores', exact: false }).first().click()
  await page.getByLabel('Find a material').fill('eye bent up by 60°, #16')
  await expect(page.getByRole('button', { name: /Hook, jig, eye bent up by 60°, #16/ })).toContainText('out')

  // two lost on the outing
  await page.getByRole('link', { name: /Outings/ }).click()
  await page.getByRole('button', { name: 'Empty the pockets' }).first().click()
  const gone = page.getByRole('button', { name: `One ${PATTERN} #16 W 2.8 missing` })
  await gone.click()
  await gone.click()
  await choose(page, /Where they went/, 'tree')
  await page.getByRole('button', { name: 'Write down as lost' }).click()
  await expect(page.getByText(`Written down: 2 ${PATTERN} #16 W 2.8 (tree)`)).toBeVisible()

  // below what is kept: a batch from there, with what is short
  await page.getByRole('link', { name: 'Boxes', exact: false }).first().click()
  await page.getByRole('button', { name: /^All \d+$/ }).click()
  const hole = page.getByRole('listitem').filter({ hasText: `${PATTERN} #16 W 2.8` })
  await expect(hole).toContainText('Stores allow 0: short of Hook, jig, eye bent up by 60°, #16')
  await hole.getByRole('button', { name: /^Tie \d/ }).click()
  await expect(page.getByRole('heading', { level: 2, name: 'Slide the bead on' })).toBeVisible()

  // and all of it taken back
  await pressUndo(page)
  await expect(page.getByText('The vise is empty.')).toBeVisible()
  await pressUndo(page)
  await expect(lastAction(page)).toContainText(`Tied 6 ${PATTERN}`)
  await page.getByRole('link', { name: 'Boxes', exact: false }).first().click()
  await expect(page.getByRole('img', { name: `${PATTERN} #16 W 2.8: 6 of 9` }).first()).toBeVisible()
  await pressUndo(page)
  await expect(page.getByRole('img', { name: `${PATTERN} #16 W 2.8: 0 of 9` }).first()).toBeVisible()
  await expect(lastAction(page)).toContainText('Counted 1')
  for (let n = 0; n < 6; n += 1) {
    await pressUndo(page)
    await expect(page.getByRole('link', { name: `${PATTERN} #16 W 2.8, ${5 - n} of 6` })).toBeVisible()
  }
  await pressUndo(page)
  await expect(page.getByText('Nothing on the vise')).toBeVisible()
  await expect(lastAction(page)).toContainText(`Saved ${PATTERN}`)
  await pressUndo(page)
  await expect(lastAction(page)).toContainText(`Made ${PATTERN}`)
  await pressUndo(page)
  await page.getByRole('link', { name: /Patterns 40/ }).click()
  await expect(page.getByRole('link', { name: PATTERN })).toHaveCount(0)
})
