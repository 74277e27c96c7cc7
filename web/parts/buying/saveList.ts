import { printElement } from '../../files/printElement.ts'
import { saveCsv } from '../../files/saveCsv.ts'
import { saveFile } from '../../files/saveFile.ts'

type Rows = readonly (readonly string[])[]
const HEADING = ['material', 'amount', 'packs', 'about', 'order by']

export const saveBuyingCsv = (rows: Rows): void => saveCsv('to-buy.csv', [HEADING, ...rows])

/** A table in Markdown; bars and line ends in a cell would break it. */
export function buyingMarkdown(title: string, rows: Rows): string {
  const line = (cells: readonly string[]) =>
    `| ${cells.map((cell) => cell.replace(/\|/g, '\\|').replace(/\s+/g, ' ')).join(' | ')} |`
  return [`# ${title}`, '', line(HEADING), line(HEADING.map(() => '---')), ...rows.map(line), ''].join('\n')
}

export const saveBuyingMarkdown = (title: string, rows: Rows): void =>
  saveFile('to-buy.md', new Blob([buyingMarkdown(title, rows)], { type: 'text/markdown;charset=utf-8' }))

/** Prints the list on its own, with a box before each line to tick. */
export function printBuying(title: string, rows: Rows): void {
  const page = document.createElement('div')
  const heading = document.createElement('h1')
  heading.textContent = title
  const table = document.createElement('table')
  for (const cells of [HEADING, ...rows]) {
    const row = table.insertRow()
    for (const text of [cells === HEADING ? '' : '☐', ...cells]) row.insertCell().textContent = text
  }
  page.append(heading, table)
  printElement(page)
}
