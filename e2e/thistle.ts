import AxeBuilder from '@axe-core/playwright'
import { test as base } from '@playwright/test'
import type { Locator, Page } from '@playwright/test'
import { join } from 'node:path'
import { copyOfDemo } from '../demo/testing/filledDemo.ts'
import { start } from '../server/start.ts'
import { FILLED } from './fill.ts'

/** A server over a copy of the demo's data. */
interface Served {
  readonly address: string
  readonly dataPath: string
  /** where phones are served; null where they are not */
  readonly phonesAt: string | null
}

interface Fixtures {
  /** the test writes nothing, and may share a server with others of its kind */
  readonly onlyReads: boolean
  /** phones of the home network are served too, on another address of this machine */
  readonly servesPhones: boolean
  /** a server over a copy of the demo's data: the test's own, or shared where it only reads */
  readonly serving: Served
  /** errors of the page's console; a test fails where there are any at its end */
  readonly pageErrors: string[]
}

/** Serves a copy of the demo's data while it is used, within this process: a process of its own takes a second to start. */
async function serveCopy(use: (serving: Served) => Promise<void>, servesPhones = false): Promise<void> {
  const copy = await copyOfDemo(process.env[FILLED] ?? '')
  const { address, phonesAt, stop } = await start({
    dataPath: copy.path,
    port: 0,
    rootPath: process.cwd(),
    webFolder: join('dist', 'web'),
    ...(servesPhones ? { phones: { host: '127.0.0.2', port: 0 } } : {}),
  })
  await use({ address, phonesAt, dataPath: copy.path })
  await stop()
  await copy.remove()
}

/** Tests over the demo's data: a server of its own where it writes, and a page whose console stays clean. */
export const test = base.extend<Fixtures, { readonly shared: Served }>({
  onlyReads: [false, { option: true }],
  servesPhones: [false, { option: true }],
  shared: [async ({}, use) => serveCopy(use), { scope: 'worker' }],
  serving: async ({ shared, onlyReads, servesPhones }, use) =>
    onlyReads ? use(shared) : serveCopy(use, servesPhones),
  baseURL: async ({ serving }, use) => use(serving.address),

  pageErrors: async ({}, use) => use([]),
  page: async ({ page, pageErrors }, use) => {
    page.on('console', (message) => {
      if (message.type() === 'error') pageErrors.push(message.text())
    })
    page.on('pageerror', (error) => pageErrors.push(error.message))
    await use(page)
    base.expect(pageErrors).toEqual([])
  },
})
export const { expect } = test

/** Goes to another place of a page that is open, as a link of it does: nothing is loaded anew. */
export async function goWithin(page: Page, path: string): Promise<void> {
  await page.evaluate((to) => {
    history.pushState(null, '', to)
    dispatchEvent(new PopStateEvent('popstate'))
  }, path)
}

/** Chooses from a list by its label, with the mouse. */
export async function choose(
  page: Page,
  label: string | RegExp,
  option: string | RegExp,
  within: Page | Locator = page,
): Promise<void> {
  await within.getByRole('button', { name: label }).first().click()
  await page.getByRole('option', { name: option }).first().click()
  // a list that is still closing takes the next press for one beside it
  await page.getByRole('listbox').first().waitFor({ state: 'detached' })
}

/**
 * Presses Tab, or Shift+Tab where it lies before what has focus, until it has focus; fails where it cannot be reached.
 * Far away, several presses go out at once: at most half as many as there are stops on the way.
 */
export async function tabTo(page: Page, target: Locator, most = 160): Promise<void> {
  await target.first().waitFor()
  for (let pressed = 0; pressed < most;) {
    const way = await target.first().evaluate((element) => {
      const here = document.activeElement ?? document.body
      if (element === here) return null
      const before = (a: Node, b: Node) =>
        (a.compareDocumentPosition(b) & Node.DOCUMENT_POSITION_FOLLOWING) !== 0
      const back = before(element, here)
      const [from, to] = back ? [element, here] : [here, element]
      const stops = [...document.querySelectorAll<HTMLElement>('a[href],button,input,[tabindex="0"]')].filter(
        (stop) => stop.tabIndex >= 0 && stop.offsetParent !== null && before(from, stop) && before(stop, to),
      )
      return { back, stops: stops.length }
    })
    if (!way) return
    const presses = Math.max(1, Math.floor(way.stops / 2))
    const key = way.back ? 'Shift+Tab' : 'Tab'
    await Promise.all(Array.from({ length: presses }, () => page.keyboard.press(key)))
    pressed += presses
  }
  throw new Error(`cannot reach ${String(target)} by Tab`)
}

/** Chooses from a list by keyboard alone: Tab to it, open it, type the beginning of the option, Enter. */
export async function chooseByKeys(page: Page, label: string | RegExp, beginning: string): Promise<void> {
  await tabTo(page, page.getByRole('button', { name: label }))
  await page.keyboard.press('Enter')
  await page.getByRole('listbox').first().waitFor()
  for (let tries = 0; tries < 3; tries += 1) {
    await page.keyboard.type(beginning, { delay: 15 })
    const at = await page.evaluate(() => document.activeElement?.textContent ?? '')
    if (at.trim().toLowerCase().startsWith(beginning.toLowerCase())) break
    // where a machine stands still between two keys, the list takes the second for a new word; it forgets after a second
    await page.waitForTimeout(1100)
  }
  await page.keyboard.press('Enter')
  await page.getByRole('listbox').first().waitFor({ state: 'detached' })
}

/** Drags by the mouse from where it is held, once it stays in its place; held in the middle, or so far from its left top. */
export async function dragBy(
  page: Page,
  target: Locator,
  { x, y }: { x: number; y: number },
  position?: { x: number; y: number },
): Promise<void> {
  await target.hover(position ? { position } : {})
  const box = await target.boundingBox()
  if (!box) throw new Error(`${String(target)} cannot be seen`)
  const from = position ?? { x: box.width / 2, y: box.height / 2 }
  await page.mouse.down()
  await page.mouse.move(box.x + from.x + x, box.y + from.y + y, { steps: 8 })
  await page.mouse.up()
}

/** What axe finds wrong with the page as it stands; of a long table the first rows stand for the rest. */
export async function axeFaults(page: Page): Promise<readonly string[]> {
  const { violations } = await new AxeBuilder({ page })
    .exclude('svg *')
    .exclude('tbody tr:nth-child(n + 8)')
    .options({ resultTypes: ['violations'] })
    .setLegacyMode()
    .analyze()
  return violations.map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 120)).join(' | ')}`)
}
