import { PDFDocument, rgb } from 'pdf-lib'
import type { BoxLine } from '../../../contract/index.ts'
import { pdfPen } from '../../files/pdfPen.ts'
import type { FontFiles } from '../../files/pdfPen.ts'
import { saveFile } from '../../files/saveFile.ts'
import { shippedFont } from '../../files/shippedFont.ts'

const PT_PER_MM = 72 / 25.4
/** A4, mm, with labels in three columns. */
const PAGE = { width: 210, height: 297, margin: 10, columns: 3, labelHeight: 34 }
const TITLE_PT = 11
const LINE_PT = 8
const MOST_LINES = 6
const INK = rgb(0.11, 0.14, 0.145)

/** Labels of a box's compartments, to cut out: the compartment, and the flies that have their place there. */
export async function boxLabels(box: BoxLine, files: FontFiles): Promise<Uint8Array> {
  const pdf = await PDFDocument.create()
  pdf.setTitle(`Labels: ${box.name}`)
  const pen = await pdfPen(pdf, files)
  const perColumn = Math.floor((PAGE.height - 2 * PAGE.margin) / PAGE.labelHeight)
  const perPage = perColumn * PAGE.columns
  const labelWidth = (PAGE.width - 2 * PAGE.margin) / PAGE.columns
  const fit = (text: string, size: number, heavy: boolean) => {
    let shown = text
    while (shown.length > 1 && pen.widthOf(shown, size, heavy) > (labelWidth - 6) * PT_PER_MM)
      shown = `${shown.slice(0, -2)}.`
    return shown
  }
  box.compartments.forEach((place, i) => {
    const at = i % perPage
    const page =
      at === 0
        ? pdf.addPage([PAGE.width * PT_PER_MM, PAGE.height * PT_PER_MM])
        : pdf.getPage(pdf.getPageCount() - 1)
    const left = (PAGE.margin + (at % PAGE.columns) * labelWidth) * PT_PER_MM
    const top = (PAGE.height - PAGE.margin - Math.floor(at / PAGE.columns) * PAGE.labelHeight) * PT_PER_MM
    const height = (PAGE.labelHeight - 2) * PT_PER_MM
    page.drawRectangle({
      x: left,
      y: top - height,
      width: (labelWidth - 2) * PT_PER_MM,
      height,
      borderWidth: 0.5,
      borderColor: INK,
    })
    const write = (text: string, size: number, down: number, heavy = false) =>
      pen.write(page, fit(text, size, heavy), { x: left + 5, y: top - down, size, heavy })
    write(place.label, TITLE_PT, 14, true)
    write(box.name, LINE_PT - 1, 23)
    place.flies.slice(0, MOST_LINES).forEach((fly, line) => {
      const keep = fly.par === null ? '' : `, keep ${fly.par}`
      write(`${fly.patternName} ${fly.label}${keep}`, LINE_PT, 34 + line * (LINE_PT + 2))
    })
  })
  return pdf.save()
}

/** Offers the labels for printing. */
export async function saveBoxLabels(box: BoxLine): Promise<void> {
  const bytes = await boxLabels(box, await shippedFont())
  const name = box.name.toLowerCase().replace(/[^a-z0-9]+/g, '-')
  saveFile(`labels-${name}.pdf`, new Blob([bytes as BlobPart], { type: 'application/pdf' }))
}
