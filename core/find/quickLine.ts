import { clamp } from '../number/index.ts'
import { linePull } from '../sink/index.ts'
import type { Tippet } from '../sink/index.ts'
import type { WaterProperties } from '../water/index.ts'

const KNOTS = 1024
const SLOWEST = Math.log(1)
const FASTEST = Math.log(4000)
const KNOT = (FASTEST - SLOWEST) / (KNOTS - 1)

/** Pull of a trailing line by ln of the speed in mm/s; mg·mm/s². */
export type QuickPull = (logSpeed: number) => number

/**
 * Tabulates the pull of so much of a trailing line once for a search, which asks for it some million times: from 1 to
 * 4,000 mm/s within a ten-thousandth of the drag in linePull.
 */
export function quickPull(tippet: Tippet, lengthMm: number, water: WaterProperties): QuickPull {
  const table = Float64Array.from({ length: KNOTS }, (_, k) =>
    linePull(tippet, lengthMm, Math.exp(SLOWEST + k * KNOT), water),
  )
  return (logSpeed) => {
    const knot = clamp((logSpeed - SLOWEST) / KNOT, 0, KNOTS - 1.0001)
    const k = Math.floor(knot)
    const [a, b] = [table[k] ?? 0, table[k + 1] ?? 0]
    return a + (b - a) * (knot - k)
  }
}
