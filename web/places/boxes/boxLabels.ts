import { PDFDocument, StandardFonts } from 'pdf-lib'
import type { BoxLine } from '../../../contract/index.ts'
import { saveFile } from '../../files/saveFile.ts'

const PT_PER_MM = 72 / 25.4
/** A4, mm, with labels in three columns. */
const PAGE = { width: 210, height: 297, margin: 10, columns: 3, labelHeight: 34 }
const TITLE_PT = 11
const LINE_PT = 8
const MOST_LINES = 6

/** The standard fonts know the letters of Western Europe. */
const printable = (text: string) => text.replace(/[^\u0020-\u007e\u00a0-\u00ff–×]/g, '?')

/** Labels of a box's compartments, to cut out: the compartment, and the flies that have their place there. */
export async function boxLabels(box: BoxLine): Promise<Uint8Array> {
  const pdf = await PDFDocument.create()
  pdf.setTitle(`Labels: ${box.name}`)
  const [plain, bold] = await Promise.all([
    pdf.embedFont(StandardFonts.Helvetica),
    pdf.embedFont(StandardFonts.HelveticaBold),
  ])
  const perColumn = Math.floor((PAGE.height - 2 * PAGE.margin) / PAGE.labelHeight)
  const perPage = perColumn * PAGE.columns
  const labelWidth = (PAGE.width - 2 * PAGE.margin) / PAGE.columns
  const fit = (text: string, font: typeof plain, size: number) => {
    let shown = printable(text)
    while (shown.length > 1 && font.widthOfTextAtSize(shown, size) > (labelWidth - 6) * PT_PER_MM)
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
    })
    const write = (text: string, font: typeof plain, size: number, down: number) =>
      page.drawText(fit(text, font, size), { x: left + 5, y: top - down, font, size })
    write(place.label, bold, TITLE_PT, 14)
    write(box.name, plain, LINE_PT - 1, 23)
    place.flies.slice(0, MOST_LINES).forEach((fly, line) => {
      const keep = fly.par === null ? '' : `, keep ${fly.par}`
      write(`${fly.patternName} ${fly.label}${keep}`, plain, LINE_PT, 34 + line * (LINE_PT + 2))
    })
  })
  return pdf.save()
}

/** Offers the labels for printing. */
export async function saveBoxLabels(box: BoxLine): Promise<void> {
  const bytes = await boxLabels(box)
  const name = box.name.toLowerCase().replace(/[^a-z0-9]+/g, '-')
  saveFile(`labels-${name}.pdf`, new Blob([bytes as BlobPart], { type: 'application/pdf' }))
}
