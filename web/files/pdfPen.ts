import fontkit from '@pdf-lib/fontkit'
import type { PDFDocument, PDFFont, PDFPage, RGB } from 'pdf-lib'

/** Files of the shipped font, each with some of its letters: regular and bold. */
export interface FontFiles {
  readonly regular: readonly Uint8Array[]
  readonly bold: readonly Uint8Array[]
}

/** How a line is written. */
export interface Stroke {
  readonly x: number
  readonly y: number
  readonly size: number
  readonly heavy?: boolean
  readonly colour?: RGB
}

/** Writes text into a PDF in the shipped font, which the file carries along. */
export interface PdfPen {
  /** width of a text in points */
  readonly widthOf: (text: string, size: number, heavy?: boolean) => number
  readonly write: (page: PDFPage, text: string, stroke: Stroke) => void
}

const FRACTION_SLASH = '\u2044'

interface Run {
  readonly font: PDFFont
  readonly text: string
}

/** What stands for a letter that no file has: its parts without their accents, ⅔ as 2/3, or a question mark. */
function plainer(letter: string, has: (letter: string) => boolean): string {
  const parts = letter.normalize('NFKD').replace(FRACTION_SLASH, '/')
  return [...parts].filter(has).join('') || '?'
}

/** Cuts a text into runs that one font can write each. */
function runsOf(
  text: string,
  fonts: readonly { readonly font: PDFFont; readonly has: (letter: string) => boolean }[],
) {
  const runs: { font: PDFFont; text: string }[] = []
  const fontOf = (letter: string) => fonts.find(({ has }) => has(letter))?.font
  const known = (letter: string) => fontOf(letter) !== undefined
  const letters = [...text.normalize('NFC').replace(/\s/gu, ' ')]
  for (const letter of letters.flatMap((asked) => (known(asked) ? asked : [...plainer(asked, known)]))) {
    const font = fontOf(letter)
    const last = runs.at(-1)
    if (!font) continue
    if (last?.font === font) last.text += letter
    else runs.push({ font, text: letter })
  }
  return runs as readonly Run[]
}

/** Embeds the fonts into a document; only the letters that are used go along. */
export async function pdfPen(pdf: PDFDocument, files: FontFiles): Promise<PdfPen> {
  pdf.registerFontkit(fontkit)
  const embed = async (parts: readonly Uint8Array[]) =>
    Promise.all(
      parts.map(async (bytes) => {
        const font = await pdf.embedFont(bytes, { subset: true })
        const letters = new Set(font.getCharacterSet())
        return { font, has: (letter: string) => letters.has(letter.codePointAt(0) ?? -1) }
      }),
    )
  const [regular, bold] = [await embed(files.regular), await embed(files.bold)]
  const of = (heavy: boolean) => (heavy ? bold : regular)
  return {
    widthOf: (text, size, heavy = false) =>
      runsOf(text, of(heavy)).reduce((sum, run) => sum + run.font.widthOfTextAtSize(run.text, size), 0),
    write(page, text, { x, y, size, heavy = false, colour }) {
      let at = x
      for (const run of runsOf(text, of(heavy))) {
        page.drawText(run.text, { x: at, y, size, font: run.font, ...(colour ? { color: colour } : {}) })
        at += run.font.widthOfTextAtSize(run.text, size)
      }
    },
  }
}
