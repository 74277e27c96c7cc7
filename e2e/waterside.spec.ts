import { readFile, writeFile } from 'node:fs/promises'
import type { APIRequestContext, BrowserContext, Page } from '@playwright/test'
import type { OutingsView, ReachSeasonView } from '../contract/index.ts'
import { v7 } from 'uuid'
import { packedForSaturday, SATURDAY } from './packed.ts'
import { axeFaults, expect, tabTo, test } from './thistle.ts'

const step = (page: Page, name: string) => page.getByRole('group', { name: 'What to do now' }).getByRole('button', { name }) // prettier-ignore
const part = (page: Page, name: string) => page.getByRole('region', { name })

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true })

  test('from signs to the fly, refused, changed, taken and lost; taken in at home in one action', async ({
    page,
    request,
  }) => {
    const id = await packedForSaturday(request)
    await page.goto(`/outings/${id}?face=there`)
    await page.getByRole('button', { name: 'Start watching' }).tap()
    await expect(page.getByRole('timer')).toContainText(/[45]:\d\d/)
    await page.getByRole('button', { name: 'Empty shucks drifting', exact: true }).tap()
    await page.getByRole('button', { name: 'Back and tail, no snout', exact: true }).tap()
    await step(page, 'Put on').tap()
    await expect(part(page, 'What fish are on').getByRole('listitem').first()).toContainText('emerger')
    await expect(part(page, 'What fish are on').getByRole('listitem').first()).toContainText('Back and tail')
    const choice = part(page, 'What to put on')
    await expect(choice).toContainText('Singed Cuff #12 cream')
    await expect(choice).toContainText(/Rig: (Brook, one dry|Dry, three metres)/)
    expect(await axeFaults(page)).toEqual([])
    await choice.getByRole('button', { name: 'Tie it on' }).first().tap()
    for (let n = 0; n < 2; n += 1) await page.getByRole('button', { name: /^Clean drift/ }).tap()
    await expect(page.locator('#sheet')).toContainText('2 of 5 clean drifts')
    // ignored on two drifts is no verdict
    await page.getByRole('button', { name: 'ignored it' }).tap()
    await expect(page.getByRole('status').filter({ hasText: 'One change' })).toContainText('no fair trial')
    await page.getByRole('button', { name: 'looked, turned' }).tap()
    // one thing is changed, and it is kept what it was
    const change = page.getByRole('status').filter({ hasText: 'One change' })
    await expect(change).toContainText(/Cut it so that it sits lower|One smaller|Another stage/)
    const [what = ''] =
      /Cut it so that it sits lower|One smaller|Another stage/.exec(await change.innerText()) ?? []
    await page.getByRole('button', { name: 'Done so' }).tap()
    const now = await page.locator('#sheet strong:visible').first().innerText()
    await page.getByRole('button', { name: 'landed' }).tap()
    await expect(page.getByRole('button', { name: 'landed 1' })).toBeVisible()
    await page.getByRole('button', { name: 'tree' }).tap()
    await expect(page.locator('#sheet')).toContainText('Nothing is tied on yet')
    await page.getByRole('button', { name: 'After' }).tap()
    const noted = page.getByRole('table', { name: 'Noted at the water' })
    await expect(noted).toContainText(what)
    await page.getByRole('button', { name: 'Take in: 2 spells and 1 loss' }).tap()
    await expect(noted.getByText('taken in')).toHaveCount(3)
    await expect(page.locator('#sheet')).toContainText(`${now}: 1 minute, 1 take`)
    const { outings } = (await (await request.get('/api/outings')).json()) as OutingsView
    expect(outings.find(({ on }) => on === SATURDAY)?.losses).toMatchObject([{ patternName: now.split(' #')[0], count: 1, cause: 'tree' }]) // prettier-ignore
  })

  test('taps made with no connection are delivered when there is one', async ({
    page,
    request,
    context,
    pageErrors,
  }) => {
    const id = await packedForSaturday(request)
    await page.goto(`/outings/${id}?face=there`)
    const shucks = page.getByRole('button', { name: 'Empty shucks drifting', exact: true })
    await shucks.waitFor()
    await context.setOffline(true)
    await shucks.tap()
    await expect(shucks).toHaveAttribute('aria-pressed', 'true')
    await step(page, 'Put on').tap()
    await expect(part(page, 'What fish are on')).toContainText('Empty shucks drifting')
    await context.setOffline(false)
    await expect.poll(async () => ((await (await request.get(`/api/outings/${id}/along`)).json()) as { taps: unknown[] }).taps.length).toBe(1) // prettier-ignore
    // what the browser itself says of a lost connection
    pageErrors.splice(0, pageErrors.length, ...pageErrors.filter((error) => !error.includes('ERR_INTERNET_DISCONNECTED'))) // prettier-ignore
  })

  test('a tap that is taken back in the tray is gone from the page', async ({ page, request }) => {
    const id = await packedForSaturday(request)
    await page.goto(`/outings/${id}?face=there`)
    const shucks = page.getByRole('button', { name: 'Empty shucks drifting', exact: true })
    await shucks.tap()
    await expect(page.getByText('Noted one thing at River Harnsel')).toBeVisible()
    await expect(shucks).toHaveAttribute('aria-pressed', 'true')
    await page.getByRole('button', { name: 'Undo' }).last().tap()
    await expect(shucks).toHaveAttribute('aria-pressed', 'false')
  })

  test('a landed fish is measured in a second tap, and two flies of a rig are lost at one snag', async ({
    page,
    request,
  }) => {
    const id = await packedForSaturday(request)
    await page.goto(`/outings/${id}?face=there`)
    await step(page, 'Put on').tap()
    await part(page, 'What to put on').getByRole('button', { name: 'Tie it on' }).first().tap()
    const took = part(page, 'It took')
    await took.getByRole('button', { name: 'landed' }).tap()
    await took.getByRole('group', { name: 'How long' }).getByRole('button', { name: '30 cm' }).tap()
    await expect(took.getByRole('group', { name: 'How long' })).toHaveCount(0)
    await expect(took.getByRole('button', { name: 'landed 1' })).toBeVisible()
    const lost = part(page, 'Fly lost')
    await lost.getByRole('button', { name: 'Another of the rig with it' }).tap()
    const others = lost.getByRole('group', { name: 'Another of the rig with it' })
    expect(await axeFaults(page)).toEqual([])
    await others.getByRole('button').first().tap()
    await lost.getByRole('button', { name: 'bottom' }).tap()
    await page.getByRole('button', { name: 'After' }).tap()
    const noted = page.getByRole('table', { name: 'Noted at the water' })
    await expect(noted).toContainText('1 take, 30 cm')
    await page.getByRole('button', { name: 'Take in: 1 spell and 2 losses' }).tap()
    await expect(noted.getByText('taken in')).toHaveCount(2)
    const { outings } = (await (await request.get('/api/outings')).json()) as OutingsView
    const losses = outings.find(({ on }) => on === SATURDAY)?.losses ?? []
    expect(losses.reduce((sum, { count }) => sum + count, 0)).toBe(2)
    expect(new Set(losses.map(({ cause }) => cause))).toEqual(new Set(['bottom']))
  })

  test('a rising fish is tapped, and the sun has a light of its own', async ({ page, request }) => {
    const id = await packedForSaturday(request)
    await page.goto(`/outings/${id}?face=there`)
    await step(page, 'Rise').tap()
    for (let n = 0; n < 4; n += 1) await page.getByRole('button', { name: 'It rose' }).tap()
    await expect(page.getByText('4 rises')).toBeVisible()
    await expect(page.getByRole('status').first()).not.toContainText('Tap each rise')
    await page.getByText('For the sun').tap()
    expect(await axeFaults(page)).toEqual([])
  })
})

