import { speedAtHeight } from '../drift/index.ts'
import { ballBody } from '../rig/body.ts'
import { laid, netOf, pulled, step } from '../rig/engine/index.ts'
import type { Around, Motion } from '../rig/engine/index.ts'
import type { LinePiece } from '../rig/index.ts'
import type { Random } from '../uncertainty/index.ts'
import { waterAt } from '../water/index.ts'

const LEADERS = [1.14, 1.38, 1.78] as const
const SECONDS = 3

/** By how much a segment is longer than it is at most, and whether all is a number, after some seconds of a rig. */
export interface Fared {
  readonly stretched: number
  readonly isFinite: boolean
}

/** Any rig that can be written down, in any water, above its bed: pieces in any order, flies that sink or swim. */
function anyRig(random: Random): { motion: Motion; around: Around } {
  const between = (low: number, high: number) => low + random() * (high - low)
  const spread = (low: number, high: number) => low * (high / low) ** random()
  const count = 1 + Math.floor(random() * 5)
  const pieces = Array.from({ length: count }, (_, i): LinePiece => {
    const isLeader = random() < i / count
    return {
      lengthMm: spread(20, 15_000),
      diameterMm: isLeader ? spread(0.06, 0.6) : spread(0.3, 2),
      densityMgPerMm3: isLeader ? (LEADERS[Math.floor(random() * 3)] ?? LEADERS[0]) : between(0.7, 2.7),
      group: isLeader ? 'leader' : 'line',
    }
  })
  const wholeMm = pieces.reduce((sum, { lengthMm }) => sum + lengthMm, 0)
  const water = waterAt(between(0, 25))
  const flies = Array.from({ length: Math.floor(random() * 5) }, (_, i) => {
    const diameterMm = spread(1, 12)
    const displacedMg = (Math.PI / 6) * diameterMm ** 3 * water.densityMgPerMm3
    return {
      body: ballBody(random() < 0.2 ? -displacedMg * between(0.05, 0.9) : spread(0.1, 3000), diameterMm, water),
      aboveMm: i === 0 ? 0 : random() * 0.9 * wholeMm,
      sideMm: i === 0 || random() < 0.3 ? 0 : between(120, 200),
    }
  })
  const current = { depthMm: spread(200, 10_000), surfaceMmPerS: random() < 0.3 ? 0 : spread(20, 2500), roughnessMm: spread(1, 500) } // prettier-ignore
  const topMm = random() < 0.3 ? -spread(100, 4000) : 0
  const down = Math.min(1, (current.depthMm - topMm) / wholeMm) * 0.9 * random()
  const aside = between(-1, 1) * Math.sqrt(1 - down ** 2)
  const on = Math.sqrt(Math.max(1 - down ** 2 - aside ** 2, 0))
  const swings = random() < 0.3
  const toward = swings ? [on, aside, down] : [Math.sqrt(1 - down ** 2), down]
  return {
    motion: laid(netOf({ pieces, flies }), swings ? [0, 0, topMm] : [0, topMm], [{ lengthMm: 1, toward }]),
    around: {
      water,
      current: (depthMm) => speedAtHeight(current, current.depthMm - Math.max(depthMm, 0)),
      bedMm: random() < 0.5 ? current.depthMm : null,
      lineOff: { across: 1, along: 1 },
    },
  }
}

/** Lets any rig sink, settle or be pulled in for some seconds. */
export function tryAnyRig(random: Random): Fared {
  const { motion: start, around } = anyRig(random)
  const how = random()
  const h = how < 0.7 ? 0.1 : 1
  let motion = start
  for (let s = 0; s < SECONDS / 0.1; s += 1)
    motion = how < 0.4 ? pulled(motion, around, h, 300) : step(motion, around, h)
  const { net, at, dims } = motion
  const lengths = net.segments.map(({ a, b, restMm }) => {
    const apart = Array.from({ length: dims }, (_, d) => (at[a * dims + d] ?? 0) - (at[b * dims + d] ?? 0))
    return Math.hypot(...apart) / restMm - 1
  })
  return { stretched: Math.max(...lengths), isFinite: at.every(Number.isFinite) }
}
