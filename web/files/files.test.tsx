// @vitest-environment jsdom
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { buyingMarkdown, printBuying, saveBuyingCsv } from '../parts/buying/saveList.ts'
import { readCsv } from './readCsv.ts'

const file = (text: string) => ({ size: text.length, text: () => Promise.resolve(text) }) as File

describe('readCsv', () => {
  it.each([
    ['comma', 'a,b\n1,"2, or 3"'],
    ['semicolon', 'a;b\n1;2, or 3'],
    ['tab', 'a\tb\n1\t2, or 3'],
    ['bar', 'a|b\n1|2, or 3'],
  ])('reads cells that a %s parts', async (_, text) => {
    expect(await readCsv(file(`${text}\n\n`))).toEqual({
      kind: 'cells',
      rows: [['a', 'b'], ['1', '2, or 3']],
      unclosedQuoteRow: null,
    }) // prettier-ignore
  })

  it('names the row whose quotation mark never closes', async () => {
    expect(await readCsv(file('a,b\n1,2\n"3,4\n5,6'))).toMatchObject({ kind: 'cells', unclosedQuoteRow: 3 })
  })

  it('refuses what is empty, and what is far larger than a table', async () => {
    expect(await readCsv(file('  \n'))).toEqual({ kind: 'refused', why: 'This file is empty.' })
    const large = { size: 5_000_001, text: () => Promise.reject(new Error('read')) } as unknown as File
    expect(await readCsv(large)).toMatchObject({
      kind: 'refused',
      why: expect.stringContaining('5.0 MB') as string,
    })
    const full = { size: 5_000_000, text: () => Promise.resolve('a') } as unknown as File
    expect((await readCsv(full)).kind).toBe('cells')
  })
})

describe('a list to buy', () => {
  const rows = [['Hooks | jig', '25', '1', '£4.50', 'Mon 8 June'], ['Thread\n50', '', '1', '', '']] // prettier-ignore
  let saved: { name: string; text: Promise<string> }[] = []
  beforeEach(() => {
    saved = []
    let blob: Blob | null = null
    URL.createObjectURL = (made) => ((blob = made as Blob), 'blob:it')
    URL.revokeObjectURL = () => undefined
    HTMLAnchorElement.prototype.click = function () {
      const reader = new FileReader()
      const text = new Promise<string>((resolve) => (reader.onload = () => resolve(String(reader.result))))
      if (blob) reader.readAsText(blob)
      saved.push({ name: this.download, text })
    }
    window.print = () => undefined
  })
  afterEach(() => document.querySelectorAll('.printed').forEach((page) => page.remove()))

  it('is a table in Markdown whose cells break nothing', () => {
    expect(buyingMarkdown('To buy', rows).split('\n')).toEqual([
      '# To buy',
      '',
      '| material | amount | packs | about | order by |',
      '| --- | --- | --- | --- | --- |',
      '| Hooks \\| jig | 25 | 1 | £4.50 | Mon 8 June |',
      '| Thread 50 |  | 1 |  |  |',
      '',
    ])
  })

  it('is saved as comma-separated values under its headings', async () => {
    saveBuyingCsv(rows)
    expect(saved[0]?.name).toBe('to-buy.csv')
    expect((await saved[0]!.text).split(/\r?\n/)[0]).toMatch(/^\W?material,amount,packs,about,order by$/)
  })

  it('is printed with a box to tick before each line, and goes from the page afterwards', () => {
    printBuying('To buy', rows)
    const page = document.querySelector('.printed')!
    expect(page.querySelector('h1')?.textContent).toBe('To buy')
    const cells = [...page.querySelectorAll('tr')].map((row) => [...row.cells].map((cell) => cell.textContent))
    expect(cells.map(([tick]) => tick)).toEqual(['', '☐', '☐'])
    expect(cells[1]?.slice(1)).toEqual(rows[0])
    window.dispatchEvent(new Event('afterprint'))
    expect(document.querySelector('.printed')).toBeNull()
  })
})
