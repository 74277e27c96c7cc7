/** A place on a fly, mm: x from the rear of the eye towards the bend, y up. */
export type Point = readonly [xMm: number, yMm: number]

/** A line through points with a width, mm, for each share of its length. */
export function ribbonOutline(points: readonly Point[], widthMm: (share: number) => number): readonly Point[] {
  const last = points.length - 1
  const [left, right]: [Point[], Point[]] = [[], []]
  points.forEach((point, i) => {
    const before = points[Math.max(i - 1, 0)] as Point
    const after = points[Math.min(i + 1, last)] as Point
    const [dx, dy] = [after[0] - before[0], after[1] - before[1]]
    const half = widthMm(last > 0 ? i / last : 0) / 2 / (Math.hypot(dx, dy) || 1)
    left.push([point[0] - dy * half, point[1] + dx * half])
    right.push([point[0] + dy * half, point[1] - dx * half])
  })
  return left.concat(right.reverse())
}

/** Points along a curve that its control points pull (Bézier, by De Casteljau's steps). */
export function curveThrough(controls: readonly Point[], steps = 20): readonly Point[] {
  return Array.from({ length: steps + 1 }, (_, i) => {
    const t = i / steps
    let level = controls
    while (level.length > 1) {
      level = level.slice(1).map((to, j): Point => {
        const from = level[j] as Point
        return [from[0] + (to[0] - from[0]) * t, from[1] + (to[1] - from[1]) * t]
      })
    }
    return level[0] as Point
  })
}

/** Points of a circle of radius 1, evenly. */
export const onCircle = (steps: number): readonly Point[] =>
  Array.from({ length: steps }, (_, i): Point => {
    const t = (i / steps) * 2 * Math.PI
    return [Math.cos(t), Math.sin(t)]
  })
const CIRCLE = onCircle(36)

/** An ellipse as points; tilted by an angle, radians. */
export function ellipse(
  [x, y]: Point,
  alongMm: number,
  acrossMm: number,
  tilt = 0,
  circle = CIRCLE,
): readonly Point[] {
  const [cos, sin] = [Math.cos(tilt), Math.sin(tilt)]
  return circle.map(([cosT, sinT]) => {
    const [a, b] = [cosT * alongMm, sinT * acrossMm]
    return [x + a * cos - b * sin, y + a * sin + b * cos]
  })
}

/** Soft step from 0 to 1. */
export function smoothly(share: number): number {
  const t = Math.min(Math.max(share, 0), 1)
  return t * t * (3 - 2 * t)
}
