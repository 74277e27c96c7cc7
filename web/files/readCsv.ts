import { parse } from 'papaparse'

const LARGEST_BYTES = 5_000_000

/** A file of comma-separated values as cells, or why it is none. */
export type CsvFile =
  | {
      readonly kind: 'cells'
      readonly rows: readonly (readonly string[])[]
      /** row, from 1, at which a quotation mark opens that never closes; null where all do */
      readonly unclosedQuoteRow: number | null
    }
  | { readonly kind: 'refused'; readonly why: string }

/** Reads a file by whatever separator it has. */
export async function readCsv(file: File): Promise<CsvFile> {
  if (file.size > LARGEST_BYTES) {
    const megabytes = (file.size / 1e6).toFixed(1)
    return { kind: 'refused', why: `This file has ${megabytes} MB; a table of 2,000 rows has less than one.` }
  }
  const text = (await file.text()).trimEnd()
  if (text === '') return { kind: 'refused', why: 'This file is empty.' }
  const { data, errors } = parse<string[]>(text, { delimitersToGuess: [',', ';', '\t', '|'] })
  const quote = errors.find(({ type }) => type === 'Quotes')
  return { kind: 'cells', rows: data, unclosedQuoteRow: quote ? (quote.row ?? 0) + 1 : null }
}