test('what a phone sent home waits, is taken in in one action, and the season has its counts', async ({
  page,
  request,
}) => {
  await page.goto('/outings')
  await page.getByRole('link', { name: 'Sat 23 May 2026' }).click()
  await expect(page.getByText('A simulated phone sent it')).toBeVisible()
  await page.getByRole('button', { name: 'Take in: 1 spell and 2 counts for the season' }).click()
  await expect(page.getByText('A simulated phone sent it')).toHaveCount(0)
  await expect(part(page, 'What it moved')).toContainText(
    'The season has 2 counts and 1 reading of the water of it',
  )
  const { outings } = (await (await request.get('/api/outings')).json()) as OutingsView
  const day = outings.find(({ on }) => on === '2026-05-23')
  expect(day?.spells.length).toBe(5)
  const season = await request.get(`/api/season/reach?reachId=${day?.reachId}&on=2026-05-23`)
  expect(((await season.json()) as ReachSeasonView).observations.filter(({ observation: { kind, method } }) => kind === 'counted' && method === 'stone').length).toBeGreaterThanOrEqual(2) // prettier-ignore
})

test('by keyboard at a desk: the day before, a sign, what would settle it, and the fly tied on', async ({
  page,
  request,
}) => {
  const id = await packedForSaturday(request)
  await page.goto('/outings')
  await tabTo(page, page.getByRole('link', { name: 'Sat 6 June 2026' }))
  await page.keyboard.press('Enter')
  const box = page.getByRole('table', { name: 'Flies for it' })
  await expect(box).toContainText('While nothing shows')
  await expect(box).toContainText('An anchor for the team')
  const rigs = part(page, 'Rigs for it')
  await expect(rigs.getByRole('link', { name: 'Tight line, one nymph' })).toBeVisible()
  await expect(rigs.getByRole('group', { name: 'To scale' }).getByText('2.00 m').first()).toBeVisible()
  // a rig for still water is none of a river's day
  await expect(rigs).not.toContainText('Slow sinker')
  expect(await axeFaults(page)).toEqual([])
  await tabTo(page, page.getByRole('button', { name: 'There' }))
  await page.keyboard.press('Enter')
  await tabTo(page, page.getByRole('button', { name: 'Back and tail, no snout', exact: true }))
  await page.keyboard.press('Space')
  await tabTo(page, step(page, 'Put on'))
  await page.keyboard.press('Enter')
  await expect(part(page, 'What fish are on').getByRole('listitem').first()).toContainText('emerger')
  await tabTo(page, page.getByRole('button', { name: 'Looked, none' }))
  await page.keyboard.press('Enter')
  await tabTo(page, part(page, 'What to put on').getByRole('button', { name: 'Tie it on' }).first())
  await page.keyboard.press('Enter')
  await expect(page.getByRole('button', { name: /^Clean drift/ })).toBeVisible()
  expect(page.url()).toContain(id)
})

