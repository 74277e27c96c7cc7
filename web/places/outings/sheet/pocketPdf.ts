import { PDFDocument } from 'pdf-lib'
import { pdfPen } from '../../../files/pdfPen.ts'
import type { FontFiles } from '../../../files/pdfPen.ts'
import { INK, pdfLines, PT_PER_MM, QUIET } from '../../../files/pdfLines.ts'
import type { PocketCard, PocketLine } from '../../../parts/waterside/pocketCard.ts'
import { labels } from '../../../words/waterside.ts'

/** A6, and a strip that lies in the lid of a box, mm. */
export const POCKET_SIZES = { card: [105, 148], strip: [180, 45] } as const
const MARGIN = 14
const STRIP = { margin: 8, columns: 3, size: 6.4 }
const TEXT = 7.6

const inPoints = ([wide, high]: readonly [number, number]): [number, number] => [
  wide * PT_PER_MM,
  high * PT_PER_MM,
]

/** The strip for the lid: when and which fly, in columns, and nothing else. */
function writeStrip(pdf: PDFDocument, pen: Awaited<ReturnType<typeof pdfPen>>, card: PocketCard): void {
  const dimensions = inPoints(POCKET_SIZES.strip)
  const page = pdf.addPage(dimensions)
  const { margin, columns, size } = STRIP
  const wide = (dimensions[0] - 2 * margin) / columns
  const cut = (text: string, heavy: boolean) => {
    let shown = text
    while (shown.length > 1 && pen.widthOf(shown, size, heavy) > wide - 6) shown = `${shown.slice(0, -2)}…`
    return shown
  }
  page.drawRectangle({ x: 1, y: 1, width: dimensions[0] - 2, height: dimensions[1] - 2, borderWidth: 0.5, borderColor: QUIET }) // prettier-ignore
  pen.write(page, card.title, { x: margin, y: dimensions[1] - margin - size, size, heavy: true, colour: INK })
  const told = card.lines.filter((line): line is PocketLine & { readonly fly: string } => line.fly !== null)
  const perColumn = Math.ceil(told.length / columns)
  told.forEach(({ when, what, fly }, i) => {
    const x = margin + wide * Math.floor(i / perColumn)
    const y = dimensions[1] - margin - 2.6 * size - (i % perColumn) * 2.7 * size
    pen.write(page, cut(fly, true), { x, y: y - size, size, heavy: true, colour: INK })
    pen.write(page, cut(`${when} ${what}`.trim(), false), { x, y: y - 2.1 * size, size, colour: QUIET })
  })
}

/** A pocket card as PDF: A6, and a strip for the lid of the box. */
export async function pocketPdf(card: PocketCard, files: FontFiles): Promise<Uint8Array> {
  const pdf = await PDFDocument.create()
  pdf.setTitle(card.title)
  const pen = await pdfPen(pdf, files)
  const [wideMm, highMm] = POCKET_SIZES.card
  const line = pdfLines(pdf, pen, { wideMm, highMm, marginPt: MARGIN, textPt: TEXT })
  line(card.title, { size: 10, heavy: true })
  line(card.rules, { quiet: true })
  for (const { when, what, fly, place, then } of card.lines) {
    line(`${when} ${what}`.trim(), { quiet: true })
    line(fly ? `${fly} (${place})` : labels.gap, { heavy: fly !== null, indent: 8 })
    if (then) line(then, { indent: 8 })
  }
  line(' ')
  for (const one of card.rigs) line(one)
  if (card.rigs.length > 0) line(' ')
  for (const one of card.help) line(one)
  line(labels.wade, { quiet: true, size: 6 })
  writeStrip(pdf, pen, card)
  return pdf.save()
}
