import type { APIRequestContext, Locator, Page } from '@playwright/test'
import type { BoxesView, OutingsView, ReachSeasonView } from '../contract/index.ts'
import { packedForSaturday, SATURDAY } from './packed.ts'
import { chooseByKeys, expect, tabTo, test } from './thistle.ts'

const part = (page: Page, name: string) => page.getByRole('region', { name })
const saturday = async (request: APIRequestContext) =>
  ((await (await request.get('/api/outings')).json()) as OutingsView).outings.find(({ on }) => on === SATURDAY)
/** How many of a fly lie in all boxes. */
async function onHand(request: APIRequestContext, fly: string): Promise<number> {
  const { boxes } = (await (await request.get('/api/boxes')).json()) as BoxesView
  return boxes
    .flatMap(({ compartments }) => compartments)
    .flatMap(({ flies }) => flies)
    .filter(({ patternName, label }) => `${patternName} ${label}` === fly)
    .reduce((sum, { count }) => sum + count, 0)
}

test.describe('an outing, from the evening before to the box', () => {
  test.describe('by touch, with the page from a file where there is no network', () => {
    test.use({ viewport: { width: 390, height: 844 }, hasTouch: true })

    test('is packed, fished, taken in and put away', async ({ page, browser, request }, info) => {
      // the evening before
      await page.goto('/outings')
      await page.getByRole('link', { name: 'Sat 6 June 2026' }).tap()
      await page.getByRole('button', { name: 'Pack it' }).tap()
      await page.getByRole('button', { name: /Into$/ }).tap()
      await page.getByRole('option', { name: /Bench tray/ }).tap()
      await page.getByRole('button', { name: 'What that day asks for' }).tap()
      await page.getByRole('button', { name: /^Pack \d+ flies/ }).tap()
      await expect(part(page, 'Flies for it')).toContainText('Bench tray')
      const packed = (await saturday(request))?.packed ?? []
      expect(packed.length).toBeGreaterThan(3)
      const saving = page.waitForEvent('download')
      await page.getByRole('link', { name: 'Take along' }).tap()
      const file = info.outputPath('along.html')
      await (await saving).saveAs(file)

      // at the water
      const hand = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true })
      await hand.setOffline(true)
      const there = await hand.newPage()
      await there.goto(`file://${file}`)
      const step = (name: string) => there.getByRole('group', { name: 'What to do now' }).getByRole('button', { name })
      await there.getByRole('button', { name: 'Start watching' }).tap()
      await there.getByRole('button', { name: 'Water: colder' }).tap()
      // one tap less than is reckoned of the water, and what fish are on follows
      await expect(there.getByText(/°C colder than reckoned: the shares follow it|as reckoned/)).toBeVisible()
      await there.getByRole('button', { name: 'Snout and a bubble left behind', exact: true }).tap()
      await step('Put on').tap()
      const choice = part(there, 'What to put on')
      const fly = await choice.locator('strong').first().innerText()
      expect(packed.map(({ patternName, label }) => `${patternName} ${label}`)).toContain(fly)
      await choice.getByRole('button', { name: 'Tie it on' }).first().tap()
      await there.getByRole('button', { name: /^Clean drift/ }).tap()
      await there.getByRole('button', { name: 'landed' }).tap()
      await there.getByRole('button', { name: 'tree' }).tap()
      const logging = there.waitForEvent('download')
      await there.getByRole('button', { name: 'Save the log' }).tap()
      const log = info.outputPath('log.txt')
      await (await logging).saveAs(log)
      await hand.close()

      // home again
      const before = await onHand(request, fly)
      await page.goto(`/outings/${(await saturday(request))?.id}?face=after`)
      const intake = part(page, 'A log from a phone')
      await intake.getByLabel('Its file').setInputFiles(log)
      await expect(intake).toContainText('1 spell and 1 loss')
      await intake.getByRole('button', { name: 'Take in' }).tap()
      await expect(page.getByRole('table', { name: 'Noted at the water' }).getByText('taken in')).toHaveCount(2)
      expect(await onHand(request, fly)).toBe(before - 1)

      // and the pockets: what nobody noted is missing too
      await page.getByRole('button', { name: 'Empty the pockets' }).tap()
      const missing = page.getByRole('button', { name: /^One (?!less).* missing$/ }).first()
      await missing.tap()
      await page.getByRole('button', { name: 'Write down as lost' }).tap()
      await expect(page.getByText(/^Written down: /)).toBeVisible()
      await page.getByRole('button', { name: 'Done', exact: true }).tap()
      await expect(part(page, 'What it moved')).toContainText('2 flies in 0.0 h')
      const done = await saturday(request)
      expect(done?.status).toBe('done')
      expect(done?.losses.reduce((sum, { count }) => sum + count, 0)).toBe(2)
      expect(done?.spells).toMatchObject([{ takes: 1 }])
      await page.goto('/outings')
      await page.getByRole('button', { name: 'Unpack' }).tap()
      await expect.poll(async () => (await saturday(request))?.packed).toEqual([])
    })
  })

  test('by keyboard at a desk, without the network in between', async ({ page, request, context, pageErrors }) => {
    const press = async (target: Locator) => {
      await tabTo(page, target)
      await page.keyboard.press('Enter')
    }
    const button = (name: string | RegExp) => page.getByRole('button', { name })
    await page.goto('/outings')
    await press(page.getByRole('link', { name: 'Sat 6 June 2026' }))
    await press(button('Pack it'))
    await chooseByKeys(page, /Into$/, 'Bench tray')
    await press(button('What that day asks for'))
    await press(button(/^Pack \d+ flies/))
    await expect(part(page, 'Flies for it')).toContainText('Bench tray')
    await press(button('There'))
    await button('Start watching').waitFor()
    // what was asked for once is there when the network goes
    await expect(page.getByRole('button', { name: 'Back and tail, no snout', exact: true })).toBeVisible()
    await context.setOffline(true)
    await press(page.getByRole('button', { name: 'Back and tail, no snout', exact: true }))
    await press(page.getByRole('group', { name: 'What to do now' }).getByRole('button', { name: 'Put on' }))
    const choice = part(page, 'What to put on')
    const fly = await choice.locator('strong').first().innerText()
    await press(choice.getByRole('button', { name: 'Tie it on' }))
    for (let n = 0; n < 5; n += 1) await press(button(/^Clean drift/))
    await press(button('looked, turned'))
    await expect(page.getByRole('status').filter({ hasText: 'One change' })).toBeVisible()
    await press(button('landed'))
    await press(button('bottom'))
    await context.setOffline(false)
    await press(button('After'))
    const noted = page.getByRole('table', { name: 'Noted at the water' })
    await expect(noted).toContainText(fly)
    const before = await onHand(request, fly)
    await press(button(/^Take in: 1 spell and 1 loss/))
    await expect(noted.getByText('taken in')).toHaveCount(2)
    expect(await onHand(request, fly)).toBe(before - 1)
    await press(button('Empty the pockets'))
    await press(page.getByRole('button', { name: 'Done', exact: true }))
    await expect.poll(async () => (await saturday(request))?.status).toBe('done')
    // what the browser itself says of a lost connection
    pageErrors.splice(0, pageErrors.length, ...pageErrors.filter((error) => !error.includes('ERR_INTERNET_DISCONNECTED')))
  })
}) // prettier-ignore

