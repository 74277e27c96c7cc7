import type { BoxLine, CompartmentLine } from '../../../contract/index.ts'
import { printElement } from '../../files/printElement.ts'

/** Slits of a fly on paper: full, then those that wait for what is kept. */
const slits = (count: number, par: number | null): string =>
  '■'.repeat(count) + '□'.repeat(Math.max((par ?? 0) - count, 0))

function element<Name extends keyof HTMLElementTagNameMap>(name: Name, text = ''): HTMLElementTagNameMap[Name] {
  const made = document.createElement(name)
  made.textContent = text
  return made
}

function placeOnPaper({ label, capacity, flies }: CompartmentLine): HTMLTableCellElement {
  const cell = element('td')
  const held = flies.reduce((sum, { count }) => sum + count, 0)
  cell.append(element('strong', capacity === null ? label : `${label} · ${held} of ${capacity}`))
  const list = element('ul')
  for (const { patternName, label: variant, count, par } of flies)
    list.append(element('li', `${patternName} ${variant} ${slits(count, par)} ${count}`))
  cell.append(list)
  return cell
}

/** A box as it lies open: its compartments in their rows and columns, each with what is in it and what it waits for. */
export function boxOnPaper({ name, note, compartments }: BoxLine): HTMLElement {
  const page = element('section')
  page.append(element('h1', name))
  if (note) page.append(element('p', note))
  const table = element('table')
  const columns = Math.max(...compartments.map(({ column }) => column), 0) + 1
  for (const row of [...new Set(compartments.map((place) => place.row))].sort((a, b) => a - b)) {
    const line = table.insertRow()
    for (let column = 0; column < columns; column += 1) {
      const place = compartments.find((one) => one.row === row && one.column === column)
      line.append(place ? placeOnPaper(place) : element('td'))
    }
  }
  page.append(table)
  return page
}

/** Prints the plans of boxes, and nothing else of the window. */
export function printPlan(boxes: readonly BoxLine[]): void {
  const pages = document.createElement('div')
  pages.className = 'plan'
  pages.append(...boxes.map(boxOnPaper))
  printElement(pages)
}
