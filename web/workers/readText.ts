import { parse } from 'papaparse'
import { provenDateOrder, readTable } from '../../core/index.ts'
import type { DateOrder, TableReading, TableResult } from '../../core/index.ts'

/** What a text of readings says, read as asked or, where its own dates prove an order, by that. */
export interface ReadText {
  readonly result: TableResult
  readonly dateOrder: DateOrder
  /** whether the dates could be read either way */
  readonly ambiguous: boolean
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
  return {
    result: readTable(data, { ...reading, dateOrder }),
    dateOrder,
    ambiguous: proven === null && !/\d{4}-\d/.test(text.slice(0, 2000)),
  }
}
