import { fliesNamed } from './flyNames.ts'
import type { NamedFly } from './flyNames.ts'
import { cellReader, nameKey, tableFaults } from './table.ts'
import type { RowFault } from './table.ts'

/** A compartment as a table names it. */
export interface NamedPlace {
  readonly key: string
  readonly boxName: string
  readonly label: string
}

/** A row that says how many of a fly lie in a compartment. */
export interface BoxRow {
  readonly row: number
  readonly placeKey: string
  /** null for a fly that nobody has a recipe of */
  readonly flyKey: string | null
  readonly name: string
  readonly label: string
  readonly count: number
}

export interface BoxTable {
  readonly rows: readonly BoxRow[]
  readonly faults: readonly RowFault[]
}

/** Columns of the table of boxes, as it is written and read. */
export const BOX_COLUMNS = ['box', 'compartment', 'pattern', 'variant', 'count'] as const
const MOST = 999

/**
 * Reads a table of what lies in boxes. Every row stands or falls by itself; a table with faults is not taken in.
 *
 * @param takeUnknown whether a name that no fly has is a fly without a recipe
 */
export function readBoxTable(
  table: readonly (readonly string[])[],
  places: readonly NamedPlace[],
  flies: readonly NamedFly[],
  {
    takeUnknown,
    unclosedQuoteRow,
  }: { readonly takeUnknown: boolean; readonly unclosedQuoteRow: number | null },
): BoxTable {
  const whole = tableFaults(table, ['compartment', 'pattern', 'count'], unclosedQuoteRow)
  if (whole.length > 0) return { rows: [], faults: whole }
  const cell = cellReader(table[0] ?? [])
  const rows: BoxRow[] = []
  const faults: RowFault[] = []
  const seen = new Set<string>()
  table.slice(1).forEach((cells, i) => {
    const row = i + 2
    if (cells.every((text) => text.trim() === '')) return
    const fault = (code: RowFault['code'], at: string) => faults.push({ row, code, at })
    const [boxName, placeName] = [cell(cells, 'box'), cell(cells, 'compartment')]
    const inBox = places.filter((place) => boxName === '' || nameKey(place.boxName) === nameKey(boxName))
    if (inBox.length === 0) return fault('unknownBox', boxName)
    const place = inBox.find(({ label }) => nameKey(label) === nameKey(placeName))
    if (!place) return fault('unknownPlace', placeName)
    const [name, label] = [cell(cells, 'pattern'), cell(cells, 'variant')]
    const written = `${name} ${label}`.trim()
    const found = name === '' ? [] : fliesNamed({ name: written, hookSize: null, written }, flies)
    if (found.length > 1) return fault('severalFlies', name)
    if (name === '' || (found.length === 0 && !takeUnknown)) return fault('unknownFly', written)
    const text = cell(cells, 'count')
    if (!/^\d{1,3}$/.test(text) || Number(text) > MOST) return fault('badCount', text)
    const fly = found[0]
    const same = `${place.key}|${fly?.key ?? nameKey(written)}`
    if (seen.has(same)) return fault('twice', written)
    seen.add(same)
    rows.push({ row, placeKey: place.key, flyKey: fly?.key ?? null, name, label, count: Number(text) })
  })
  return { rows, faults }
}
