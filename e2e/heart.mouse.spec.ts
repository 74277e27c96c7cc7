import { axeFaults, choose, dragBy, expect, test } from './thistle.ts'
import type { Page } from '@playwright/test'

const figures = (page: Page) => page.getByTestId('figures')

async function openPattern(page: Page, name: string): Promise<void> {
  await page.goto('/patterns')
  // rows grow as their drawings come
  await page.waitForLoadState('networkidle')
  await page.getByRole('link', { name, exact: true }).click()
  await page.getByRole('heading', { name, level: 1 }).waitFor()
}

test('the finder gets two metres down in six seconds at 8 °C, and makes the variant', async ({ page }) => {
  await openPattern(page, 'Third Button')
  await page.getByRole('button', { name: 'Find a weighting' }).click()
  const form = page.getByRole('form', { name: 'Find a weighting' })
  await form.getByLabel('in water of').fill('8')
  await form.getByRole('button', { name: 'Find weightings' }).click()
  await expect(form.getByText(/^The best of/)).toBeVisible()
  const found = form.getByRole('table', { name: 'Weightings found' })
  await expect(found).toContainText('the lightest that does it')
  expect(await axeFaults(page)).toEqual([])
  await found.getByRole('button', { name: 'Make a variant of no. 1', exact: true }).click()
  await expect(page.getByRole('table', { name: 'Variants' }).getByRole('row')).toHaveCount(7)
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByText('not saved')).toBeHidden()
})

test('a drop test narrows the band and moves relatives, and undo takes it back', async ({ page }) => {
  await openPattern(page, 'Wet Slate')
  const before = await figures(page).textContent()
  expect(before).toContain('est.')
  const relatives = page.getByRole('table', { name: 'Variants' })
  const ridesBefore = await relatives.textContent()
  await page.goto('/tank')
  const form = page.getByRole('form', { name: 'A drop test' })
  await choose(page, /Fly that is dropped/, 'Wet Slate #18 W 2.4', form)
  await choose(page, /Timed by/, 'frames of a film', form)
  await form.getByLabel('Depth').fill('wide')
  await expect(form).toContainText('Write a figure.')
  await form.getByLabel('Depth').fill('1.2')
  await form.getByLabel('Times, s').fill('4.1 4.2 4,1')
  await form.getByRole('button', { name: 'Keep the test' }).click()
  const tests = page.getByRole('table', { name: 'Drop tests, predicted against measured' })
  await expect(tests.getByRole('row').nth(1)).toContainText('Wet Slate #18 W 2.4')
  expect(await axeFaults(page)).toEqual([])
  await openPattern(page, 'Wet Slate')
  await expect(figures(page)).toContainText('timed')
  await expect(relatives).not.toHaveText(ridesBefore ?? '')
  await page
    .getByRole('contentinfo', { name: 'Tray' })
    .getByRole('button', { name: 'Undo', exact: true })
    .click()
  await expect(figures(page)).toHaveText(before ?? '')
})

