import type { FallModel } from '../sink/index.ts'
import { flyBody } from './body.ts'
import { bandOf, LINES_OFF } from './doubt.ts'
import type { LikelyDepth } from './doubt.ts'
import type { LinePiece } from './line.ts'
import { sink } from './sinking.ts'
import type { LineFrame, StillCast } from './sinking.ts'

/** A fly on a line that is cast straight over still water and counted down. */
export interface CountedDown {
  /** the fly's free fall, without a line */
  readonly model: FallModel
  /** doubt of its drag, sd of the logarithm */
  readonly dragSdLog: number
  /** the fly line outside the rod */
  readonly line: Omit<LinePiece, 'group'>
  /** its density one standard deviation off */
  readonly lineOffMgPerMm3: number
  readonly leader: Omit<LinePiece, 'group'>
  readonly bedMm: number
  /** a depth that is wanted, mm */
  readonly wantedMm: number
}

/** Where the fly is after a count. */
export interface AtCount {
  readonly countS: number
  readonly depthMm: number
  /** null until it is known */
  readonly band: LikelyDepth | null
  /** how far the line's lowest part hangs below its end */
  readonly bellyMm: number
  readonly onBed: boolean
}

/** Its way down, and the count to the depth that is wanted; null where a minute does not bring it there. */
export interface FishesCounted {
  readonly rows: readonly AtCount[]
  readonly toWantedS: number | null
}

/** Counts that are told, s. */
const COUNTS = [5, 10, 15, 20, 30, 45, 60] as const
const LONGEST_S = 60
const TOUCHES_MM = 1

const flyMm = ({ flies }: LineFrame) => flies[0]?.zMm ?? 0

/** The second at which a way down passes a depth, between two frames. */
function passing(frames: readonly LineFrame[], depthMm: number): number | null {
  const after = frames.findIndex((frame) => flyMm(frame) >= depthMm)
  const [before, at] = [frames[after - 1], frames[after]]
  if (!before || !at) return null
  return before.timeS + (depthMm - flyMm(before)) / Math.max(flyMm(at) - flyMm(before), 1e-9)
}

/**
 * A fly on its line as it is cast.
 *
 * @param dragOff by how much the fly's drag is off
 */
export const castOf = (
  { model, line, leader, bedMm }: CountedDown,
  dragOff = 1,
  lineMgPerMm3 = line.densityMgPerMm3,
): StillCast => ({
  rig: {
    pieces: [
      { ...line, densityMgPerMm3: lineMgPerMm3, group: 'line' },
      { ...leader, group: 'leader' },
    ],
    flies: [{ body: flyBody(model, dragOff), aboveMm: 0, sideMm: 0 }],
  },
  water: model.water,
  bedMm,
})

/**
 * A fly's way down on a line, in steps of about a quarter of a second: first as reckoned, then with the band that the
 * doubts of line and fly leave.
 */
export function* countedDown(
  input: CountedDown,
): Generator<{ readonly done: number; readonly soFar: FishesCounted }, FishesCounted> {
  const { dragSdLog, lineOffMgPerMm3, bedMm, wantedMm } = input
  const framesOf = (one: StillCast) => [...sink(one, { countS: LONGEST_S, retrieve: null, untilS: LONGEST_S })]
  const frames = framesOf(castOf(input))
  // once it lies on the bed nothing more is told
  const isOnBed = (frame: LineFrame | undefined) => !!frame && flyMm(frame) > bedMm - TOUCHES_MM
  const toWantedS = wantedMm < bedMm ? passing(frames, wantedMm) : null
  const doubts: readonly StillCast[] = [
    ...LINES_OFF.map((lineOff) => ({ ...castOf(input), lineOff })),
    castOf(input, Math.exp(dragSdLog)),
    castOf(input, 1, lineOffMgPerMm3),
  ]
  const others: LineFrame[][] = []
  const fishes = (): FishesCounted => ({
    rows: COUNTS.filter((_, i) => !isOnBed(frames[COUNTS[i - 1] ?? 0])).flatMap((countS) => {
      const frame = frames[countS]
      if (!frame) return []
      const depthMm = Math.min(flyMm(frame), bedMm)
      const deep = others.map((one) => Math.min(flyMm(one[countS] ?? frame), bedMm))
      return {
        countS,
        depthMm,
        band: deep.length === doubts.length ? bandOf(depthMm, deep, bedMm) : null,
        bellyMm: frame.bellyMm,
        onBed: isOnBed(frame),
      }
    }),
    toWantedS,
  })
  yield { done: 0.2, soFar: fishes() }
  for (const doubt of doubts) {
    others.push(framesOf(doubt))
    yield { done: 0.2 + (0.8 * others.length) / doubts.length, soFar: fishes() }
  }
  return fishes()
}
