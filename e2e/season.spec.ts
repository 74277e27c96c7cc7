import { axeFaults, chooseByKeys, expect, tabTo, test } from './thistle.ts'
import type { Page } from '@playwright/test'

const ahead = (page: Page) => page.getByRole('table', { name: 'Water in the weeks to come' })
async function openReach(page: Page, name: string): Promise<void> {
  await page.goto('/waters')
  await page.getByRole('link', { name, exact: true }).click()
  await page.getByRole('heading', { name, level: 1 }).waitFor()
  await ahead(page).waitFor()
}

test('a temperature file is looked at, taken in, and moves the forecast; putting it away takes it back', async ({
  page,
}) => {
  await openReach(page, 'The Stairs')
  await expect(page.getByText(/borrowed from the other reaches/)).toBeVisible()
  expect(await axeFaults(page)).toEqual([])
  const before = await ahead(page).textContent()
  const group = page.getByRole('group', { name: 'A table of readings' })
  const file = (name: string, text: string) =>
    group
      .getByLabel('A file of readings')
      .setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) })
  await file('bad.csv', 'date;water\n2026-02-31;4,0\n2026-06-01;54\n2026-06-02;9,1\n')
  await expect(group).toContainText('There is no such day as 2026-02-31.')
  await expect(group).toContainText('Water of 54?')
  await expect(group).toContainText('Nothing is taken in until all are.')
  await file('empty.csv', '')
  await expect(group).toContainText('There is nothing in it.')
  const days = Array.from({ length: 40 }, (_, i) => `${new Date(Date.UTC(2026, 3, 26 + i)).toISOString().slice(0, 10)};${(4 + i / 10).toFixed(1).replace('.', ',')}`) // prettier-ignore
  await file('stairs.csv', ['day;°C', ...days].join('\n'))
  await expect(group).toContainText(
    '40 readings from Sun 26 April 2026 to Thu 4 June 2026, from 4.0 °C to 7.9 °C.',
  )
  await group.getByRole('button', { name: 'Take them in' }).click()
  const taken = page.getByRole('table', { name: 'Readings taken in' })
  await expect(taken.getByRole('row').nth(1)).toContainText('from a file')
  await expect(ahead(page)).not.toHaveText(before ?? '')
  await expect(page.getByText(/from 40 days of readings here/)).toBeVisible()
  await taken.getByRole('button', { name: /^Put the readings/ }).click()
  await expect(ahead(page)).toHaveText(before ?? '')
})

test('a note moves the window of a food, says how far, and undo takes it back', async ({ page }) => {
  await page.goto('/larder?view=year')
  // a year is worked out cold
  await expect(page.getByRole('region', { name: 'Foods through the year' })).toBeVisible()
  expect(await axeFaults(page)).toEqual([])
  for (const [button, name] of [
    ['Save the table', 'bridge-reach-2026.csv'],
    ['Save for a calendar', 'bridge-reach-2026.ics'],
  ] as const) {
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: button }).click(),
    ])
    expect(download.suggestedFilename()).toBe(name)
  }
  await page.getByLabel('Find a food').fill('evening olive')
  await page.getByRole('button', { name: 'Evening olive, dun' }).click()
  const section = page.getByRole('region', { name: 'When it is about' })
  await expect(section).toContainText(/first between .+ usually/)
  const before = await section
    .getByText(/first between/)
    .first()
    .textContent()
  const form = section.getByRole('form', { name: 'Note it' })
  await form.getByLabel('on', { exact: true }).fill('2025-05-20')
  await form.getByLabel('minutes looked').fill('ninety')
  await expect(form).toContainText('Whole minutes.')
  await form.getByLabel('minutes looked').fill('90')
  await form.getByRole('button', { name: 'Note it' }).click()
  await expect(section).toContainText('Without your notes:')
  await expect(section).toContainText(/They move it \d+ days earlier\./)
  await expect(section.getByText(/first between/).first()).not.toHaveText(before ?? '')
  expect(await axeFaults(page)).toEqual([])
  // a note that was wrong is changed where it stands
  await section.getByRole('button', { name: 'Change the note of Tue 20 May 2025' }).click()
  const change = section.getByRole('form', { name: 'Change the note' })
  await expect(change.getByLabel('minutes looked')).toHaveValue('90')
  await change.getByLabel('on', { exact: true }).fill('2025-05-28')
  await change.getByRole('button', { name: 'change it' }).click()
  await expect(section.getByRole('table', { name: 'Notes of it' })).toContainText('Wed 28 May 2025')
  await expect(section.getByRole('table', { name: 'Notes of it' })).not.toContainText('Tue 20 May 2025')
  await page
    .getByRole('contentinfo', { name: 'Tray' })
    .getByRole('button', { name: 'Undo', exact: true })
    .click()
  await expect(section.getByRole('table', { name: 'Notes of it' })).toContainText('Tue 20 May 2025')
  // and a food can be ruled out on a water
  const lives = page.getByRole('group', { name: /Whether it lives in/ })
  await lives.getByRole('button', { name: 'not here' }).click()
  await expect(page.getByText(/No fish to speak of are on it/)).toBeVisible()
  await lives.getByRole('button', { name: 'as it is found' }).click()
  await page
    .getByRole('contentinfo', { name: 'Tray' })
    .getByRole('button', { name: 'Undo', exact: true })
    .click()
  await page
    .getByRole('contentinfo', { name: 'Tray' })
    .getByRole('button', { name: 'Undo', exact: true })
    .click()
  await page
    .getByRole('contentinfo', { name: 'Tray' })
    .getByRole('button', { name: 'Undo', exact: true })
    .click()
  await expect(section.getByText(/first between/).first()).toHaveText(before ?? '')
})

