import { parseDecimal } from '../../quantity/index.ts'

/** Which comes first in dates such as 3/4/2026. */
export type DateOrder = 'dayFirst' | 'monthFirst'

/** How a table is to be read. */
export interface TableReading {
  readonly dateOrder: DateOrder
  readonly unit: '°C' | '°F'
  /** the column of the water's temperature, where its names leave that open */
  readonly tempColumn?: number
}

/** A column by its place and its name. */
export interface NamedColumn {
  readonly at: number
  readonly name: string
}

/** What is wrong with a line of a table, as a code; the text is what stood there. */
export interface TableFault {
  /** from 1, as editors count */
  readonly line: number
  readonly code: 'noDate' | 'noSuchDay' | 'noSuchTime' | 'noFigure' | 'tooWarm' | 'belowIce'
  readonly text: string
}

/** A reading: local day since 1970, minute of the day, hundredths of a degree. */
export type TableRow = readonly [day: number, localMin: number, tempC100: number]

/** What a table says: all of it, or what is wrong with it line by line. */
export type TableResult =
  | { readonly kind: 'empty' }
  /** several columns could be the water's */
  | { readonly kind: 'which'; readonly columns: readonly NamedColumn[] }
  | { readonly kind: 'faulty'; readonly faults: readonly TableFault[]; readonly good: number }
  | {
      readonly kind: 'readings'
      readonly rows: readonly TableRow[]
      /** readings of one minute of one day, such as the hour that autumn has twice: their mean was taken */
      readonly doubled: number
      /** lines whose date lies before that of the line above */
      readonly outOfOrder: number
      readonly firstDay: number
      readonly lastDay: number
    }

const WARMEST_C = 32
/** Water under ice reads a little below nought on a poor thermometer. */
const COLDEST_C = -0.6
const NOON_MIN = 720
const DAY_MS = 86_400_000
const MINUTES = 60

const ISO = /^(\d{4})[-/.](\d{1,2})[-/.](\d{1,2})(?:[T ]+(.*))?$/
const WRITTEN = /^(\d{1,2})[-/.](\d{1,2})[-/.](\d{2}|\d{4})(?:[T ,]+(.*))?$/
const TIME = /^(\d{1,2})[:.h](\d{2})(?:[:.](\d{2})(?:[.,]\d+)?)?\s*(am|pm)?\s*(?:Z|[+-]\d{2}:?\d{2})?$/i

/** A day since 1970, or null where the calendar has none such, as 31 February. */
function dayOf(year: number, month: number, day: number): number | null {
  const ms = Date.UTC(year, month - 1, day)
  const back = new Date(ms)
  return back.getUTCMonth() === month - 1 && back.getUTCDate() === day ? ms / DAY_MS : null
}

type ReadDate =
  | { readonly kind: 'date'; readonly day: number; readonly rest: string }
  | { readonly kind: 'noDate' | 'noSuchDay' }

function readDate(text: string, order: DateOrder): ReadDate {
  const iso = ISO.exec(text)
  const written = WRITTEN.exec(text)
  if (!iso && !written) return { kind: 'noDate' }
  const [, a = '', b = '', c = '', rest = ''] = iso ?? written ?? []
  const [first, second, third] = [Number(a), Number(b), Number(c)]
  const year = iso ? first : third < 100 ? 2000 + third : third
  const [month, dayOfMonth] = iso ? [second, third] : order === 'dayFirst' ? [second, first] : [first, second]
  const day = dayOf(year, month, dayOfMonth)
  return day === null ? { kind: 'noSuchDay' } : { kind: 'date', day, rest: rest.trim() }
}

/** Minute of the day; noon where no time is given; null for what is no time. */
function readTime(text: string): number | null {
  if (text === '') return NOON_MIN
  const found = TIME.exec(text)
  if (!found) return null
  const [, hours = '', minutes = '', , half = ''] = found
  const hour = (Number(hours) % (half ? 12 : 24)) + (half.toLowerCase() === 'pm' ? 12 : 0)
  const inRange = Number(hours) <= 24 && Number(minutes) < MINUTES
  return inRange ? hour * MINUTES + Number(minutes) : null
}

/** Which columns hold what. */
interface Columns {
  readonly date: number
  readonly time: number | null
  readonly temp: number
  /** where several columns could be the water's */
  readonly candidates: readonly NamedColumn[]
}

const isDate = (cell: string) => ISO.test(cell) || WRITTEN.test(cell)
const isFigure = (cell: string) => parseDecimal(cell.replace(/°?\s*[CF]$/i, '').trim()).kind === 'number'

/** The columns of a table by its names where it has some, else by what stands in its first full line. */
function columnsOf(table: readonly (readonly string[])[]): Columns | null {
  const first = table.find((cells) => cells.some(isDate))
  if (!first) return null
  const date = first.findIndex(isDate)
  const timeAt = first.findIndex(
    (cell, i) => i !== date && TIME.test(cell) && !isDate(cell) && cell.includes(':'),
  )
  const time = timeAt >= 0 ? timeAt : null
  const names = (table[0] ?? []).map((name, at) => ({ at, name: name.trim() }))
  const open = names.filter(({ at, name }) => at !== date && at !== time && !isFigure(name) && !isDate(name))
  const best = Math.max(0, ...open.map(({ name }) => rankOf(name)))
  const named = best > 0 ? open.filter(({ name }) => rankOf(name) === best) : []
  const figures = first.flatMap((cell, at) => (at !== date && at !== time && isFigure(cell) ? [at] : []))
  const [temp] = named.length > 0 ? named.map(({ at }) => at) : figures
  if (temp === undefined) return null
  const unnamed =
    named.length > 0 ? [] : figures.map((at) => ({ at, name: `column ${at + 1}: ${first[at] ?? ''}` }))
  const candidates = named.length > 1 ? named : unnamed.length > 1 ? unnamed : []
  return { date, time, temp, candidates }
}

