import { unparse } from 'papaparse'
import { saveFile } from './saveFile.ts'

/** Offers rows as comma-separated values of which no cell runs as a formula in a spreadsheet. */
export function saveCsv(name: string, rows: readonly (readonly (string | number)[])[]): void {
  const text = unparse(
    rows.map((cells) => cells.map(String)),
    { escapeFormulae: true },
  )
  saveFile(name, new Blob([text], { type: 'text/csv;charset=utf-8' }))
}
