/** Steps are short, and the same ones come again and again. */
const MOST_KEPT = 4000
const kept: string[] = []
/** Where the step of no length is kept. */
const MIDDLE = MOST_KEPT / 2

/** A number of tenths as SVG writes it shortest: without a nought before the point, its sign for a space. */
function short(tenths: number): string {
  const at = tenths + MIDDLE
  if (at < 0 || at >= MOST_KEPT) return written(tenths)
  return (kept[at] ??= written(tenths))
}

function written(tenths: number): string {
  if (tenths === 0) return ' 0'
  const size = Math.abs(tenths)
  const [whole, rest] = [Math.trunc(size / 10), size % 10]
  return `${tenths < 0 ? '-' : ' '}${whole > 0 ? whole : ''}${rest > 0 ? `.${rest}` : ''}`
}

/** Where the pen is set down first. */
export const started = (x: number, y: number) => `M${short(x)}${short(y)}`

/** The way from one spot to another, told from the first: by steps a path takes two thirds of the bytes. */
export const step = (right: number, down: number) => short(right) + short(down)
