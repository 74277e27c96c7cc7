import { axeFaults, choose, dragBy, expect, tabTo, test } from './thistle.ts'

/** The depth of a fly that the sheet tells, m. */
async function depthOf(status: { textContent(): Promise<string | null> }, fly: string): Promise<number> {
  const said = (await status.textContent()) ?? ''
  return Number(new RegExp(`${fly} (\\d\\.\\d\\d) m down`).exec(said)?.[1] ?? NaN)
}

const FISHES = /Where it fishes/

test('a rig is typed in a line, asks what it does not understand, says where its flies fish, and is kept', async ({
  page,
}) => {
  await page.goto('/outings')
  await page.getByRole('button', { name: 'Rigs', exact: true }).click()
  await expect(page.getByRole('heading', { level: 1, name: 'Rigs' })).toBeVisible()
  await expect(page.getByRole('button', { name: 'Tight line, one nymph' })).toBeVisible()
  expect(await axeFaults(page)).toEqual([])
  await page.getByRole('button', { name: 'Make a rig' }).click()
  const typed = page.getByRole('textbox', { name: /^From the rod/ })
  const understood = page.getByRole('list', { name: 'What was understood' })
  await typed.fill(
    '2.7 m leader to 0.20, float 12 mm, 60, dropper 15 cm Turned Collar #14 olive, 40 cm 0.14, point Third Button',
  )
  await expect(understood).toContainText('leader of 2.70 m, 0.50 mm to 0.20 mm, nylon (taken as usual: butt')
  await expect(understood).toContainText('“60”: how long? Write “60 cm” or “2 ft”.')
  await expect(understood).toContainText('which fly? Third Button #16 W 2.8')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByRole('alert')).toContainText('Give it a name.')
  await page.getByRole('textbox', { name: 'Name' }).fill('Float in the long run')
  await typed.fill(
    '2.7 m leader to 0.20, float 12 mm, 30 cm 0.16, dropper 15 cm Turned Collar #14 olive, 40 cm 0.14, point Third Button #16 W 2.8',
  )
  await page.getByRole('button', { name: 'under its float or dry' }).click()
  const status = page.getByRole('region', { name: FISHES }).getByRole('status')
  await expect(status).toContainText(/Third Button #16 W 2\.8 0\.\d\d m down, (likely|hardly)/)
  await expect(status).toContainText(
    /It is set to 0\.70 m; for the lowest fly 0\.15 m above the bed set \d\.\d\d m/,
  )
  const before = await depthOf(status, 'W 2.8')
  expect(before).toBeLessThan(0.7)
  // the flies hang in the Column, where they fish
  await expect(page.locator('aside')).toContainText('Button')

  // by keyboard: ten centimetres deeper
  const float = page.getByRole('slider', { name: /^float/ })
  await tabTo(page, float)
  await page.keyboard.press('+')
  await expect(typed).toHaveValue(/40 cm 0\.16/)
  await expect(status).toContainText('It is set to 0.80 m')
  const deeper = await depthOf(status, 'W 2.8')
  expect(deeper).toBeGreaterThan(before)

  // in the opened water it hangs to scale, and its grip sets it too
  await page.keyboard.press('d')
  await page.keyboard.press('d')
  const grip = page.getByRole('slider', { name: 'set to' })
  await expect(grip).toHaveAttribute('aria-valuetext', 'set to 0.80 m')
  await grip.focus()
  await page.keyboard.press('+')
  await expect(status).toContainText('It is set to 0.90 m')
  await expect(grip).toHaveAttribute('aria-valuetext', 'set to 0.90 m')
  await dragBy(page, grip, { x: 0, y: -60 })
  await expect.poll(() => depthOf(status, 'W 2.8')).toBeLessThan(deeper)
  expect(await axeFaults(page)).toEqual([])
  await page.keyboard.press('Escape')
  await expect(grip).toBeHidden()
  const set = await depthOf(status, 'W 2.8')

  // by mouse: dragged up the leader it is set deeper still
  await dragBy(page, float, { x: 0, y: -12 })
  await expect(typed).not.toHaveValue(/40 cm 0\.16/)
  await expect.poll(() => depthOf(status, 'W 2.8')).toBeGreaterThan(set)
  // nothing is left unsaved without a word
  await page.getByRole('button', { name: 'All rigs' }).click()
  await expect(page.getByText(/not saved/).first()).toBeVisible()
  await page.getByRole('button', { name: 'Stay' }).click()
  await page.keyboard.press('Control+s')
  await expect(page.getByRole('button', { name: "Tonight's actions" })).toContainText(
    'Made the rig Float in the long run',
  )
  await expect(page.getByRole('heading', { level: 1, name: 'Float in the long run' })).toBeVisible()
  await expect(page.getByText('not saved')).toBeHidden()
  expect(await axeFaults(page)).toEqual([])

  // on paper it has its parts, its knots and its picture
  await page.evaluate(() => {
    window.print = () => undefined
  })
  await page.getByRole('button', { name: 'Print' }).click()
  const paper = page.locator('section.rig.printed')
  await expect(paper).toContainText('Float in the long run')
  await expect(paper).toContainText('surgeon’s knot')
  await expect(paper.locator('svg')).toHaveCount(1)
})

