/** Where the pen stands, in tenths of a dot. */
export type Spot = readonly [x: number, y: number]

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

/** The way from one spot to another, told from the first. */
const step = (from: Spot, to: Spot) => short(to[0] - from[0]) + short(to[1] - from[1])

const started = ([x, y]: Spot) => `M${short(x)}${short(y)}`

/** A line through spots, as path data; told by steps it takes two thirds of the bytes. */
export function lineThrough(spots: readonly Spot[]): string {
  let told = ''
  let last: Spot | null = null
  for (const spot of spots) {
    told += last ? step(last, spot) : started(spot)
    if (!last && spots.length > 1) told += 'l'
    last = spot
  }
  return told
}

/** A leaf of two bent edges that meet in a tip: both roots, both bends. */
export function leaf(root: Spot, bend: Spot, tip: Spot, bendBack: Spot, rootBack: Spot): string {
  return `${started(root)}q${step(root, bend)}${step(root, tip)}${step(tip, bendBack)}${step(tip, rootBack)}z`
}
