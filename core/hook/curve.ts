import type { Hook } from './hook.ts'
import type { HookStyle } from './style.ts'
import { clamp, radians } from '../number/index.ts'

/** A point of the hook's centre line: x from the rear of the eye towards the bend, y up; the hook point hangs below. */
export interface CurvePoint {
  readonly xMm: number
  readonly yMm: number
}

/** What of a hook makes its line. */
export type HookShape = Pick<
  Hook,
  'shankMm' | 'gapeMm' | 'wireMm' | 'bendRadiusMm' | 'eyeOuterMm' | 'neckMm'
> & {
  readonly style: Pick<HookStyle, 'curveDeg' | 'bendDeg' | 'neckDeg'>
}

const STEPS = 16
/** Height of the shank's centre line above its chord at x; a curved shank arches upwards between eye and bend. */
export const shankHeightMm = (hook: HookShape, xMm: number): number => shankCurve(hook)(xMm)

/** The same for many places of one hook. */
export function shankCurve(hook: HookShape): (xMm: number) => number {
  const half = radians(hook.style.curveDeg) / 2
  if (half === 0) return () => 0
  const radius = hook.shankMm / 2 / Math.sin(half)
  const chord = radius * Math.cos(half)
  return (xMm) => {
    const fromMiddle = clamp(xMm, 0, hook.shankMm) - hook.shankMm / 2
    return Math.sqrt(radius ** 2 - fromMiddle ** 2) - chord
  }
}

/**
 * The hook as a polyline from the end of the neck (or the shank's front) over shank and bend to the point.
 * The eye is a ring of its own at {@link eyeCentre}. The neck of a jig hook bends towards the point: so that the fly
 * hangs with its weight below the eye and its point above.
 */
export function hookCurve(hook: HookShape): readonly CurvePoint[] {
  const points: CurvePoint[] = []
  const neck = radians(hook.style.neckDeg)
  if (hook.neckMm > 0) points.push({ xMm: -hook.neckMm * Math.cos(neck), yMm: -hook.neckMm * Math.sin(neck) })
  for (let i = 0; i <= STEPS; i += 1) {
    const xMm = (hook.shankMm * i) / STEPS
    points.push({ xMm, yMm: shankHeightMm(hook, xMm) })
  }
  const start = radians(hook.style.curveDeg / 2)
  const end = start + radians(hook.style.bendDeg)
  const centre = {
    xMm: hook.shankMm - hook.bendRadiusMm * Math.sin(start),
    yMm: -hook.bendRadiusMm * Math.cos(start),
  }
  for (let i = 1; i <= STEPS; i += 1) {
    const angle = start + ((end - start) * i) / STEPS
    points.push({
      xMm: centre.xMm + hook.bendRadiusMm * Math.sin(angle),
      yMm: centre.yMm + hook.bendRadiusMm * Math.cos(angle),
    })
  }
  const last = points[points.length - 1] ?? centre
  const pointMm = POINT_OF_GAPE * hook.gapeMm
  points.push({ xMm: last.xMm + pointMm * Math.cos(end), yMm: last.yMm - pointMm * Math.sin(end) })
  return points
}

/** Length of the straight leg behind the point, in gapes. */
export const POINT_OF_GAPE = 0.7

/** Centre of the eye's ring, on the point's side of the shank where a neck bends down to it. */
export function eyeCentre(hook: HookShape): CurvePoint {
  const neck = radians(hook.style.neckDeg)
  const reach = hook.neckMm + hook.eyeOuterMm / 2
  return { xMm: -reach * Math.cos(neck), yMm: -reach * Math.sin(neck) }
}