test('a fly that nobody reeled in becomes a spell that ends with the last note', async ({ page, request }) => {
  const id = await packedForSaturday(request)
  await page.goto(`/outings/${id}?face=there`)
  await page.getByRole('group', { name: 'What to do now' }).getByRole('button', { name: 'Put on' }).click()
  await part(page, 'What to put on').getByRole('button', { name: 'Tie it on' }).first().click()
  await page.getByRole('button', { name: 'landed' }).click()
  await page.getByRole('button', { name: 'After' }).click()
  await page.getByRole('button', { name: 'Empty the pockets' }).click()
  await page.getByRole('button', { name: 'Done', exact: true }).click()
  await page.getByRole('button', { name: /^Reeled in at/ }).click()
  await page.getByRole('button', { name: 'Take in: 1 spell' }).click()
  await expect.poll(async () => (await saturday(request))?.spells).toMatchObject([{ minutes: 1, takes: 1 }])
})

test('the list says what waits to be taken in, and leads there', async ({ page, request }) => {
  await page.goto('/outings')
  await page.getByRole('button', { name: 'Take in what was noted: 3 things' }).click()
  // all of it can be read on a phone
  await page.setViewportSize({ width: 390, height: 844 })
  const takeIn = page.getByRole('button', { name: 'Take in: 1 spell and 2 counts for the season' })
  const { x = -1, width = Infinity } = (await takeIn.boundingBox()) ?? {}
  expect(x).toBeGreaterThanOrEqual(0)
  expect(x + width).toBeLessThan(390)
  await takeIn.click()
  await page.getByRole('link', { name: 'All outings' }).click()
  await expect(page.getByRole('link', { name: 'Sat 23 May 2026' })).toBeVisible()
  await expect(page.getByRole('button', { name: /^Take in what was noted/ })).toHaveCount(0)
  const { outings } = (await (await request.get('/api/outings')).json()) as OutingsView
  const { reachId = '' } = outings.find(({ on }) => on === '2026-05-23') ?? {}
  const season = await request.get(`/api/season/reach?reachId=${reachId}&on=2026-05-23`)
  expect(((await season.json()) as ReachSeasonView).observations.length).toBeGreaterThan(2)
})
