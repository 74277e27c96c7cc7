import type { Point } from './point.ts'

/** A hair: tapered, bent by `curl` between root and tip. Angles in radians, mm. */
export interface Hair {
  readonly root: Point
  readonly angle: number
  readonly lengthMm: number
  readonly widthMm: number
  readonly curl: number
}

/** Along its own heading the middle of a hair lies so far out. */
export const KNEE = 0.52

/** Root, the point that bends it, and tip. */
export function bentBy({ root: [x, y], angle, lengthMm, curl }: Hair): readonly [Point, Point, Point] {
  const knee = KNEE * lengthMm
  return [
    [x, y],
    [x + knee * Math.cos(angle), y + knee * Math.sin(angle)],
    [x + lengthMm * Math.cos(angle + curl), y + lengthMm * Math.sin(angle + curl)],
  ]
}

/** Where a hair is a share of its length out, and which way it points there. */
export function alongHair(hair: Hair, share: number): { readonly at: Point; readonly angle: number } {
  const [a, b, c] = bentBy(hair)
  const k = 1 - share
  const at = (i: 0 | 1) => k * k * a[i] + 2 * k * share * b[i] + share * share * c[i]
  const slope = (i: 0 | 1) => k * (b[i] - a[i]) + share * (c[i] - b[i])
  return { at: [at(0), at(1)], angle: Math.atan2(slope(1), slope(0)) }
}
