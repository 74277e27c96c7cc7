import { eyeCentre, hookCurve, POINT_OF_GAPE, shankCurve } from '../../hook/index.ts'
import type { HookShape } from '../../hook/index.ts'
import { clamp, radians } from '../../number/index.ts'
import { curveThrough } from '../page/point.ts'
import type { Point } from '../page/point.ts'

/** A place on the centre line and where the line points there, radians: 0 runs to the bend, below nought down. */
export interface OnLine {
  readonly at: Point
  readonly heading: number
}

/** The wire of a hook as it is seen from the side, and where a place on the shank lies. */
export interface HookLine {
  /** a place of the shank by its distance from the eye, mm; beyond the shank it goes round the bend */
  readonly at: (xMm: number) => OnLine
  /** so far off the centre line, square to it: above nought on the upper side */
  readonly off: (xMm: number, offMm: number) => Point
  /** from the eye over shank and bend to the point */
  readonly wire: readonly Point[]
  readonly eye: OnLine
}

const SHANK_STEPS = 24
const BEND_STEPS = 48
const POINT_STEPS = 12

/** How a bend is bent: most in its middle, a little more towards the shank. */
const bending = (share: number) => Math.sin(Math.PI * share) ** 0.7 * (1 - 0.25 * share) + 0.12

/** How much of all bending each step of the bend makes. */
const BENT = (() => {
  const each = Array.from({ length: BEND_STEPS }, (_, i) => bending((i + 0.5) / BEND_STEPS))
  const total = each.reduce((sum, share) => sum + share, 0)
  return each.map((share) => share / total)
})()

/** The bend by its length, from the end of the shank; turning by as much as its style has it. */
function bendOf({ shankMm, style }: HookShape, lengthMm: number): readonly OnLine[] {
  let heading = -radians(style.curveDeg / 2)
  let [x, y] = [shankMm, 0]
  return BENT.map((share) => {
    heading -= radians(style.bendDeg) * share
    x += (Math.cos(heading) * lengthMm) / BEND_STEPS
    y += (Math.sin(heading) * lengthMm) / BEND_STEPS
    return { at: [x, y], heading }
  })
}

const lowest = (points: readonly OnLine[]) => Math.min(...points.map(({ at }) => at[1]))

/** The bend as deep as the hook's gape bids: that of a round one with the same gape. */
function bendToGape(hook: HookShape): { readonly points: readonly OnLine[]; readonly lengthMm: number } {
  const round = hookCurve(hook)
  const depth = Math.min(...round.slice(0, -1).map(({ yMm }) => yMm))
  // a bend twice as long is twice as deep
  const lengthMm = clamp(depth / lowest(bendOf(hook, 1)), hook.gapeMm * 0.4, hook.gapeMm * 5)
  return { points: bendOf(hook, lengthMm), lengthMm }
}

function neckOf(hook: HookShape): { readonly points: readonly Point[]; readonly eye: OnLine } {
  const { xMm, yMm } = eyeCentre(hook)
  const heading = radians(180 + hook.style.neckDeg)
  const reach = Math.hypot(xMm, yMm)
  const half = hook.eyeOuterMm / 2
  const end: Point = [xMm - half * Math.cos(heading), yMm - half * Math.sin(heading)]
  const bent = hook.neckMm > 0
  const points = bent
    ? curveThrough([[0, 0], [-0.55 * reach, 0], [end[0] - 0.2 * reach * Math.cos(heading), end[1] - 0.2 * reach * Math.sin(heading)], end], 8) // prettier-ignore
    : [end]
  return { points, eye: { at: [xMm, yMm], heading } }
}

function shankOf(hook: HookShape): (xMm: number) => OnLine {
  if (hook.style.curveDeg === 0) return (xMm) => ({ at: [xMm, 0], heading: 0 })
  const height = shankCurve(hook)
  const step = hook.shankMm / 200
  return (xMm) => {
    const [a, b] = [Math.max(xMm - step, 0), Math.min(xMm + step, hook.shankMm)]
    return { at: [xMm, height(xMm)], heading: Math.atan2(height(b) - height(a), b - a) }
  }
}

/** The line of a hook, its bend as deep and as far back as core's physics has it, only smoother. */
export function hookLine(hook: HookShape): HookLine {
  const bend = bendToGape(hook)
  const neck = neckOf(hook)
  const shankAt = shankOf(hook)
  const front = shankAt(0)
  const at = (xMm: number): OnLine => {
    if (xMm <= 0) return { ...front, at: [xMm * Math.cos(front.heading), xMm * Math.sin(front.heading)] }
    if (xMm <= hook.shankMm) return shankAt(xMm)
    const i = Math.round(((xMm - hook.shankMm) / bend.lengthMm) * BEND_STEPS)
    return bend.points[Math.min(Math.max(i, 1), BEND_STEPS) - 1] as OnLine
  }
  const last = bend.points[BEND_STEPS - 1] as OnLine
  const pointMm = POINT_OF_GAPE * hook.gapeMm
  return {
    at,
    off: (xMm, offMm) => {
      const {
        at: [x, y],
        heading,
      } = at(xMm)
      return [x - Math.sin(heading) * offMm, y + Math.cos(heading) * offMm]
    },
    wire: [
      ...neck.points.toReversed(),
      ...Array.from({ length: SHANK_STEPS + 1 }, (_, i) => shankAt((hook.shankMm * i) / SHANK_STEPS).at),
      ...bend.points.map(({ at: point }) => point),
      ...Array.from({ length: POINT_STEPS }, (_, i): Point => {
        const gone = (pointMm * (i + 1)) / POINT_STEPS
        return [last.at[0] + Math.cos(last.heading) * gone, last.at[1] + Math.sin(last.heading) * gone]
      }),
    ],
    eye: neck.eye,
  }
}