test('a rig is built by hand, hangs tight or is counted down, and a water forbids it', async ({ page }) => {
  await page.goto('/outings?rig=new')
  await choose(page, /fly \(point/, 'Wet Slate #18 W 2.4')
  const status = page.getByRole('region', { name: FISHES }).getByRole('status')
  await expect(status).toContainText(/Wet Slate #18 W 2\.4 0\.\d\d m down, likely/)
  await expect(status).toContainText(/of the leader are in the water, and enter it at \d\d°/)
  await page.getByRole('button', { name: 'Which of my flies would do' }).click()
  await expect(page.getByRole('status', { name: 'Which of my flies would do' })).toContainText(
    /The lightest point on hand that fishes within 0\.15 m of the bed, and does not lie on it: .+, 0\.\d\d m down/,
  )
  await choose(page, /Add a part/, 'shot')
  await expect(page.getByRole('textbox', { name: /^From the rod/ })).toHaveValue(/shot 100 mg, point Wet Slate/)
  await page.getByRole('button', { name: 'take out: shot, 3' }).click()
  await page.getByRole('button', { name: 'cast and counted down' }).click()
  await expect(status).toContainText(/In still water of 0\.90 m: Wet Slate/)
  // a line of the stores, by what its spool says
  await choose(page, /Add a part/, 'fly line')
  await choose(page, /which of your stores \(fly line/, 'Fly line, sinking, type 2, dark grey')
  await expect(page.getByRole('textbox', { name: /^From the rod/ })).toHaveValue(
    /10\.5 m sinking line 1 mm at 7\.5 cm\/s, 1\.5 m sinking line 0\.78 at 6\.\d cm\/s/,
  )
  await page.getByRole('button', { name: 'cast across and swung' }).click()
  await expect(status).toContainText(
    /At its deepest 0\.\d\d m, \d+ s after the cast; after 30 s it hangs \d+° off/,
  )
  await page.getByRole('button', { name: 'cast and counted down' }).click()
  for (let pieces = 2; pieces > 0; pieces -= 1)
    await page
      .getByRole('button', { name: /^take out: fly line/ })
      .first()
      .click()
  await choose(page, /Add a part/, 'float')
  await expect(status).toContainText('A float or a dry carries it: fish it under that.')

  // at the brook, by the note of its rules
  await page.keyboard.press('Escape')
  await page.locator('#moment').click()
  await choose(page, /Reach$/, 'Lavvel Brook')
  await expect(page.getByText(/Not at Lavvel Brook, by your note of its rules: .*no indicator/)).toBeVisible()
})

test('from a food it is asked which rig fishes where it lives, and how', async ({ page }) => {
  await page.goto('/larder')
  await page.getByRole('button', { name: 'Dark olive, nymph', exact: true }).first().click()
  await page.getByRole('link', { name: /^Which of my rigs fishes from/ }).click()
  await expect(page.getByRole('heading', { level: 1, name: 'Rigs' })).toBeVisible()
  const row = (name: string) => page.getByRole('row').filter({ hasText: name })
  await page.getByRole('textbox', { name: 'From, m' }).fill('0.6')
  await page.getByRole('textbox', { name: 'to, m' }).fill('0.8')
  await page.getByRole('textbox', { name: 'to, m' }).press('Tab')
  await expect(row('Float over the shoal')).toContainText(/Grain of Doubt #12 red: set it to 0\.\d\d m/)
  await expect(row('Tight line, team of two')).toContainText(
    /Turned Collar #14 olive is there as it is, 0\.\d\d m down/,
  )
  await expect(row('Slow sinker')).toContainText('counted down in still water, not in a run')
  await expect(row('Brook, one dry')).toContainText('it fishes on the surface')
  expect(await axeFaults(page)).toEqual([])
  // what the note of a water forbids is never proposed
  await page.locator('#moment').click()
  await choose(page, /Reach$/, 'Lavvel Brook')
  await expect(row('Float over the shoal')).toContainText('Not at Lavvel Brook, by your note of its rules')
  await expect(row('Float over the shoal')).not.toContainText('set it to')
})

test('from a fly it is asked which rig brings it to its food, and a rig is made so', async ({ page }) => {
  await page.goto('/patterns')
  await page.getByRole('link', { name: 'Third Button', exact: true }).click()
  await page.getByRole('button', { name: 'Where it fishes' }).click()
  await page
    .getByRole('link', { name: /^Which of my rigs bring it to 0\.\d m to 0\.\d m, where trout take/ })
    .click()
  await expect(page.getByText(/^With Third Button #\d+ .*, on the point of each rig/)).toBeVisible()
  const row = (name: string) => page.getByRole('row').filter({ hasText: name })
  await expect(row('Float over the shoal')).toContainText(/Third Button #\d+ .*: set it to \d\.\d\d m/)
  // what ends in a dry has no point to put it on
  await expect(row('Brook, one dry')).toHaveCount(0)
  await page.getByRole('button', { name: 'Float over the shoal' }).click()
  await expect(page.getByRole('textbox', { name: 'Name' })).toHaveValue('Float over the shoal, Third Button')
  await expect(page.getByRole('textbox', { name: /^From the rod/ })).toHaveValue(/point Third Button #\d+/)
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(
    page.getByRole('heading', { level: 1, name: 'Float over the shoal, Third Button' }),
  ).toBeVisible()
  // its knots are of today, and it is found by its name
  await page.getByRole('button', { name: 'Knots tied anew today' }).click()
  await expect(page.getByText(/Tied Thu 4 June, not fished since: trusted as new\./)).toBeVisible()
  await page.keyboard.press('/')
  await page.getByRole('combobox', { name: 'Find anything' }).fill('shoal thir')
  await page.keyboard.press('Enter')
  await expect(page).toHaveURL(/rig=[0-9a-f-]{36}$/)
})

test('in the Tank two whole rigs sink side by side and are retrieved, by the second', async ({ page }) => {
  await page.goto('/tank')
  const rigs = page.getByRole('region', { name: /^Whole rigs/ })
  await choose(page, /A rig/, 'Slow sinker', rigs)
  await choose(page, /Beside it/, 'Floating line', rigs)
  const slow = rigs.getByRole('table', { name: /Slow sinker/ })
  const depthAt = async (row: number) =>
    Number(
      /(\d\.\d\d) m/.exec(
        (await slow.getByRole('row').nth(row).getByRole('cell').nth(1).textContent()) ?? '',
      )?.[1],
    )
  // with what is likely
  await expect(slow.getByRole('row').nth(5)).toContainText(/\d\.\d\d m–\d\.\d\d m/)
  expect(await depthAt(2)).toBeLessThan(await depthAt(5))
  await expect(rigs.getByRole('img', { name: 'Slow sinker, two flies, 20 s' })).toContainText('Turned Collar')
  await rigs.getByRole('slider').focus()
  await page.keyboard.press('ArrowRight')
  await expect(rigs.getByRole('img', { name: 'Floating line, long leader, 21 s' })).toBeVisible()
  // pulled at once it stays higher
  const before = await depthAt(8)
  await rigs.getByRole('textbox', { name: 'Count, s' }).fill('2')
  await rigs.getByRole('textbox', { name: 'Pause, s' }).fill('0')
  await rigs.getByRole('textbox', { name: 'Pause, s' }).press('Tab')
  await expect.poll(() => depthAt(8)).toBeLessThan(before - 0.3)
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    rigs.getByRole('button', { name: 'Save the table' }).click(),
  ])
  expect(download.suggestedFilename()).toBe('rigs.csv')
  expect(await axeFaults(page)).toEqual([])
})

test('a count that was made corrects the line of its rig, and is put away again', async ({ page }) => {
  await page.goto('/outings?rig=')
  await page.getByRole('button', { name: 'Slow sinker, two flies' }).click()
  const where = page.getByRole('region', { name: FISHES })
  await where.getByRole('textbox', { name: /^Water here/ }).fill('6')
  await where.getByRole('textbox', { name: /^Water here/ }).press('Tab')
  const status = where.getByRole('status').first()
  const counts = page.getByRole('region', { name: 'Counts that you made' })
  await expect(counts).toContainText(/3\.00 m: you counted 66, by its spool \d\d \(14\.0 °C\)/)
  await expect(counts.getByRole('status')).toContainText(/^By one count its line is taken to sink \d+ % slower/)
  await expect(status).toContainText(/Turned Collar #12 olive \d\.\d\d m down, likely/)
  // long enough for the line to lead: at first a slower line lets the fly go deeper
  await where.getByRole('slider', { name: /Count/ }).fill('50')
  await expect(status).toContainText(/Turned Collar #12 olive [23]\.\d\d m down, likely/)
  const corrected = await depthOf(status, '#12 olive')
  await counts.getByRole('button', { name: /^Put away: 3\.00 m/ }).click()
  await expect(counts).not.toContainText('you counted')
  await expect.poll(() => depthOf(status, '#12 olive')).toBeGreaterThan(corrected)
  await counts.getByRole('textbox', { name: /^It touched at/ }).fill('4')
  await counts.getByRole('textbox', { name: /^After/ }).fill('58')
  await counts.getByRole('button', { name: 'Keep the count' }).click()
  await expect(counts).toContainText('4.00 m: you counted 58')
  expect(await axeFaults(page)).toEqual([])
})

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 } })
  test('a rig is read within the screen', async ({ page }) => {
    await page.goto('/outings?rig=')
    await page.getByRole('button', { name: 'Dry with a dropper below' }).click()
    const free = page.getByRole('region', { name: 'How long it drifts free' })
    await expect(free.getByRole('status')).toContainText(/drifts free for about \d\.\d s, \d\.\d s to \d\.\d s/)
    await free.getByRole('textbox', { name: 'Slack, in 100' }).fill('30')
    await free.getByRole('textbox', { name: 'Slack, in 100' }).blur()
    await expect(free.getByRole('status')).toContainText(/drifts free for about [3-9]\.\d s/)
    const status = page.getByRole('region', { name: FISHES }).getByRole('status')
    await expect(status).toContainText(
      /The dry goes \d\d cm\/s where the surface goes \d\d cm\/s\. It bears \d\d mg\./,
    )
    const beyond = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)
    expect(beyond).toBeLessThanOrEqual(0)
    expect(await axeFaults(page)).toEqual([])
  })
})
