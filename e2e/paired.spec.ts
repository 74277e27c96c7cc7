import type { AlongView } from '../contract/index.ts'
import { packedForSaturday } from './packed.ts'
import { axeFaults, expect, test } from './thistle.ts'

test.use({ servesPhones: true })

test('a phone is paired, what it notes goes home of itself, also after a while away; shown out, it sends nothing more', async ({
  page,
  browser,
  request,
  serving,
}) => {
  const id = await packedForSaturday(request)
  const kept = async () =>
    ((await (await request.get(`/api/outings/${id}/along`)).json()) as AlongView).taps.length
  await page.goto('/settings')
  const phones = page.locator('section').filter({ has: page.getByRole('heading', { name: 'Phones' }) })
  await phones.getByRole('button', { name: 'Pair a phone' }).click()
  const shown = phones.getByRole('status', { name: 'The code for the phone' })
  await expect(shown).toContainText(serving.phonesAt ?? '')
  await expect(shown).toContainText('5 tries left')
  const [code = ''] = /[0-9A-Z]{4} [0-9A-Z]{4}/.exec(await shown.innerText()) ?? []

  const hand = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true })
  const phone = await hand.newPage()
  const errors: string[] = []
  phone.on('console', (message) => {
    if (message.type() === 'error') errors.push(message.text())
  })
  await phone.goto(serving.phonesAt ?? '')
  await phone.getByLabel('The code').fill(code.toLowerCase())
  await phone.getByLabel('What this phone is called').fill('<b>Green</b> phone')
  expect(await axeFaults(phone)).toEqual([])
  await phone.getByRole('button', { name: 'Pair' }).tap()
  const saturday = phone.getByRole('listitem').filter({ hasText: '2026-06-06' })
  await expect(saturday.getByRole('link', { name: 'Save it as a file' })).toBeVisible()
  expect(await axeFaults(phone)).toEqual([])
  await saturday.getByRole('link', { name: 'Open it here' }).tap()
  // the code is spent, and the phone is named as text
  await expect(phones.getByRole('table', { name: 'Phones' })).toContainText('<b>Green</b> phone')
  await expect(shown).toHaveCount(0)

  const onItsWay = phone.getByRole('region', { name: 'The log' }).getByRole('status')
  await phone.getByRole('button', { name: 'Empty shucks drifting', exact: true }).tap()
  await expect(onItsWay).toHaveText('All of it is at home.')
  expect(await kept()).toBe(1)
  expect(errors.slice(1)).toEqual([]) // the door itself is answered as what it is: not paired yet
  await hand.setOffline(true)
  await phone.getByRole('button', { name: 'Back and tail, no snout', exact: true }).tap()
  await expect(onItsWay).toContainText('One note waits')
  expect(await kept()).toBe(1)
  await hand.setOffline(false)
  await expect(onItsWay).toHaveText('All of it is at home.')
  expect(await kept()).toBe(2)
  expect(await axeFaults(phone)).toEqual([])

  await phones.getByRole('button', { name: 'Show out' }).click()
  await expect(phones.getByRole('table', { name: 'Phones' })).toHaveCount(0)
  await phone.getByRole('button', { name: 'Snout and a bubble left behind', exact: true }).tap()
  await expect(onItsWay).toContainText('has to be paired again before one note goes home')
  expect(await kept()).toBe(2)
  await phone.reload()
  await expect(phone.getByRole('heading', { name: 'Pair this phone' })).toBeVisible()
  await hand.close()
})
