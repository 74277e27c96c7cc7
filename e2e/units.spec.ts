import { choose, expect, goWithin, test } from './thistle.ts'
import type { Page } from '@playwright/test'

const PLACES = [
  '/', '/ahead', '/waters', '/larder', '/larder?view=year', '/larder?view=day', '/patterns', '/tank', '/bench', '/boxes',
  '/boxes?view=cover', '/outings', '/stores',
] // prettier-ignore

/** A figure in a unit that nobody chose. */
const METRIC = /\d[\d.,–−]*\s?(?:mm|m|cm|cm²|cm\/s|m\/s|°C|mg|g)(?![\w/³²])/g

/** Goods are called by the size they are sold in, a scale by the step it shows; notes are the user's own words. */
const AS_SOLD = [
  /(?:bead|eyes|chenille)[^;\n]*?, [\d.]+ mm/gi,
  /^[\d.]+ mm · [\d/]+ in$/gm,
  /0\.\d\d mm/g,
  /(?:0\.1|1) mg\n|0\.01 g\n/g,
  /Foam, 12 mm clear/g,
  /1[02]\.[39] °C[,.]/g,
]

/** What the page shows and says of itself, without what is called by a figure. */
async function toldOn(page: Page): Promise<string> {
  const text = await page.locator('#sheet').evaluate((sheet) => {
    for (const choices of sheet.querySelectorAll('select')) choices.style.display = 'none'
    const said = [...sheet.querySelectorAll('[aria-label]')].map((element) =>
      element.getAttribute('aria-label'),
    )
    return [(sheet as HTMLElement).innerText, ...said].join('\n')
  })
  return AS_SOLD.reduce((rest, name) => rest.replace(name, ''), text)
}

/** What the page says once nothing more comes to it. */
async function toldAtLast(page: Page): Promise<string> {
  let told = ''
  await expect
    .poll(
      async () => {
        const before = told
        told = await toldOn(page)
        return told === before
      },
      { intervals: [400], timeout: 60_000 },
    )
    .toBe(true)
  return told
}

test('units follow the user everywhere', async ({ page }) => {
  await page.goto('/settings')
  const units = [
    [/Hooks and beads/, 'in'],
    [/Depth/, 'ft'],
    [/Fall/, 'in/s'],
    [/Water/, '°F'],
    [/Weight/, 'gr'],
  ] as const
  // one after the other in a moment: all of them are kept
  for (const [label, unit] of units) await choose(page, label, unit)
  await page.waitForLoadState('networkidle')
  await page.reload()
  for (const [label, unit] of units)
    await expect(page.getByRole('button', { name: label }).first()).toContainText(unit)
  await page.goto('/patterns')
  await expect(page.getByRole('table', { name: 'Patterns and their variants' })).toContainText('in/s')
  const left: string[] = []
  const look = async (place: string) => {
    await page.locator('#sheet h1, #sheet h2').first().waitFor()
    await expect(page.locator('#sheet [aria-busy="true"]')).toHaveCount(0)
    const text = await toldAtLast(page)
    for (const { 0: figure, index } of text.matchAll(METRIC))
      left.push(
        `${place}: ${text.slice(Math.max(index - 40, 0), index + figure.length + 20).replace(/\n/g, ' ⏎ ')}`,
      )
  }
  for (const place of PLACES) {
    await goWithin(page, place)
    await look(place)
  }
  await page.goto('/patterns')
  await page.getByRole('link', { name: 'Barley Sugar' }).first().click()
  await expect(page.getByRole('region', { name: 'How this came about' })).toContainText('gr')
  await look('a pattern')
  await page.goto('/waters')
  await page.getByRole('link', { name: 'Bridge Reach' }).click()
  await look('a reach')
  await page.goto('/larder')
  await page.getByRole('table', { name: 'Foods at this moment' }).getByRole('button').first().click()
  await look('a food')
  expect([...new Set(left)]).toEqual([])
})
