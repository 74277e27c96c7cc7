import { PDFDocument } from 'pdf-lib'
import { describe, expect, it } from 'vitest'
import { drawnOnPdf, fontFiles, textOfPdf } from '../testing/pdf.ts'
import { pdfLines } from './pdfLines.ts'
import type { LineLook } from './pdfLines.ts'
import { pdfPen } from './pdfPen.ts'

type Line = string | readonly [string, LineLook]

/** A page of 100 by 60 mm with a margin of 20 pt, written in 10 pt. */
async function written(...lines: readonly Line[]) {
  const pdf = await PDFDocument.create()
  const write = pdfLines(pdf, await pdfPen(pdf, fontFiles()), {
    wideMm: 100,
    highMm: 60,
    marginPt: 20,
    textPt: 10,
  })
  for (const line of lines) {
    const [text, look] = typeof line === 'string' ? [line] : line
    write(text, look)
  }
  const bytes = await pdf.save()
  const at = [...(await drawnOnPdf(bytes)).matchAll(/1 0 0 1 ([\d.]+) ([\d.]+) Tm/g)].map(([, x, y]) => [
    Number(x),
    Number(y),
  ])
  return { pages: pdf.getPageCount(), text: await textOfPdf(bytes), at, size: pdf.getPage(0).getSize() }
}
const HIGH = (60 / 25.4) * 72

describe('lines on paper', () => {
  it('begin within the margin, each below the last by a quarter more than its size', async () => {
    const { at, size, text, pages } = await written('Third Button', 'Damp Straw')
    expect(size.width).toBeCloseTo(283.46, 1)
    expect(size.height).toBeCloseTo(HIGH, 6)
    expect(text.split('\n')).toEqual(['Third Button', 'Damp Straw'])
    expect(pages).toBe(1)
    expect(at[0]![0]).toBeCloseTo(20, 3)
    expect(at[0]![1]).toBeCloseTo(HIGH - 20 - 10, 1)
    expect(at[0]![1]! - at[1]![1]!).toBeCloseTo(12.6, 1)
  })

  it('stand in where they are told to, and as large', async () => {
    const { at } = await written(['Hooks', { size: 16, heavy: true }], ['jig #14', { indent: 12, quiet: true }])
    expect(at[0]![1]).toBeCloseTo(HIGH - 20 - 16, 1)
    expect(at[1]![0]).toBeCloseTo(32, 3)
    expect(at[1]![1]).toBeCloseTo(HIGH - 20 - 16 * 1.26 - 10, 1)
  })

  it('leave room where there is nothing to say', async () => {
    const { at, text } = await written('over', '  ', 'under')
    expect(text.split('\n')).toEqual(['over', 'under'])
    expect(at[0]![1]! - at[1]![1]!).toBeCloseTo(12.6 + 8, 1)
  })

  it('are wrapped at the margin, and sooner where they stand in', async () => {
    const long = 'tungsten bead, lead-free wire, hare and a turn of partridge'.repeat(2)
    const wide = (await written(long)).text.split('\n')
    const narrow = (await written([long, { indent: 120 }])).text.split('\n')
    expect(wide.length).toBeGreaterThan(1)
    expect(narrow.length).toBeGreaterThan(wide.length)
    expect(narrow.join(' ').replaceAll(/\s+/g, ' ')).toBe(long)
  })

  it('go on on a new page where one is full', async () => {
    // of the 170 pt of a page 130 are within the margins: the last begins no lower than 10 pt over the lower one
    expect((await written(...Array.from({ length: 10 }, (_, n) => `line ${n}`))).pages).toBe(1)
    const two = await written(...Array.from({ length: 11 }, (_, n) => `line ${n}`))
    expect(two.pages).toBe(2)
    expect(two.text.split('\n').at(-1)).toBe('line 10')
    expect(Math.min(...two.at.map(([, y]) => y!))).toBeGreaterThanOrEqual(20)
  })
})
