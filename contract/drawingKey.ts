// Free of schemas, so that the first view stays small.

/** How much room a drawing takes, mm. */
export interface Room {
  readonly widthMm: number
  readonly heightMm: number
}

/** What a drawing is asked for by: what its content comes to, and its room in hundredths of a mm. */
export const DRAWING_KEY = /^[0-9a-f]{16}-(\d{1,6})x(\d{1,6})$/

/** Hexadecimal digits of a drawing's content that name it: enough for billions of drawings. */
const DIGITS = 16

/**
 * The key of a drawing. It names the content, so that a drawing never changes under its key, and says how much room to
 * keep for it until it is there.
 *
 * @param contentHash hexadecimal, of all that is drawn
 */
export const drawingKeyOf = (contentHash: string, { widthMm, heightMm }: Room): string =>
  `${contentHash.slice(0, DIGITS)}-${Math.round(widthMm * 100)}x${Math.round(heightMm * 100)}`

/** The room of the drawing of a key; none where it is no such key. */
export function roomOf(key: string): Room | null {
  const [, width, height] = DRAWING_KEY.exec(key) ?? []
  return width && height ? { widthMm: Number(width) / 100, heightMm: Number(height) / 100 } : null
}
