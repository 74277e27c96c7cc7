import { MONTH_STARTS, WEEK_DAYS } from '../../../core/index.ts'
import { MONTHS } from '../../words/days.ts'
import { printElement } from '../../files/printElement.ts'
import { saveFile } from '../../files/saveFile.ts'

/** A food's year as it is drawn. */
export interface DrawnRow {
  readonly name: string
  readonly about: readonly number[]
  readonly onIt: readonly number[]
  /** days of the year on which it was seen here */
  readonly seenDays: readonly number[]
}

interface DrawnYear {
  readonly title: string
  readonly rows: readonly DrawnRow[]
  /** the water's usual warmth by month, as text */
  readonly warmth: readonly string[]
}

const WIDE = 1240
const NAME_WIDE = 360
const HEAD_HIGH = 110
const MARGIN = 30
/** A page is this much higher than wide: ISO 216. */
const PAGE = Math.SQRT2
const SHARP = 2

function area(context: CanvasRenderingContext2D, heights: readonly number[], base: number, high: number): void {
  const x = (i: number) => NAME_WIDE + (Math.min(i * WEEK_DAYS, 365) / 365) * (WIDE - NAME_WIDE - MARGIN)
  context.beginPath()
  context.moveTo(x(0), base)
  for (const [i, height] of heights.entries()) context.lineTo(x(i), base - height * high)
  context.lineTo(x(heights.length - 1), base)
  context.fill()
}

/** Draws the year of a reach on one upright page, in ink on paper whatever the bench looks like. */
function yearOnPage({ title, rows, warmth }: DrawnYear): HTMLCanvasElement {
  const canvas = document.createElement('canvas')
  const tall = Math.round(WIDE * PAGE)
  canvas.width = WIDE * SHARP
  canvas.height = tall * SHARP
  const context = canvas.getContext('2d')
  if (!context) throw new Error('this browser does not draw')
  context.scale(SHARP, SHARP)
  const ink = (colour: string) => (context.fillStyle = context.strokeStyle = colour)
  const family = getComputedStyle(document.body).fontFamily
  const x = (day: number) => NAME_WIDE + (day / 365) * (WIDE - NAME_WIDE - MARGIN)
  const rowHigh = Math.min((tall - HEAD_HIGH - MARGIN) / Math.max(rows.length, 1), 34)
  ink('#ffffff')
  context.fillRect(0, 0, WIDE, tall)
  ink('#1c2325')
  context.font = `600 24px ${family}`
  context.fillText(title, MARGIN, 44)
  context.font = `14px ${family}`
  for (const [month, day] of MONTH_STARTS.entries()) {
    ink('#1c2325')
    context.fillText(`${MONTHS[month] ?? ''} ${warmth[month] ?? ''}`, x(day) + 3, HEAD_HIGH - 14)
    ink('#d3dbd6')
    context.fillRect(x(day), HEAD_HIGH - 8, 1, rows.length * rowHigh + 8)
  }
  context.font = `${Math.min(rowHigh * 0.8, 15)}px ${family}`
  for (const [i, { name, about, onIt, seenDays }] of rows.entries()) {
    const base = HEAD_HIGH + (i + 1) * rowHigh
    ink('#1c2325')
    context.fillText(name, MARGIN, base - rowHigh * 0.2, NAME_WIDE - MARGIN - 8)
    ink('rgba(106, 61, 143, 0.22)')
    area(context, about, base, rowHigh * 0.92)
    ink('rgba(106, 61, 143, 0.7)')
    area(context, onIt, base, rowHigh * 0.92)
    ink('#1c2325')
    for (const day of seenDays) context.fillRect(x(day), base - rowHigh * 0.92, 1.6, rowHigh * 0.92)
  }
  return canvas
}

/** Saves the page as a picture. */
export async function saveYearPng(year: DrawnYear, fileName: string): Promise<void> {
  const blob = await new Promise<Blob | null>((resolve) => yearOnPage(year).toBlob(resolve, 'image/png'))
  if (blob) saveFile(fileName, blob)
}

/** Prints the page, and nothing else of the window. */
export function printYear(year: DrawnYear): void {
  printElement(yearOnPage(year))
}
