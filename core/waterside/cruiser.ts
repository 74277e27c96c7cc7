import { aheadOf } from '../drift/index.ts'

/** Which way a fish swims, as the angler sees it. */
export const HEADINGS = ['towards', 'across', 'away'] as const
export type Heading = (typeof HEADINGS)[number]

/** How fast a fish cruises, mm/s: seldom slower, mostly so, seldom faster. */
export const CRUISES_MM_PER_S = { slow: 200, usual: 350, fast: 500 } as const
export type Cruise = keyof typeof CRUISES_MM_PER_S

/** A fish that swims its way at one depth, and the fly and leader that it is fished with. */
export interface CruisingFish {
  readonly speedMmPerS: number
  /** below the surface, mm; nought where it takes off the top */
  readonly depthMm: number
  readonly heading: Heading
  /** how fast the fly falls with its line, mm/s; null where it floats */
  readonly fallMmPerS: number | null
  readonly leaderMm: number
}

/** Where to put the fly, and when to move it. */
export interface Lead {
  /** before the fish, on its way, mm */
  readonly aheadMm: number
  /** after it has landed, s */
  readonly moveAfterS: number
  /** the line would fall across the fish */
  readonly linesIt: boolean
}

/** Nearer than this a landing fly startles it. Judgement. */
const NEAREST_MM = 1500
/** The fly is down, and still, so long before the fish is there. Judgement. */
const STILL_S = 1
/** It is moved when the fish is so near. Judgement. */
const MOVED_AT_MM = 600
/** So much of the leader lies curled, or is not seen to lie straight. */
const SLACK_MM = 500

/** How long a fly takes to a depth, s; nought for one that floats. */
const downS = ({ depthMm, fallMmPerS }: CruisingFish) => (fallMmPerS === null ? 0 : depthMm / fallMmPerS)

/**
 * Where a fly has to land before a cruising fish, so that it hangs at its depth a second before it is there and lands no
 * nearer than startles it; and how long after that it is moved. The fish swims on as it swims.
 */
export function leadOf(fish: CruisingFish): Lead {
  const { speedMmPerS, heading, leaderMm } = fish
  const aheadMm = Math.max(aheadOf(speedMmPerS, downS(fish) + STILL_S), NEAREST_MM)
  return {
    aheadMm,
    moveAfterS: Math.max((aheadMm - MOVED_AT_MM) / speedMmPerS, downS(fish)),
    // of a cast over a fish that swims away only the leader may lie beside it
    linesIt: heading === 'away' && aheadMm > leaderMm - SLACK_MM,
  }
}

/** Speed of a fish from when it passed marks at equal distances, mm/s; null before the third, or where they are at one moment. */
export function speedByMarks(passedS: readonly number[], apartMm: number): number | null {
  const [first, last] = [passedS[0], passedS.at(-1)]
  if (first === undefined || last === undefined || passedS.length < 3 || last <= first) return null
  return ((passedS.length - 1) * apartMm) / (last - first)
}