test.describe('the page that goes along', () => {
  /** Saves the page of an outing, and opens it from the file with no network; tells each request that it makes. */
  async function taken(request: APIRequestContext, context: BrowserContext, path: string, id: string) {
    const answer = await request.get(`/api/outings/${id}/page`)
    expect(answer.headers()['content-disposition']).toContain('at-the-water-2026-06-06.html')
    await writeFile(path, await answer.body())
    const asked: string[] = []
    await context.setOffline(true)
    const open = async () => {
      const page = await context.newPage()
      page.on('request', (one) => {
        if (!one.url().startsWith('data:') && !one.url().startsWith('blob:')) asked.push(one.url())
      })
      await page.goto(`file://${path}`)
      await page.getByRole('heading', { level: 1 }).waitFor()
      return page
    }
    return { asked, open, size: (await readFile(path)).byteLength }
  }
  /** The log as it is shown to be copied. */
  async function logOf(page: Page): Promise<string> {
    await page.getByRole('button', { name: 'The log as text' }).click()
    return page.getByRole('textbox', { name: 'The log' }).inputValue()
  }

  test('asks nobody, is small, loses nothing with its tab, and its log comes home once', async ({
    page,
    browser,
    request,
  }, info) => {
    const id = await packedForSaturday(request)
    const phone = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true })
    const { asked, open, size } = await taken(request, phone, info.outputPath('along.html'), id)
    expect(size).toBeLessThan(2_000_000)
    const first = await open()
    await first.getByRole('button', { name: 'Snout and a bubble left behind', exact: true }).tap()
    await step(first, 'Put on').tap()
    await expect(part(first, 'What to put on').locator('svg').first()).toBeVisible()
    await part(first, 'What to put on').getByRole('button', { name: 'Tie it on' }).first().tap()
    const drift = first.getByRole('button', { name: /^Clean drift/ })
    await drift.waitFor()
    // a thousand taps, as fast as a page takes them
    await drift.evaluate((button: HTMLElement) => {
      for (let n = 0; n < 1000; n += 1) button.click()
    })
    await first.getByRole('button', { name: 'missed' }).tap()
    await first.close()
    // two tabs of one page keep the taps of both
    const [again, other] = [await open(), await open()]
    await step(other, 'Rise').tap()
    await other.getByRole('button', { name: 'It rose' }).tap()
    await other.close()
    await step(again, 'Fish').tap()
    await expect(again.getByRole('button', { name: 'Clean drift 1000' })).toBeVisible()
    await again.getByRole('button', { name: 'Reel in' }).tap()
    await again.close()
    const last = await open()
    const log = await logOf(last)
    expect(new Set(asked)).toEqual(new Set([`file://${info.outputPath('along.html')}`]))
    await phone.close()

    await page.goto(`/outings/${id}?face=after`)
    const intake = part(page, 'A log from a phone')
    const paste = (text: string) => intake.getByLabel('or its text, pasted').fill(text)
    await paste('Dear diary')
    await expect(intake).toContainText('no log of an outing')
    await paste(log.replace(/log 1 \S+/, 'log 1 another-database'))
    await expect(intake).toContainText('belongs to other data')
    await paste(log.split('\n').slice(0, 40).join('\n'))
    await expect(intake).toContainText('Its end is missing')
    await paste(log.replace('missed', 'landed'))
    await expect(intake).toContainText('changed since it left the phone')
    await paste(log)
    await expect(intake).toContainText('1005 new taps: 1 spell')
    await intake.getByRole('button', { name: 'Take in' }).click()
    await expect(page.getByRole('table', { name: 'Noted at the water' })).toContainText('taken in')
    await paste(log)
    await expect(intake).toContainText('All 1005 taps of it are here already')
    await expect(intake.getByRole('button', { name: 'Take in' })).toHaveCount(0)
  })

  test('a log comes home to a box that changed meanwhile: what lies nowhere any more is named, the rest is taken in', async ({
    page,
    browser,
    request,
  }, info) => {
    const id = await packedForSaturday(request)
    const phone = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true })
    const { open } = await taken(request, phone, info.outputPath('along.html'), id)
    const there = await open()
    await step(there, 'Put on').tap()
    const choice = part(there, 'What to put on')
    const fly = await choice.locator('strong').first().innerText()
    await choice.getByRole('button', { name: 'Tie it on' }).first().tap()
    await there.getByRole('button', { name: /^Clean drift/ }).tap()
    await there.getByRole('button', { name: 'tree' }).tap()
    const log = await logOf(there)
    await phone.close()
    // at home somebody gives all of them away
    const outing = async () =>
      ((await (await request.get('/api/outings')).json()) as OutingsView).outings.find((one) => one.id === id)
    const packed = (await outing())?.packed.filter(
      ({ patternName, label }) => fly === `${patternName} ${label}`,
    )
    expect(packed?.length).toBeGreaterThan(0)
    for (const { compartmentId, variantId } of packed ?? []) {
      const body = { compartmentId, variantId, counted: 0 }
      const answer = await request.post('/api/commands', { data: { id: v7(), kind: 'fliesCount', body } })
      expect(answer.status()).toBe(200)
    }
    await page.goto(`/outings/${id}?face=after`)
    const intake = part(page, 'A log from a phone')
    await intake.getByLabel('or its text, pasted').fill(log)
    await expect(intake).toContainText(fly)
    await expect(intake).toContainText('1 spell')
    await intake.getByRole('button', { name: 'Take in' }).click()
    await expect(page.getByRole('table', { name: 'Noted at the water' })).toContainText('taken in')
    expect((await outing())?.losses).toEqual([])
    expect((await outing())?.spells.length).toBe(1)
  })

  test('says where a phone keeps nothing, and asks for the log after ten taps', async ({
    browser,
    request,
  }, info) => {
    const id = await packedForSaturday(request)
    const phone = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true })
    await phone.addInitScript(() => {
      Object.defineProperty(window, 'localStorage', {
        get: () => {
          throw new DOMException('denied', 'SecurityError')
        },
      })
    })
    const { open } = await taken(request, phone, info.outputPath('along.html'), id)
    const page = await open()
    await expect(page.getByText('This phone keeps nothing')).toBeVisible()
    await expect(page.getByRole('alert')).toHaveCount(0)
    await step(page, 'Rise').tap()
    for (let n = 0; n < 10; n += 1) await page.getByRole('button', { name: 'It rose' }).tap()
    await expect(page.getByRole('alert')).toContainText('send the log before you close')
    await logOf(page)
    await expect(page.getByRole('alert')).toHaveCount(0)
    await phone.close()
  })
})
