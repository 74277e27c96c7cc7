/** Where the pen stands, in tenths of a dot. */
export type Spot = readonly [x: number, y: number]

/** A number of tenths as SVG writes it shortest: without a nought before the point, its sign for a space. */
function short(tenths: number): string {
  if (tenths === 0) return ' 0'
  const size = Math.abs(tenths)
  const [whole, rest] = [Math.trunc(size / 10), size % 10]
  return `${tenths < 0 ? '-' : ' '}${whole > 0 ? whole : ''}${rest > 0 ? `.${rest}` : ''}`
}

/** The way from one spot to others, each told from where the pen last stood. */
function way(from: Spot, spots: readonly Spot[]): string {
  let [x, y] = from
  let told = ''
  for (const [toX, toY] of spots) {
    told += short(toX - x) + short(toY - y)
    x = toX
    y = toY
  }
  return told
}

const started = ([x, y]: Spot) => `M${short(x)}${short(y)}`

/** A line through spots, as path data; told by steps it takes two thirds of the bytes. */
export function lineThrough(spots: readonly Spot[]): string {
  const [first, ...rest] = spots
  return first ? `${started(first)}${rest.length > 0 ? `l${way(first, rest)}` : ''}` : ''
}

/** A leaf of two bent edges that meet in a tip: both roots, both bends. */
export function leaf(root: Spot, bend: Spot, tip: Spot, bendBack: Spot, rootBack: Spot): string {
  const bent = (from: Spot, by: Spot, to: Spot) => way(from, [by]) + way(from, [to])
  return `${started(root)}q${bent(root, bend, tip)}${bent(tip, bendBack, rootBack)}z`
}
