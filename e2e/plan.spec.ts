import { axeFaults, choose, expect, test } from './thistle.ts'
import { readFile } from 'node:fs/promises'
import type { Page } from '@playwright/test'
import { v7 } from 'uuid'
import { forbiddenBy } from '../core/index.ts'
import { noRules } from '../contract/index.ts'
import type {
  PatternsView,
  PatternView,
  PlanView,
  StoresView,
  WaterRules,
  WatersView,
} from '../contract/index.ts'

const saturday = (page: Page) => page.getByRole('table', { name: 'To tie before Sat 6 June' })

test('from a hole to the evening: a plan is made, changed, kept, and queued', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('heading', { name: /^Tonight/ }).waitFor()
  await page.getByRole('button', { name: 'Ahead' }).click()
  await page.getByRole('heading', { name: 'Ahead', level: 1 }).waitFor()
  await expect(page.getByText(/^No plan beats it/)).toBeVisible()
  await expect(saturday(page).getByRole('row').nth(1)).toBeVisible()
  expect(await axeFaults(page)).toEqual([])
  const first = saturday(page).getByRole('row').nth(1)
  const name = (await first.getByRole('link').textContent()) ?? ''
  await first.getByRole('button', { name: `Leave ${name} out` }).click()
  await expect(saturday(page).getByRole('link', { name, exact: true })).toHaveCount(0)
  // what was decided is still decided after a reload
  await page.reload()
  await page.getByRole('button', { name: `${name} – let it back` }).click()
  await expect(saturday(page).getByRole('link', { name, exact: true })).toHaveCount(1)
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save for a calendar' }).click(),
  ])
  expect(download.suggestedFilename()).toBe('bench-evenings.ics')
  const minutes = page.getByRole('group', { name: 'Time at the bench' }).getByLabel('Minutes an evening')
  await minutes.click()
  await minutes.press('Control+a')
  const sent: unknown[] = []
  page.on('request', (request) => {
    if (request.method() === 'POST') sent.push(request.postDataJSON())
  })
  await minutes.pressSequentially('30')
  await minutes.press('Enter')
  // two evenings, less what waits at the bench
  await expect(page.getByText('of 36 minutes at the bench, 24 more for what waits there')).toBeVisible()
  expect(sent).toMatchObject([{ kind: 'settingsSave', body: { change: { evenings: { minutes: 30 } } } }])
  const waiting = page.getByRole('link', { name: /Bench/ })
  const before = await waiting.textContent()
  await page
    .getByRole('region', { name: 'Before Sat 6 June' })
    .getByRole('button', { name: 'Queue all of it' })
    .click()
  await expect(waiting).not.toHaveText(before ?? '')
})

test('after an outing: what a fly took is noted, ranked by how sure that is, and put away', async ({
  page,
}) => {
  await page.goto('/outings')
  const done = page.locator('section', { hasText: 'Lost:' }).first()
  await done.getByRole('button', { name: 'Note a fly that was fished' }).click()
  await done.getByRole('button', { name: 'Note it', exact: true }).click()
  await expect(done).toContainText('Choose a fly')
  await choose(page, /Fly$/, 'Third Button #16 B 2.8')
  await done.getByLabel('Minutes').fill('0')
  await expect(done).toContainText('From 1 to 1440.')
  await done.getByLabel('Minutes').fill('120')
  await done.getByLabel('Takes').fill('5')
  await done.getByRole('button', { name: 'Note it', exact: true }).click()
  await expect(done).toContainText('Third Button #16 B 2.8: 120 minutes, 5 takes.')
  await expect(page.getByRole('table', { name: 'Takes an hour' })).toContainText(/2\.2 likely 1\.\d–3\.\d/)
  expect(await axeFaults(page)).toEqual([])
  await done.getByRole('button', { name: 'Put the note of Third Button #16 B 2.8 away' }).click()
  await expect(page.getByRole('table', { name: 'Takes an hour' })).not.toContainText('Third Button #16 B 2.8')
})

