import { degrees, radians } from '../number/index.ts'
import { laid, netOf, placeOf, step } from './engine/index.ts'
import type { Around, RigLine } from './engine/index.ts'
import { layOf } from './sinking.ts'
import type { Lay } from './sinking.ts'

/** A rig that was cast across a run and swings round below the rod, its upper end held at the surface. */
export interface Swing {
  readonly rig: RigLine
  readonly around: Around
  readonly nodes: number
  /** where it is laid, straight: 90 across the run, 0 straight down it */
  readonly castDeg: number
}

/** A swinging rig at one moment, seen from the side: as far from the rod as it is. */
export interface Swung extends Lay {
  readonly timeS: number
  /** where its point is from the rod: 90 across, 0 straight below it */
  readonly bearingDeg: number
}

/** A swing turns slowly: it takes longer steps than a cast that falls. */
const STEP_S = 0.2

/** A swing, a frame a second. */
export function* swing({ rig, around, nodes, castDeg }: Swing, untilS: number): Generator<Swung, void> {
  const toward = [Math.cos(radians(castDeg)), Math.sin(radians(castDeg)), 0]
  let motion = laid(netOf(rig, nodes), [0, 0, 0], [{ lengthMm: 1, toward }])
  const aSecond = Math.round(1 / STEP_S)
  for (let i = 0; i <= untilS * aSecond; i += 1) {
    if (i > 0) motion = step(motion, around, STEP_S)
    if (i % aSecond > 0) continue
    const [x = 0, y = 0] = placeOf(motion, motion.net.along.at(-1) ?? 0)
    yield { timeS: i / aSecond, ...layOf(motion), bearingDeg: degrees(Math.atan2(y, x)) }
  }
}
