import bold from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff?url'
import boldMore from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-700-normal.woff?url'
import regular from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff?url'
import regularMore from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-400-normal.woff?url'
import type { FontFiles } from './pdfPen.ts'

const bytesAt = async (url: string) => new Uint8Array(await (await fetch(url)).arrayBuffer())

/** The page's own font as files that a PDF can carry. */
export async function shippedFont(): Promise<FontFiles> {
  const all = (urls: readonly string[]) => Promise.all(urls.map(bytesAt))
  return { regular: await all([regular, regularMore]), bold: await all([bold, boldMore]) }
}
