/** One mark of a drawing, in mm with y downwards as screens and paper have it. */
export interface DrawingShape {
  /** the component it shows, or `hook` */
  readonly key: string
  /** path data as SVG writes it */
  readonly path: string
  readonly fill: string | null
  readonly stroke: string | null
  readonly strokeMm: number
}

/** A fly to scale: shapes from back to front and the box that holds them. */
export interface FlyDrawing {
  readonly minXMm: number
  readonly minYMm: number
  readonly widthMm: number
  readonly heightMm: number
  readonly shapes: readonly DrawingShape[]
}

/** A point of a drawing. */
export type Point = readonly [xMm: number, yMm: number]

const figure = (value: number) => String(Math.round(value * 100) / 100)

/** Path data through points; closed where asked. */
export function pathThrough(points: readonly Point[], closed = false): string {
  const [first, ...rest] = points
  if (!first) return ''
  const lines = rest.map(([x, y]) => `L${figure(x)} ${figure(y)}`).join('')
  return `M${figure(first[0])} ${figure(first[1])}${lines}${closed ? 'Z' : ''}`
}

/** Path data of a circle. */
export function circlePath([x, y]: Point, radiusMm: number): string {
  const r = figure(radiusMm)
  return `M${figure(x - radiusMm)} ${figure(y)}a${r} ${r} 0 1 0 ${figure(2 * radiusMm)} 0a${r} ${r} 0 1 0 ${figure(-2 * radiusMm)} 0Z`
}

/** Path data of a gently bent hair: a quadratic curve that sags sideways by a share of its length. */
export function hairPath([x, y]: Point, angle: number, lengthMm: number, sag: number): string {
  const [dx, dy] = [Math.cos(angle) * lengthMm, Math.sin(angle) * lengthMm]
  const middle: Point = [x + dx / 2 - dy * sag, y + dy / 2 + dx * sag]
  return `M${figure(x)} ${figure(y)}Q${figure(middle[0])} ${figure(middle[1])} ${figure(x + dx)} ${figure(y + dy)}`
}
