import { unparse } from 'papaparse'
import { saveFile } from './saveFile.ts'

/** Rows as comma-separated values of which no cell runs as a formula in a spreadsheet. */
export const csvOf = (rows: readonly (readonly (string | number)[])[]): string =>
  unparse(
    rows.map((cells) => cells.map(String)),
    { escapeFormulae: true },
  )

/** Offers rows as a file of comma-separated values. */
export function saveCsv(name: string, rows: readonly (readonly (string | number)[])[]): void {
  saveFile(name, new Blob([csvOf(rows)], { type: 'text/csv;charset=utf-8' }))
}
