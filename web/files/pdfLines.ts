import type { PDFDocument } from 'pdf-lib'
import { rgb } from 'pdf-lib'
import type { pdfPen } from './pdfPen.ts'
import { wrapped } from './wrapped.ts'

export const PT_PER_MM = 72 / 25.4
export const INK = rgb(0.11, 0.14, 0.145)
export const QUIET = rgb(0.34, 0.38, 0.4)
const BETWEEN = 0.26
const ROOM = 0.8

/** A page to be written on line by line. */
export interface LinedPage {
  readonly wideMm: number
  readonly highMm: number
  readonly marginPt: number
  /** of text where nothing else is said, points */
  readonly textPt: number
}

/** How a line is written; heavy for what is looked for, quiet for what stands beside it. */
export interface LineLook {
  readonly size?: number
  readonly heavy?: boolean
  readonly quiet?: boolean
  readonly indent?: number
}

/** Writes lines one below the other, wrapped, on a new page where one is full; an empty one leaves room. */
export function pdfLines(
  pdf: PDFDocument,
  pen: Awaited<ReturnType<typeof pdfPen>>,
  { wideMm, highMm, marginPt, textPt }: LinedPage,
): (text: string, look?: LineLook) => void {
  const dimensions: [number, number] = [wideMm * PT_PER_MM, highMm * PT_PER_MM]
  let page = pdf.addPage(dimensions)
  let y = dimensions[1] - marginPt
  return (text, { size = textPt, heavy = false, quiet = false, indent = 0 } = {}) => {
    if (text.trim() === '') {
      y -= size * ROOM
      return
    }
    const wide = dimensions[0] - 2 * marginPt - indent
    for (const part of wrapped(text, (one) => pen.widthOf(one, size, heavy), wide)) {
      if (y - size < marginPt) {
        page = pdf.addPage(dimensions)
        y = dimensions[1] - marginPt
      }
      pen.write(page, part, { x: marginPt + indent, y: y - size, size, heavy, colour: quiet ? QUIET : INK })
      y -= size * (1 + BETWEEN)
    }
  }
}
