import { parseDecimal } from '../quantity/index.ts'
import { cellReader, nameKey, tableFaults } from './table.ts'
import type { RowFault } from './table.ts'

/** A family of materials as a table names it. */
export interface NamedFamilyGoods {
  readonly key: string
  readonly name: string
  readonly stockUnit: 'count' | 'mm' | 'mg' | 'patch'
  readonly sizes: readonly string[]
  readonly colours: readonly string[]
}

/** A drawer that is there already. */
export interface NamedDrawer {
  readonly key: string
  readonly familyKey: string
  readonly sizeKey: string
  readonly colourName: string
}

/** A row that says what a drawer holds and how it is bought; null where it says nothing. Amounts in the smallest step. */
export interface StoresRow {
  readonly row: number
  /** null for a drawer that is not there yet */
  readonly drawerKey: string | null
  readonly familyKey: string
  readonly sizeKey: string
  readonly colourName: string
  readonly counted: number | null
  readonly minimumAmount: number | null
  readonly packAmount: number | null
  readonly priceMinor: number | null
  readonly supplier: string | null
}

export interface StoresTable {
  readonly rows: readonly StoresRow[]
  readonly faults: readonly RowFault[]
}

/** Columns of the table of stores, as it is written and read. */
export const STORES_COLUMNS = [
  'material', 'size', 'colour', 'on hand', 'unit', 'keep', 'pack', 'pack price', 'from',
] as const // prettier-ignore

/** Smallest steps in a unit, by the unit in which a family is kept. */
const UNITS: Readonly<Record<NamedFamilyGoods['stockUnit'], Readonly<Record<string, number>>>> = {
  count: { pieces: 100, piece: 100, pcs: 100, '': 100 },
  mm: { mm: 1, cm: 10, m: 1000, in: 25.4, ft: 304.8, yd: 914.4, '': 1000 },
  mg: { mg: 1, g: 1000, kg: 1_000_000, grain: 64.79891, oz: 28_349.523, '': 1000 },
  patch: { 'cm²': 100, cm2: 100, '': 100 },
}
/** The unit in which a table is written, by the unit in which a family is kept. */
export const TABLE_UNIT = { count: 'pieces', mm: 'm', mg: 'g', patch: 'cm²' } as const

const MOST_STEPS = 1_000_000_000
const COIN = 100

/** Reads a table of what the stores hold. Every row stands or falls by itself; a table with faults is not taken in. */
export function readStoresTable(
  table: readonly (readonly string[])[],
  families: readonly NamedFamilyGoods[],
  drawers: readonly NamedDrawer[],
  unclosedQuoteRow: number | null,
): StoresTable {
  const whole = tableFaults(table, ['material', 'on hand'], unclosedQuoteRow)
  if (whole.length > 0) return { rows: [], faults: whole }
  const cell = cellReader(table[0] ?? [])
  const rows: StoresRow[] = []
  const faults: RowFault[] = []
  const seen = new Set<string>()
  table.slice(1).forEach((cells, i) => {
    const row = i + 2
    if (cells.every((text) => text.trim() === '')) return
    const fault = (code: RowFault['code'], at: string) => void faults.push({ row, code, at })
    const name = cell(cells, 'material')
    const family = families.find((candidate) => nameKey(candidate.name) === nameKey(name))
    if (!family) return fault('unknownMaterial', name)
    const sizeKey = cell(cells, 'size')
    if (family.sizes.length === 0 ? sizeKey !== '' : !family.sizes.includes(sizeKey))
      return fault('unknownSize', sizeKey)
    const colour = family.colours.find((known) => nameKey(known) === nameKey(cell(cells, 'colour')))
    if (colour === undefined) return fault('unknownColour', cell(cells, 'colour'))
    const perUnit = UNITS[family.stockUnit][cell(cells, 'unit').toLowerCase()]
    if (perUnit === undefined) return fault('unknownUnit', cell(cells, 'unit'))
    let broken = false
    const amount = (column: string, steps: number, code: 'badAmount' | 'badPrice'): number | null => {
      const text = cell(cells, column)
      if (text === '') return null
      const parsed = parseDecimal(text)
      const value = parsed.kind === 'number' ? Math.round(parsed.value * steps) : -1
      if (value >= 0 && value <= MOST_STEPS) return value
      fault(code, text)
      broken = true
      return null
    }
    const read = {
      counted: amount('on hand', perUnit, 'badAmount'),
      minimumAmount: amount('keep', perUnit, 'badAmount'),
      packAmount: amount('pack', perUnit, 'badAmount') || null,
      priceMinor: amount('pack price', COIN, 'badPrice'),
    }
    if (broken) return
    const same = [family.key, sizeKey, colour].join('|')
    if (seen.has(same)) return fault('twice', `${name} ${sizeKey} ${colour}`.trim())
    seen.add(same)
    const drawer = drawers.find(
      (known) => known.familyKey === family.key && known.sizeKey === sizeKey && known.colourName === colour,
    )
    rows.push({
      row,
      drawerKey: drawer?.key ?? null,
      familyKey: family.key,
      sizeKey,
      colourName: colour,
      supplier: cell(cells, 'from') || null,
      ...read,
    })
  })
  return { rows, faults }
}
