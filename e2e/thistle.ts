import AxeBuilder from '@axe-core/playwright'
import { test as base } from '@playwright/test'
import type { Locator, Page } from '@playwright/test'
import { cp, mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { startProcess } from './serving.ts'
import type { Serving } from './serving.ts'

interface Fixtures {
  /** a server of this test's own, over a copy of the demo's data */
  readonly serving: Serving
  /** errors of the page's console; a test fails where there are any at its end */
  readonly pageErrors: string[]
}

/** Tests over the demo's data: each has its own server and a page whose console stays clean. */
export const test = base.extend<Fixtures, { readonly filled: string }>({
  filled: [
    async ({}, use) => {
      const folder = await mkdtemp(join(tmpdir(), 'thistle-filled-'))
      const serving = await startProcess('demo', folder)
      await serving.stop()
      await use(folder)
      await rm(folder, { recursive: true, force: true })
    },
    { scope: 'worker' },
  ],
  serving: async ({ filled }, use) => {
    const folder = await mkdtemp(join(tmpdir(), 'thistle-e2e-'))
    await cp(filled, folder, { recursive: true })
    const serving = await startProcess('demo', folder)
    await use(serving)
    await serving.stop()
    await rm(folder, { recursive: true, force: true })
  },
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

/** Chooses from a list by its label, with the mouse. */
export async function choose(
  page: Page,
  label: string | RegExp,
  option: string | RegExp,
  within: Page | Locator = page,
): Promise<void> {
  await within.getByRole('button', { name: label }).first().click()
  await page.getByRole('option', { name: option }).first().click()
}

/** Presses Tab until something has focus; fails where it cannot be reached. */
export async function tabTo(page: Page, target: Locator, most = 160): Promise<void> {
  await target.first().waitFor()
  for (let i = 0; i < most; i += 1) {
    if (await target.first().evaluate((element) => element === document.activeElement)) return
    await page.keyboard.press('Tab')
  }
  throw new Error(`cannot reach ${String(target)} by Tab`)
}

/** Chooses from a list by keyboard alone: Tab to it, open it, type the beginning of the option, Enter. */
export async function chooseByKeys(page: Page, label: string | RegExp, beginning: string): Promise<void> {
  await tabTo(page, page.getByRole('button', { name: label }))
  await page.keyboard.press('Enter')
  await page.getByRole('listbox').first().waitFor()
  await page.keyboard.type(beginning, { delay: 15 })
  await page.keyboard.press('Enter')
  await page.getByRole('listbox').first().waitFor({ state: 'detached' })
}

/** What axe finds wrong with the page as it stands; of a long table the first rows stand for the rest. */
export async function axeFaults(page: Page): Promise<readonly string[]> {
  const { violations } = await new AxeBuilder({ page })
    .exclude('svg *')
    .exclude('tbody tr:nth-child(n + 8)')
    .analyze()
  return violations.map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 120)).join(' | ')}`)
}