test('by keyboard alone: a reading is kept, a day and an hour are opened, and the Column fills', async ({
  page,
}) => {
  await page.goto('/waters')
  await tabTo(page, page.getByRole('link', { name: 'Bridge Reach', exact: true }))
  await page.keyboard.press('Enter')
  await page.getByRole('heading', { name: 'Bridge Reach', level: 1 }).waitFor()
  const before = await ahead(page).textContent()
  await tabTo(page, page.getByRole('form', { name: 'One reading' }).getByLabel('Water, °C'))
  await page.keyboard.type('54')
  await expect(page.getByRole('form', { name: 'One reading' })).toContainText(/Too large|54/)
  await page.keyboard.press('Control+a')
  await page.keyboard.type('60 F')
  await page.keyboard.press('Enter')
  await expect(ahead(page)).not.toHaveText(before ?? '')
  await page.keyboard.press('Escape')
  await page.keyboard.press('3')
  await page.getByRole('heading', { name: 'Larder', level: 1 }).waitFor()
  await tabTo(page, page.getByRole('button', { name: 'The day' }))
  await page.keyboard.press('Enter')
  const hours = page.getByRole('table', { name: 'Foods by the hour' })
  await expect(hours.getByRole('row').nth(1)).toBeVisible()
  const column = page.getByRole('complementary', { name: 'Water column' })
  await tabTo(page, page.locator('#moment'))
  await page.keyboard.press('Enter')
  await chooseByKeys(page, /Weather/, 'dull')
  await chooseByKeys(page, /The water is/, 'rising')
  await expect(page.locator('#moment')).toContainText('rising · dull')
  await tabTo(page, page.getByRole('button', { name: 'Done' }))
  await page.keyboard.press('Enter')
  await page.reload()
  await expect(page.locator('#moment')).toContainText('rising · dull')
  await expect(hours.getByRole('row').nth(1)).toContainText('Earthworm')
  const noon = await column.textContent()
  for (let hour = 0; hour < 7; hour += 1) await page.keyboard.press('.')
  await expect(column).toContainText('20:00')
  await expect(column).not.toHaveText(noon ?? '')
  expect(await axeFaults(page)).toEqual([])
})

test('a food is changed in a form, moves what is likely, refuses a slip at its field, and goes back to what shipped', async ({
  page,
  pageErrors,
}) => {
  await page.goto('/larder')
  await page.getByLabel('Find a food').fill('large burrowing')
  await page.getByRole('link', { name: /Large burrowing mayfly, dun/ }).or(page.getByRole('button', { name: /Large burrowing mayfly, dun/ })).first().click() // prettier-ignore
  const likely = page.getByText(/at Bridge Reach at this moment/)
  const before = await likely.textContent()
  await page.getByRole('button', { name: 'Change', exact: true }).click()
  const freestone = page.getByRole('textbox', { name: 'freestone river' })
  await freestone.fill('12')
  await expect(page.getByText('From 0 to 10.')).toBeVisible()
  await freestone.fill('10')
  const shortest = page.getByRole('textbox', { name: 'Shortest in Jun, mm' })
  await shortest.fill('40')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByRole('alert')).toContainText('months 5: The shorter length comes first.')
  await shortest.fill('15')
  expect(await axeFaults(page)).toEqual([])
  await page
    .getByRole('link', { name: /Tonight/ })
    .first()
    .click()
  await expect(page.getByText('This is not saved.')).toBeVisible()
  await page.getByRole('button', { name: 'Stay' }).click()
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(likely).not.toHaveText(before ?? '')
  await expect(page.getByText('changed by you')).toBeVisible()
  await page.getByRole('button', { name: 'Change', exact: true }).click()
  await page.getByRole('button', { name: 'Go back to what shipped' }).click()
  await expect(likely).toHaveText(before ?? '')
  pageErrors.splice(0)
})

test('the year of a water: its ice, its thermocline by keys, and where a fly is of use on it', async ({
  page,
}) => {
  await page.goto('/waters')
  await page.getByRole('button', { name: 'Look at Drop-off' }).click()
  const thermocline = page.getByRole('slider', { name: 'Depth of the thermocline' })
  await expect(thermocline).toHaveAttribute('aria-valuetext', 'thermocline 5.5 m')
  await thermocline.focus()
  await page.keyboard.press('ArrowUp')
  await expect(page.getByRole('textbox', { name: 'Thermocline of Drop-off' })).toHaveValue('5.3 m')
  await page
    .getByRole('contentinfo', { name: 'Tray' })
    .getByRole('button', { name: 'Undo', exact: true })
    .click()
  await expect(page.getByRole('textbox', { name: 'Thermocline of Drop-off' })).toHaveValue('5.5 m')
  const tarn = page.locator('section', { has: page.getByRole('heading', { name: /Skelf Tarn/ }) })
  await expect(tarn).toContainText('ice gone about 2 Apr')
  await tarn.getByRole('button', { name: 'Change', exact: true }).click()
  const ice = tarn.getByRole('textbox', { name: 'Ice gone, month-day' })
  await ice.fill('13-01')
  await expect(tarn).toContainText('Month and day, as 04-02.')
  await ice.fill('04-10')
  await ice.press('Tab')
  await expect(tarn).toContainText('ice gone about 10 Apr')
  expect(await axeFaults(page)).toEqual([])
  await page.goto('/patterns')
  await page.getByRole('link', { name: 'Cold Tea' }).first().click()
  await page.getByRole('button', { name: 'Show when and where it is of use' }).click()
  const year = page.getByRole('region', { name: 'Through the year' })
  await expect(year.getByRole('img', { name: /Bridge Reach: of use at most/ })).toBeVisible()
  await expect(year).toContainText(/\(.+, about \d+ \w+\)/)
})
