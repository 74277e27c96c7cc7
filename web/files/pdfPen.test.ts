import { PDFDocument } from 'pdf-lib'
import { describe, expect, it } from 'vitest'
import { fontFiles, textOfPdf } from '../testing/pdf.ts'
import { pdfPen } from './pdfPen.ts'

async function written(...texts: readonly string[]) {
  const pdf = await PDFDocument.create()
  const pen = await pdfPen(pdf, fontFiles())
  const page = pdf.addPage([300, 300])
  texts.forEach((text, i) => pen.write(page, text, { x: 10, y: 280 - 12 * i, size: 9 }))
  const bytes = await pdf.save()
  return { pen, bytes, text: (await textOfPdf(bytes)).replaceAll('\n', '') }
}

describe('pdfPen', () => {
  it.each(['Sláinte, Größe, Žluť', '−0.5 °C ± 2 × 3', '“Łosoś” – 12 €', 'ő ű ğ ş ț'])('prints every letter of “%s”', async (line) => {
    expect((await written(line)).text).toBe(line)
  }) // prettier-ignore

  it('prints a letter that the font lacks without its accent, or says that one is missing', async () => {
    expect((await written('ṩ 鮭')).text).toBe('s ?')
  })

  it('turns what breaks a line into spaces', async () => {
    expect((await written('one\ntwo\tthree')).text).toBe('one two three')
  })

  it('measures what it writes, whichever fonts a text needs', async () => {
    const { pen } = await written('x')
    expect(pen.widthOf('ab', 9)).toBeCloseTo(pen.widthOf('a', 9) + pen.widthOf('b', 9), 0)
    expect(pen.widthOf('ażb', 9)).toBeGreaterThan(pen.widthOf('ab', 9))
    expect(pen.widthOf('ab', 18)).toBeCloseTo(2 * pen.widthOf('ab', 9), 6)
    expect(pen.widthOf('Bead', 9, true)).toBeGreaterThan(pen.widthOf('Bead', 9))
  })

  it('carries only the letters that were used', async () => {
    const { bytes } = await written('bead')
    const all = fontFiles().regular[0]?.length ?? 0
    expect(bytes.length).toBeLessThan(all / 2)
  })
})
