/** What is wrong with a row of a table, as a code with what it was about; rows count from 1, the heading being the first. */
export interface RowFault {
  readonly row: number
  readonly code:
    | 'noHeading'
    | 'wrongEncoding'
    | 'strayQuote'
    | 'tooManyRows'
    | 'unknownBox'
    | 'unknownPlace'
    | 'unknownFly'
    | 'severalFlies'
    | 'badCount'
    | 'badAmount'
    | 'badPrice'
    | 'unknownUnit'
    | 'unknownMaterial'
    | 'unknownSize'
    | 'unknownColour'
    | 'twice'
  readonly at: string
}

/** Rows that one table may have. */
export const MOST_TABLE_ROWS = 2000

/** Columns of a table by the words of its heading. */
export type Columns<Name extends string> = Readonly<Record<Name, number>>

/** What other programs leave where they could not write a character. */
const BROKEN = /\uFFFD|Ã[\u0080-\u00BF]|\u0000/u

/**
 * Faults that make a table unreadable as a whole: no heading with these columns, too many rows, the wrong encoding,
 * a quotation mark that never closes.
 */
export function tableFaults(
  rows: readonly (readonly string[])[],
  needed: readonly string[],
  unclosedQuoteRow: number | null,
): readonly RowFault[] {
  if (unclosedQuoteRow !== null) return [{ row: unclosedQuoteRow, code: 'strayQuote', at: '"' }]
  const heading = (rows[0] ?? []).map(headingWord)
  const missing = needed.filter((name) => !heading.includes(name))
  if (missing.length > 0) return [{ row: 1, code: 'noHeading', at: missing.join(', ') }]
  if (rows.length - 1 > MOST_TABLE_ROWS) return [{ row: 1, code: 'tooManyRows', at: String(rows.length - 1) }]
  const broken = rows.findIndex((cells) => cells.some((cell) => BROKEN.test(cell)))
  if (broken >= 0)
    return [
      { row: broken + 1, code: 'wrongEncoding', at: rows[broken]?.find((cell) => BROKEN.test(cell)) ?? '' },
    ]
  return []
}

const headingWord = (cell: string) =>
  cell
    .replace(/^\uFEFF/, '')
    .trim()
    .toLowerCase()

/** A reader of cells by their heading; a column that is not there reads as empty. An apostrophe before a formula is dropped. */
export function cellReader(heading: readonly string[]) {
  const at = new Map(heading.map((cell, i) => [headingWord(cell), i]))
  return (cells: readonly string[], column: string): string => {
    const i = at.get(column)
    return i === undefined ? '' : (cells[i] ?? '').trim().replace(/^'(?=[=+\-@\t\r])/, '')
  }
}

/** Names compare by this: case, width and spaces do not count. */
export const nameKey = (text: string): string =>
  text.normalize('NFC').trim().replace(/\s+/g, ' ').toLocaleLowerCase('en')
