import bold from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff?url'
import boldMore from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-700-normal.woff?url'
import regular from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff?url'
import regularMore from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-400-normal.woff?url'
import type { FontFiles } from './pdfPen.ts'

const bytesAt = async (url: string) => new Uint8Array(await (await fetch(url)).arrayBuffer())

/** The page's own font as files that a PDF can carry. */
export async function shippedFont(): Promise<FontFiles> {
  const [one, two, three, four] = await Promise.all([regular, regularMore, bold, boldMore].map(bytesAt))
  return { regular: [one!, two!], bold: [three!, four!] }
}
