import { knotsOf, wording } from '../../../../core/index.ts'
import type { DisplayUnits, RigPart } from '../../../../core/index.ts'
import { printElement } from '../../../files/printElement.ts'

function element<Name extends keyof HTMLElementTagNameMap>(name: Name, text = ''): HTMLElementTagNameMap[Name] {
  const made = document.createElement(name)
  made.textContent = text
  return made
}

/** A rig as it is said on paper: each part with the knot below it, what goes first, where it fishes. */
export function rigOnPaper(
  { name, note, parts }: { readonly name: string; readonly note: string; readonly parts: readonly RigPart[] },
  nameOf: (fly: string) => string,
  units: DisplayUnits,
  said: string,
  drawn: Element | null,
): HTMLElement {
  const page = element('section')
  page.className = 'rig'
  page.append(element('h1', name))
  const knots = knotsOf(parts)
  const table = element('table')
  parts.forEach((part, i) => {
    if (part.kind === 'knot') return
    const row = table.insertRow()
    row.append(element('td', wording.rigPartWords(part, nameOf, units)))
    const tied = knots.find(({ after }) => after === i)
    row.append(element('td', tied ? `${wording.knotName(tied.knot)}, ${wording.holds(tied.holdsKg)}` : ''))
  })
  page.append(table)
  for (const text of [said, note]) if (text) page.append(element('p', text))
  if (drawn) page.append(drawn.cloneNode(true))
  return page
}

/** Prints a rig on a page of its own. */
export function printRig(...rig: Parameters<typeof rigOnPaper>): void {
  printElement(rigOnPaper(...rig))
}