/** How surely a column's name is that of the water's temperature: nought for what it cannot be. */
function rankOf(name: string): number {
  if (!/temp|°\s*[cf]|water|wasser|eau/i.test(name)) return 0
  const water = /water|wasser|eau|stream|river|lake|bed|surface/i.test(name)
  const temp = /temp|°\s*[cf]/i.test(name)
  if (water) return temp ? 4 : /level|height|depth|stage|clarity|flow/i.test(name) ? 0 : 3
  return /air|luft|ambient/i.test(name) ? 1 : 2
}

/** The order of day and month that a table's own dates prove; null where all could be either. */
export function provenDateOrder(table: readonly (readonly string[])[]): DateOrder | null {
  for (const cells of table) {
    for (const cell of cells) {
      const found = WRITTEN.exec(cell.trim())
      if (found && Number(found[1]) > 12) return 'dayFirst'
      if (found && Number(found[2]) > 12) return 'monthFirst'
    }
  }
  return null
}

type ReadLine = { readonly row: TableRow } | { readonly fault: TableFault['code']; readonly text: string }

function readLine(cells: readonly string[], columns: Columns, { dateOrder, unit }: TableReading): ReadLine {
  const dateText = cells[columns.date]?.trim() ?? ''
  const date = readDate(dateText, dateOrder)
  if (date.kind !== 'date') return { fault: date.kind, text: dateText }
  const timeText = columns.time === null ? date.rest : (cells[columns.time]?.trim() ?? '')
  const localMin = readTime(timeText)
  if (localMin === null) return { fault: 'noSuchTime', text: timeText }
  const tempText = cells[columns.temp]?.trim() ?? ''
  const figure = parseDecimal(tempText.replace(/°?\s*[CF]$/i, '').trim())
  if (figure.kind !== 'number') return { fault: 'noFigure', text: tempText }
  const isF = /f$/i.test(tempText) || (unit === '°F' && !/c$/i.test(tempText))
  const tempC = isF ? ((figure.value - 32) * 5) / 9 : figure.value
  if (tempC > WARMEST_C) return { fault: 'tooWarm', text: tempText }
  if (tempC < COLDEST_C) return { fault: 'belowIce', text: tempText }
  return { row: [date.day, localMin, Math.round(Math.max(tempC, 0) * 100)] }
}

const blank = (cells: readonly string[]) => cells.every((cell) => cell.trim() === '')

/**
 * Reads a table of temperatures as loggers and people write them: a date, or a date and a time in one or two columns,
 * and a temperature, in any order of columns, under a line of names or none. All of it or nothing.
 *
 * @param table lines of cells, as the separators part them
 */
export function readTable(table: readonly (readonly string[])[], reading: TableReading): TableResult {
  const columns = columnsOf(table)
  if (!columns) {
    const line = table.findIndex((cells) => !blank(cells))
    return line < 0
      ? { kind: 'empty' }
      : {
          kind: 'faulty',
          good: 0,
          faults: [{ line: line + 1, code: 'noDate', text: (table[line] ?? []).join(' ') }],
        }
  }
  const { tempColumn } = reading
  if (columns.candidates.length > 0 && tempColumn === undefined)
    return { kind: 'which', columns: columns.candidates }
  const read = { ...columns, temp: tempColumn ?? columns.temp }
  const start = table.findIndex((cells) => cells.some(isDate))
  const faults: TableFault[] = []
  const byMinute = new Map<number, { day: number; localMin: number; sum: number; n: number }>()
  let [doubled, outOfOrder, good] = [0, 0, 0]
  let [firstDay, lastDay, before] = [Infinity, -Infinity, -Infinity]
  table.forEach((cells, i) => {
    if (blank(cells) || i < start) return
    const line = readLine(cells, read, reading)
    if ('fault' in line) {
      faults.push({ line: i + 1, code: line.fault, text: line.text })
      return
    }
    const [day, localMin, tempC100] = line.row
    good += 1
    if (day < before) outOfOrder += 1
    before = day
    firstDay = Math.min(firstDay, day)
    lastDay = Math.max(lastDay, day)
    const key = day * 1500 + localMin
    const known = byMinute.get(key)
    if (known) {
      doubled += 1
      byMinute.set(key, { ...known, sum: known.sum + tempC100, n: known.n + 1 })
    } else byMinute.set(key, { day, localMin, sum: tempC100, n: 1 })
  })
  if (faults.length > 0) return { kind: 'faulty', faults, good }
  if (byMinute.size === 0) return { kind: 'empty' }
  const rows = [...byMinute.values()]
    .map(({ day, localMin, sum, n }): TableRow => [day, localMin, Math.round(sum / n)])
    .sort((a, b) => a[0] - b[0] || a[1] - b[1])
  return { kind: 'readings', rows, doubled, outOfOrder, firstDay, lastDay }
}
