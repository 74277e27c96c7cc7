import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { decodePDFRawStream, PDFArray, PDFDict, PDFDocument, PDFName, PDFRawStream } from 'pdf-lib'
import type { FontFiles } from '../files/pdfPen.ts'

const require = createRequire(import.meta.url)
const fontFile = (part: string, weight: number) =>
  new Uint8Array(
    readFileSync(
      require.resolve(
        `@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-${part}-${weight}-normal.woff`,
      ),
    ),
  )

/** The shipped font from where it is installed, as the page gets it from the server. */
export const fontFiles = (): FontFiles => ({
  regular: [fontFile('latin', 400), fontFile('latin-ext', 400)],
  bold: [fontFile('latin', 700), fontFile('latin-ext', 700)],
})

const decoded = (stream: unknown) =>
  stream instanceof PDFRawStream ? Buffer.from(decodePDFRawStream(stream).decode()).toString('latin1') : ''

/** What each glyph of a font stands for, from the map that a reader copies text by. */
function lettersOf(font: PDFDict): ReadonlyMap<string, string> {
  const map = new Map<string, string>()
  const table = decoded(font.lookup(PDFName.of('ToUnicode')))
  for (const [, glyph = '', code = ''] of table.matchAll(/<([0-9a-f]{4})>\s*<([0-9a-f]+)>/gi))
    map.set(glyph.toUpperCase(), Buffer.from(code, 'hex').swap16().toString('utf16le'))
  return map
}

/** What the first page of a PDF is told to draw. */
export async function drawnOnPdf(bytes: Uint8Array): Promise<string> {
  const pdf = await PDFDocument.load(bytes)
  const contents = pdf.getPage(0).node.Contents()
  const streams =
    contents instanceof PDFArray ? contents.asArray().map((ref) => pdf.context.lookup(ref)) : [contents]
  return streams.map(decoded).join('\n')
}

/** All text of a PDF as a reader would copy it, a line for each piece that was written. */
export async function textOfPdf(bytes: Uint8Array): Promise<string> {
  const pdf = await PDFDocument.load(bytes)
  const lines: string[] = []
  for (const page of pdf.getPages()) {
    const fonts = page.node.Resources()?.lookup(PDFName.of('Font'), PDFDict)
    const contents = page.node.Contents()
    const streams =
      contents instanceof PDFArray ? contents.asArray().map((ref) => pdf.context.lookup(ref)) : [contents]
    let letters: ReadonlyMap<string, string> = new Map()
    for (const [, name, glyphs] of streams
      .map(decoded)
      .join('\n')
      .matchAll(/\/(\S+) [\d.]+ Tf|<([0-9A-F]+)> Tj/g)) {
      if (name && fonts) letters = lettersOf(fonts.lookup(PDFName.of(name), PDFDict))
      if (glyphs) lines.push((glyphs.match(/.{4}/g) ?? []).map((glyph) => letters.get(glyph) ?? '□').join(''))
    }
  }
  return lines.join('\n')
}
