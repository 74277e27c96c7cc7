import { parse } from 'papaparse'
import { provenDateOrder, readTable } from '../../core/index.ts'
import type { DateOrder, TableFault, TableReading, TableResult } from '../../core/index.ts'

/** A table that can be taken in whole: its rows stay text, since a page would stand still over a hundred thousand. */
export interface ReadableTable extends Omit<Extract<TableResult, { kind: 'readings' }>, 'rows'> {
  /** rows of the import as JSON */
  readonly rowsJson: string
  readonly count: number
  readonly coldestC: number
  readonly warmestC: number
}

/** A table with faults: the first of them, and how many there are. */
export interface FaultyTable {
  readonly kind: 'faulty'
  readonly faults: readonly TableFault[]
  readonly faultCount: number
  readonly good: number
}

/** What a text of readings says, read as asked or, where its own dates prove an order, by that. */
export interface ReadText {
  readonly result: Extract<TableResult, { kind: 'empty' | 'which' }> | FaultyTable | ReadableTable
  readonly dateOrder: DateOrder
  /** whether the dates could be read either way */
  readonly ambiguous: boolean
}

const FIRST_FAULTS = 8

function inShort(table: TableResult): ReadText['result'] {
  switch (table.kind) {
    case 'empty':
    case 'which':
      return table
    case 'faulty':
      return { ...table, faults: table.faults.slice(0, FIRST_FAULTS), faultCount: table.faults.length }
    case 'readings': {
      const { rows, ...said } = table
      let [coldest, warmest] = [Infinity, -Infinity]
      for (const [, , c100] of rows) {
        coldest = Math.min(coldest, c100)
        warmest = Math.max(warmest, c100)
      }
      return {
        ...said,
        rowsJson: JSON.stringify(rows.map(([day, localMin, c100]) => [day, localMin, c100, null, null])),
        count: rows.length,
        coldestC: coldest / 100,
        warmestC: warmest / 100,
      }
    }
  }
}

/** Parts a text into cells by whatever separator it has, and reads the table. */
export function* readText({
  text,
  reading,
}: {
  readonly text: string
  readonly reading: TableReading
}): Generator<{ readonly done: number }, ReadText> {
  yield { done: 0 }
  // an empty last line would count against every separator
  const { data } = parse<string[]>(text.trimEnd(), {
    delimitersToGuess: [';', '\t', ',', '|'],
    skipEmptyLines: false,
  })
  yield { done: 0.5 }
  const proven = provenDateOrder(data)
  const dateOrder = proven ?? reading.dateOrder
  const table = readTable(data, { ...reading, dateOrder })
  yield { done: 0.9 }
  return {
    result: inShort(table),
    dateOrder,
    ambiguous: proven === null && !/\d{4}-\d/.test(text.slice(0, 2000)),
  }
}