test('hooks are weighed and a fly is timed by simulated instruments, and told as such', async ({ page }) => {
  await page.goto('/tank')
  const weighing = page.getByRole('form', { name: 'A weighing' })
  await choose(page, /On the scale/, /Hook, jig, eye bent up by 60° 16/, weighing)
  await weighing.getByRole('button', { name: 'Weigh it on the simulated scale' }).click()
  await expect(weighing.getByLabel('All together')).toHaveValue(/mg$/)
  await expect(weighing).toContainText('simulated: no scale is connected')
  await weighing.getByRole('button', { name: 'Keep the weighing' }).click()
  const kept = page.getByRole('table', { name: 'Weighings against the catalogue' })
  await expect(kept.getByRole('row').nth(1)).toContainText('simulated')

  const drop = page.getByRole('form', { name: 'A drop test' })
  await choose(page, /Fly that is dropped/, 'Third Button #16 B 2.8', drop)
  for (let n = 1; n <= 3; n += 1) {
    await drop.getByRole('button', { name: 'Drop it through simulated gates' }).click()
    await expect(drop.getByLabel('Times, s')).toHaveValue(new RegExp(`^(\\d+\\.\\d\\d ?){${n}}$`))
  }
  await expect(drop).toContainText('two light gates')
  await drop.getByRole('button', { name: 'Keep the test' }).click()
  await expect(
    page.getByRole('table', { name: 'Drop tests, predicted against measured' }).getByRole('row').nth(1),
  ).toContainText(/Third Button #16 B 2.8.*Simulated gates/)
})

test('a hook is matched against the screen, and every fly on it moves', async ({ page }) => {
  await openPattern(page, 'Coal Scuttle')
  const before = await figures(page).textContent()
  await page.goto('/stores')
  await page.getByLabel('Find a material').fill('hook, jig')
  await page
    .getByRole('button', { name: /bent up by 60°, #10/ })
    .first()
    .click()
  const sheet = page.getByRole('region', { name: 'Measured hook' })
  await sheet.getByRole('button', { name: 'Wire: more' }).click()
  await sheet.getByRole('button', { name: 'Wire: more' }).click()
  await sheet.getByRole('textbox', { name: 'Shank, mm' }).fill('half an ell')
  await expect(sheet).toContainText('This is no figure.')
  await sheet.getByRole('textbox', { name: 'Shank, mm' }).fill('12.4')
  expect(await axeFaults(page)).toEqual([])
  await sheet.getByRole('button', { name: 'Keep these measures' }).click()
  await expect(sheet).toContainText('Measured by you.')
  await openPattern(page, 'Coal Scuttle')
  await expect(figures(page)).not.toHaveText(before ?? '')
})

test.describe('what only reads', () => {
  test.use({ onlyReads: true })

  test('a second mark is dragged to a depth, and the rung that is there is made', async ({ page }) => {
    await openPattern(page, 'Third Button')
    const grip = page.locator('.grip[data-drags="true"]').first()
    await dragBy(page, grip, { x: 0, y: 60 }, { x: 4, y: 6 })
    const rung = page.getByRole('status', { name: 'Another rung' })
    await expect(rung).toContainText('2.8 tungsten →')
    const promised = /: (falls \d+ cm\/s) where it/.exec((await rung.textContent()) ?? '')?.[1]
    await rung.getByRole('button', { name: 'Make it' }).click()
    await expect(page.getByText('not saved')).toBeVisible()
    await expect(rung).toBeHidden()
    // what was promised is what the made fly says, at the head of its sheet and among its sisters
    await expect(page.getByTestId('fall')).toHaveText(promised!.replace('falls ', ''))
    await expect(page.getByRole('table', { name: 'Variants' }).getByRole('row').last()).toContainText(promised!)
  })

  test('a tufted emerger is trimmed until it hangs lower, by clicks', async ({ page }) => {
    await openPattern(page, 'Kettle Lid')
    await expect(figures(page)).toContainText('hanging below the film')
    const before = await figures(page).textContent()
    await page.getByRole('button', { name: 'Trim it' }).click()
    const cuts = page.getByRole('table', { name: 'What each cut does' })
    await expect(cuts.getByRole('row')).toHaveCount(10)
    await expect(cuts).toContainText('it sinks')
    expect(await axeFaults(page)).toEqual([])
    await cuts.getByRole('button', { name: 'Cut to 75 %, the pattern itself' }).click()
    await expect(figures(page)).not.toHaveText(before ?? '')
    await expect(page.getByText('not saved')).toBeVisible()
  })

  test('where a fly fishes: under a float, on a tight line and counted down, and what to set, lead and count', async ({
    page,
  }) => {
    await page.goto('/patterns')
    await page.getByRole('link', { name: 'Third Button', exact: true }).click()
    await page.getByRole('button', { name: 'Where it fishes' }).click()
    const float = page.getByRole('region', { name: 'Where it fishes' })
    const said = float.getByRole('status').first()
    await expect(said).toContainText(
      /At Bridge Reach: Set at 1\.17 m it drifts 0\.\d\d m down, likely 0\.\d\d m to/,
    )
    const [, toSet] = /above the bed set (\d\.\d\d) m/.exec((await said.textContent()) ?? '') ?? []
    await float.getByLabel('leader below it, m').fill(toSet ?? '')
    await float.getByLabel('leader below it, m').blur()
    // set so, it passes 15 cm over the bed of 0.9 m
    await expect(said).toContainText(new RegExp(`Set at ${toSet} m it drifts 0\\.7[456] m down`))
    await float.getByLabel('float, across, mm').fill('5')
    await float.getByLabel('float, across, mm').blur()
    await expect(said).toContainText('It is drawn under')
    await float.getByRole('button', { name: 'On a tight line' }).click()
    await expect(said).toContainText(/Led at \d\d cm\/s it hangs 0\.\d\d m down, likely 0\.\d\d m to/)
    const [, toLead] = /above the bed lead it at (\d+) cm\/s/.exec((await said.textContent()) ?? '') ?? []
    await float.getByLabel('led at, cm/s').fill(toLead ?? '')
    await float.getByLabel('led at, cm/s').blur()
    await expect(said).toContainText(new RegExp(`Led at ${toLead} cm/s it hangs 0\\.7[3-7] m down`))
    await float.getByRole('button', { name: 'Counted down' }).click()
    await float.getByLabel('water, deep, m').fill('6')
    await float.getByLabel('wanted at, m').fill('2')
    await choose(page, /fly line/, 'sinking')
    await expect(float.getByRole('row')).toHaveCount(8)
    await expect(float.getByRole('row').nth(3)).toContainText(/^15\d\.\d\d m\d\.\d\d m to \d\.\d\d m/)
    await expect(said).toContainText(/To 2\.00 m count \d+\./)
    await float.getByRole('button', { name: 'Find count and retrieve' }).click()
    await expect(float.getByRole('status').last()).toContainText(/^Count \d+, then strip 0\.30 m at \d+ cm\/s/)
    expect(await axeFaults(page)).toEqual([])
  })

  test('six flies fall in the tank, pause and step', async ({ page }) => {
    await page.goto('/tank')
    await choose(page, /Put another fly in/, 'Coal Scuttle #10 W 4.0')
    await choose(page, /Put another fly in/, 'Cold Tea #10 pale')
    const clock = page.getByRole('group', { name: 'Time in the tank' }).locator('output')
    await page.getByRole('button', { name: 'Let them fall' }).click()
    await expect(clock).not.toHaveText('0.0 s')
    await page.getByRole('button', { name: 'Pause' }).click()
    const paused = await clock.textContent()
    await page.getByRole('button', { name: 'A tenth of a second on' }).click()
    await expect(clock).not.toHaveText(paused ?? '')
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Save the table' }).click(),
    ])
    expect(download.suggestedFilename()).toBe('tank.csv')
    const [picture] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Save the picture' }).click(),
    ])
    expect(picture.suggestedFilename()).toBe('tank.png')
    expect(await axeFaults(page)).toEqual([])
  })

  test('the finder hangs a jig level on a pin, by its own weight', async ({ page }) => {
    await openPattern(page, 'Third Button')
    await page.getByRole('button', { name: 'Find a weighting' }).click()
    const form = page.getByRole('form', { name: 'Find a weighting' })
    await choose(page, /It is to/, 'hang level from its eye', form)
    await form.getByRole('button', { name: 'Find weightings' }).click()
    await expect(form.getByText(/^The best of/)).toBeVisible()
    const found = form.getByRole('table', { name: 'Weightings found' })
    await expect(found.getByRole('columnheader', { name: 'pin' })).toBeVisible()
    await expect(found).toContainText('the cheapest')
    await found.getByRole('button', { name: 'Make a variant of no. 1', exact: true }).click()
    await expect(figures(page)).toContainText('hangs level')
    await expect(page.getByRole('table', { name: 'Sizes and weights' })).toContainText(/on \d+(\.\d)? mm/)
  })
})
