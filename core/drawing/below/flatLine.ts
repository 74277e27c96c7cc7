import { hookLine } from '../hook/hookLine.ts'
import type { HookLine } from '../hook/hookLine.ts'
import type { HookShape } from '../../hook/index.ts'
import type { Point } from '../page/point.ts'

/** A hook as it is seen from right below: eye, shank, bend and point in one line, from the eye to the back of the bend. */
export function flatLine(hook: HookShape): HookLine {
  const { wire, eye } = hookLine(hook)
  const backMm = Math.max(...wire.map(([x]) => x))
  const at = (xMm: number) => ({ at: [xMm, 0] as Point, heading: 0 })
  return {
    at,
    off: (xMm, offMm) => [xMm, offMm],
    wire: [eye.at[0] + (hook.eyeOuterMm - hook.wireMm) / 2, hook.shankMm, backMm].map((x): Point => [x, 0]),
    eye: { at: [eye.at[0], 0], heading: Math.PI },
  }
}
