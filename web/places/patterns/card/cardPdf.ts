import { PDFDocument, rgb } from 'pdf-lib'
import type { PDFPage } from 'pdf-lib'
import { drawSketch } from '../../../../core/index.ts'
import type { FlySketch, wording } from '../../../../core/index.ts'
import { pdfPen } from '../../../files/pdfPen.ts'
import type { FontFiles } from '../../../files/pdfPen.ts'
import { wrapped } from '../../../files/wrapped.ts'

const PT_PER_MM = 72 / 25.4
/** Width and height of a card, mm: A6, and a quarter of a letter. */
export const CARD_SIZES = { a6: [105, 148], letterQuarter: [107.95, 139.7] } as const
export type CardSize = keyof typeof CARD_SIZES

const MARGIN = 16
const TEXT = 7.6
const LEADING = 9.6
const INK = rgb(0.11, 0.14, 0.145)
const QUIET = rgb(0.34, 0.38, 0.4)

function colourOf(hex: string | null) {
  const match = /^#([0-9a-f]{2})([0-9a-f]{2})([0-9a-f]{2})$/i.exec(hex ?? '')
  if (!match) return undefined
  const [r = 0, g = 0, b = 0] = match.slice(1).map((pair) => parseInt(pair, 16) / 255)
  return rgb(r, g, b)
}

/** Printers have more dots than points: the fly is drawn at so many to the point. */
const DOTS_PER_PT = 4

/** Draws the fly as large as fits, to scale, with a rule of millimetres below; answers where the rule lies. */
function drawFly(page: PDFPage, sketch: FlySketch, top: number, wide: number, most: number): number {
  const { widthMm, heightMm } = sketch.frame
  const scale = Math.min(wide / widthMm, most / heightMm)
  const drawing = drawSketch(sketch, { pxPerMm: scale * DOTS_PER_PT })
  const pt = 1 / DOTS_PER_PT
  const left = MARGIN + (wide - drawing.widthPx * pt) / 2
  for (const { path, fill, stroke, strokePx, opacity } of drawing.shapes) {
    const colour = colourOf(fill)
    const border = colourOf(stroke)
    page.drawSvgPath(path, {
      x: left - drawing.leftPx * pt,
      y: top + drawing.topPx * pt,
      scale: pt,
      ...(colour ? { color: colour, opacity } : {}),
      ...(border ? { borderColor: border, borderWidth: strokePx * pt, borderOpacity: opacity } : {}),
    })
  }
  const y = top - drawing.heightPx * pt - 5
  const zero = left - drawing.leftPx * pt
  for (let mm = 0; mm <= 10; mm += 1) {
    const x = zero + mm * scale
    page.drawLine({
      start: { x, y },
      end: { x, y: y - (mm % 5 === 0 ? 5 : 3) },
      thickness: 0.5,
      color: QUIET,
    })
  }
  page.drawLine({ start: { x: zero, y }, end: { x: zero + 10 * scale, y }, thickness: 0.5, color: QUIET })
  return y - 8
}

/** A card as PDF, to print and lay beside the vise: the drawing to scale, the steps with their numbers, what it does. */
export async function cardPdf(
  card: wording.Card,
  sketch: FlySketch,
  size: CardSize,
  files: FontFiles,
): Promise<Uint8Array> {
  const pdf = await PDFDocument.create()
  pdf.setTitle(card.title)
  const pen = await pdfPen(pdf, files)
  const [wideMm, highMm] = CARD_SIZES[size]
  const dimensions: [number, number] = [wideMm * PT_PER_MM, highMm * PT_PER_MM]
  const wide = dimensions[0] - 2 * MARGIN
  let page = pdf.addPage(dimensions)
  let y = dimensions[1] - MARGIN
  const line = (text: string, { heavy = false, size: at = TEXT, quiet = false, indent = 0 } = {}) => {
    for (const part of wrapped(text, (part) => pen.widthOf(part, at, heavy), wide - indent)) {
      if (y - at < MARGIN) {
        page = pdf.addPage(dimensions)
        y = dimensions[1] - MARGIN
      }
      pen.write(page, part, { x: MARGIN + indent, y: y - at, size: at, heavy, colour: quiet ? QUIET : INK })
      y -= at + (LEADING - TEXT)
    }
  }
  line(card.title, { heavy: true, size: 12 })
  line(card.hook, { quiet: true })
  y = drawFly(page, sketch, y - 4, wide, 90) - 10
  line('Rule in mm. Places along the shank are from the rear of the eye.', { quiet: true, size: 5.5 })
  for (const figure of card.figures) line(figure)
  y -= 3
  for (const [i, { title, material, numbers }] of card.steps.entries()) {
    line(`${i + 1}  ${title}${material ? `: ${material}` : ''}`, { heavy: true })
    if (numbers) line(numbers, { indent: 10 })
  }
  y -= 3
  if (card.serves.length > 0) line(`For ${card.serves.join('; ')}`, { quiet: true })
  if (card.note) line(card.note)
  return pdf.save()
}