test('an evening that differs is planned with, and made as usual again', async ({ page }) => {
  await page.goto('/ahead')
  const before = page.getByRole('region', { name: 'Before Sat 6 June' })
  await expect(before).toContainText('of 96 minutes at the bench')
  await before.getByRole('button', { name: 'all 2 evenings' }).click()
  const friday = before.getByLabel('Minutes on Fri 5 June')
  await friday.fill('0')
  await friday.press('Tab')
  await expect(before).toContainText('of 36 minutes at the bench')
  await expect(before.getByRole('row', { name: /Fri 5 June/ })).toContainText('free')
  await before.getByRole('button', { name: 'Fri 5 June as usual' }).click()
  await expect(before).toContainText('of 96 minutes at the bench')
  await before.getByLabel('Another evening').fill('2026-06-06')
  await expect(before.getByRole('button', { name: 'Add it' })).toBeDisabled()
})

test('a variant that nobody made yet is planned where nothing else serves, and queuing it makes it', async ({
  page,
}) => {
  // the large mayfly is left with one fly that is far too small for it, so that another pattern on a larger hook is the best there is
  const api = async (path: string) => (await page.request.get(`/api/${path}`)).json() as Promise<unknown>
  const { patterns } = (await api('patterns')) as PatternsView
  const listed = patterns.find(({ name }) => name === 'Paper Lantern')
  const lantern = (await api(`patterns/${listed?.id}`)) as PatternView
  const { revision: _revision, id, variants, serves, ...rest } = lantern
  const spinner = patterns.find(({ name }) => name === 'Quarter Past')
  const tiny = ((await api(`patterns/${spinner?.id}`)) as PatternView).variants.find(
    ({ label }) => label === '#20',
  )
  const [small] = variants
  if (!small || !tiny) throw new Error('the demo has no such flies')
  const { id: variantId, swaps } = small
  const { label, hookMaterialId } = tiny
  const saved = await page.request.post('/api/commands', {
    data: {
      id: v7(),
      kind: 'patternSave',
      body: {
        ...rest,
        patternId: id,
        serves: serves.map(({ foodStageId, weight }) => ({ foodStageId, weight })),
        newMaterials: [],
        variants: [{ id: variantId, label, hookMaterialId, swaps, parCount: null, homeCompartmentId: null }],
      },
    },
  })
  expect(saved.ok(), await saved.text()).toBe(true)
  await page.goto('/ahead')
  const row = saturday(page).getByRole('row', { name: /Damp Straw #12 olive/ })
  await expect(row).toContainText('not made yet: queuing makes it')
  await row.getByRole('button', { name: /^Queue/ }).click()
  // what waits at the bench counts, and is not planned again
  await expect(row).toHaveCount(0)
  await page.goto('/bench')
  await expect(page.getByText(/Damp Straw #12 olive/).first()).toBeVisible()
})

test('nothing that the note of a water forbids is planned or packed, for six notes', async ({ page }) => {
  const api = async (path: string) => (await page.request.get(`/api/${path}`)).json() as Promise<unknown>
  const name = 'River Harnsel'
  const note = async (change: Partial<WaterRules>) => {
    const { waters } = (await api('waters')) as WatersView
    const found = waters.find(({ water }) => water.name === name)
    if (!found) throw new Error(`no ${name}`)
    const body = { waterId: found.id, change: { rules: { ...noRules, ...change } } }
    const saved = await page.request.post('/api/commands', { data: { id: v7(), kind: 'waterSave', body } })
    expect(saved.ok(), await saved.text()).toBe(true)
  }
  // the hooks of dries have a barb, and their drawers say so
  const { materials } = (await api('stores')) as StoresView
  for (const drawer of materials.filter(({ kind, name: hook }) => kind === 'hook' && /dry|fine/i.test(hook))) {
    const {
      id: materialId,
      version,
      minimumAmount,
      packAmount,
      priceMinor,
      leadTimeDays,
      supplier,
      note: own,
    } = drawer
    const body = {
      materialId,
      version,
      minimumAmount,
      packAmount,
      priceMinor,
      leadTimeDays,
      supplier,
      note: own,
      barb: 'barbed',
    }
    const saved = await page.request.post('/api/commands', { data: { id: v7(), kind: 'materialSave', body } })
    expect(saved.ok(), await saved.text()).toBe(true)
  }
  for (const rules of [
    { dryOnly: true },
    { noLead: true },
    { noAddedWeight: true },
    { maxHookSize: 16 },
    { minHookSize: 14 },
    { barbless: true },
  ]) {
    await note(rules)
    const { variants, patterns } = (await api('plan')) as PlanView
    const why = new Map(
      variants.map(({ figure, lead, weighted, barb, pattern, label }) => [
        `${patterns[pattern]?.name} ${label}`,
        forbiddenBy(
          { ...noRules, ...rules },
          { floats: figure.kind === 'floats', hookSize: figure.hookSize, lead, weighted, barb },
        ),
      ]),
    )
    await page.goto('/outings')
    const saturday = page.locator('section', { hasText: 'Sat 6 June' }).first()
    await saturday.getByRole('button', { name: 'Pack', exact: true }).click()
    const flies = page.getByRole('table', { name: 'Flies that could go along' })
    await expect(flies.getByText(/to show it/).first()).toBeVisible()
    await page.getByRole('button', { name: 'What that day asks for' }).click()
    const ticked = flies.getByRole('row').filter({ has: page.getByRole('checkbox', { checked: true }) })
    await expect(ticked.first()).toBeVisible()
    for (const row of await ticked.allTextContents()) {
      const fly = [...why].find(([fly]) => row.replace('✓', '').startsWith(fly))
      expect(fly, row).toBeDefined()
      expect(fly?.[1], `${JSON.stringify(rules)} ${row}`).toBeNull()
    }
    await page.goto('/ahead')
    await expect(page.getByText(/^No plan beats it/)).toBeVisible()
    const planned = page.getByRole('table', { name: 'To tie before Sat 6 June' }).getByRole('link')
    for (const fly of await planned.allTextContents()) {
      const region = page.getByRole('row', { name: new RegExp(fly) }).first()
      // what is tied now for a later water with another note is none of this one's business
      if ((await region.textContent())?.includes('Sat 6 June')) expect(why.get(fly), fly).toBeNull()
    }
  }
})

test.describe('what only reads', () => {
  test.use({ onlyReads: true })

  test('a pattern prints as a card and saves as text', async ({ page }) => {
    await page.goto('/patterns')
    await page.getByRole('link', { name: 'Third Button', exact: true }).click()
    const saved = async (button: string) => {
      const [download] = await Promise.all([
        page.waitForEvent('download'),
        page.getByRole('region', { name: 'Card' }).getByRole('button', { name: button }).click(),
      ])
      return { name: download.suggestedFilename(), text: await readFile(await download.path(), 'latin1') }
    }
    const card = await saved('Card, A6')
    expect(card.name).toMatch(/^third-button-.+\.pdf$/)
    expect(card.text).toMatch(/^%PDF-1\./)
    const markdown = await saved('Markdown')
    expect(markdown.text).toContain('# Third Button #16')
    expect(markdown.text).toContain('1. Slide the bead on')
    const json = JSON.parse((await saved('JSON')).text) as { steps: readonly unknown[] }
    expect(json.steps.length).toBeGreaterThan(5)
  })

  test('by keyboard: Tonight’s digit once more opens what lies ahead', async ({ page }) => {
    await page.goto('/')
    await page.getByRole('heading', { name: /^Tonight/ }).waitFor()
    await page.keyboard.press('1')
    await page.getByRole('heading', { name: 'Ahead', level: 1 }).waitFor()
    await page.keyboard.press('1')
    await page.getByRole('heading', { name: /^Tonight/ }).waitFor()
  })

  test('what the boxes cover: foods against flies, what serves each, and where', async ({ page }) => {
    await page.goto('/boxes')
    await page.getByRole('button', { name: 'What they cover' }).click()
    const grid = page.getByRole('table', { name: 'Cover' })
    const mayfly = grid.getByRole('row', { name: /Large burrowing mayfly/ })
    await mayfly.getByRole('button', { name: /^dun 0 hole/ }).click()
    const dun = grid.getByRole('group', { name: 'Large burrowing mayfly, dun' })
    await expect(dun).toContainText('Paper Lantern #10 2XL 0 on hand, Duns, lid, meant for it')
    await expect(dun).toContainText('Could pass')
    await expect(grid.getByRole('row', { name: /Dark olive/ })).toContainText('covered')
    expect(await axeFaults(page)).toEqual([])
    await page.getByRole('button', { name: 'By situation' }).click()
    await expect(page.getByRole('table', { name: 'By situation' })).toContainText('nothing showing')
    expect(await axeFaults(page)).toEqual([])
  })
})
