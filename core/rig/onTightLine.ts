import { speedAtHeight } from '../drift/index.ts'
import type { Current } from '../drift/index.ts'
import { rootBetween } from '../number/index.ts'
import type { FallModel } from '../sink/index.ts'
import { flyBody } from './body.ts'
import { bandOf, CURRENT_SD_LOG, LINES_OFF } from './doubt.ts'
import type { LikelyDepth } from './doubt.ts'
import { hangTight } from './tightLine.ts'
import type { HungTight, TightLine } from './tightLine.ts'
import type { LinePiece } from './line.ts'

/** A fly on a tight line in a run. */
export interface OnTightLine {
  /** the fly's free fall, without a line */
  readonly model: FallModel
  /** doubt of its drag, sd of the logarithm */
  readonly dragSdLog: number
  /** from the tip down */
  readonly upper: Omit<LinePiece, 'group'>
  readonly tippet: Omit<LinePiece, 'group'>
  readonly tipHeightMm: number
  readonly ledMmPerS: number
  readonly current: Current
  /** how far over the bed it is wanted */
  readonly overBedMm: number
}

/** Where it hangs, what a finer tippet would change, and how fast to lead it for the height that is wanted. */
export interface FishesTight {
  readonly hung: HungTight
  readonly band: LikelyDepth
  /** the deepest that it may well hang is the bed */
  readonly mayTouch: boolean
  /** its depth on tippet one X finer, mm; null where that is not drawn, or nothing comes of it */
  readonly finerMm: number | null
  /** null where no pace between two fifths of the surface's and a fifth above it brings it there */
  readonly toLeadMmPerS: number | null
}

/** An X of tippet, mm. */
const ONE_X_MM = 0.0254
/** Tippet finer than this is not sold. */
const FINEST_MM = 0.06
/** Paces that are tried, of the surface's speed. */
const LED = { slowest: 0.4, fastest: 1.2, step: 0.1 }
const WITHIN_MM_PER_S = 2

/** Where a fly hangs on a tight line, in steps: each takes some hundredths of a second. Null where it never comes to rest. */
export function* onTightLine(input: OnTightLine): Generator<{ readonly done: number }, FishesTight | null> {
  const { model, dragSdLog, upper, tippet, tipHeightMm, ledMmPerS, current, overBedMm } = input
  const tight = (tippetMm = tippet.diameterMm, dragOff = 1): TightLine => ({
    rig: {
      pieces: [
        { ...upper, group: 'leader' },
        { ...tippet, diameterMm: tippetMm, group: 'leader' },
      ],
      flies: [{ body: flyBody(model, dragOff), aboveMm: 0, sideMm: 0 }],
    },
    tipHeightMm,
    ledMmPerS,
    current: (depthMm) => speedAtHeight(current, current.depthMm - Math.max(depthMm, 0)),
    depthMm: current.depthMm,
    water: model.water,
  })
  const hung = hangTight(tight())
  if (!hung) return null
  const depthOf = (other: TightLine) => hangTight(other)?.fliesMm[0] ?? null
  yield { done: 0.2 }
  const depthMm = hung.fliesMm[0] ?? 0
  const faster = (z: number) => Math.exp(CURRENT_SD_LOG) * tight().current(z)
  const others = [
    ...LINES_OFF.map((lineOff) => ({ ...tight(), lineOff })),
    tight(tippet.diameterMm, Math.exp(dragSdLog)),
    { ...tight(), current: faster },
  ]
  // what never comes to rest has no depth
  const deep = others.map(depthOf).filter((depth) => depth !== null)
  const band = bandOf(depthMm, deep, current.depthMm)
  yield { done: 0.6 }
  const finer = tippet.diameterMm - ONE_X_MM
  const wantedMm = current.depthMm - overBedMm
  return {
    hung,
    band,
    mayTouch: band.highMm >= current.depthMm,
    finerMm: finer >= FINEST_MM && !hung.onBed ? depthOf(tight(finer)) : null,
    toLeadMmPerS: toLead((led) => depthOf({ ...tight(), ledMmPerS: led }), wantedMm, current.surfaceMmPerS),
  }
}

/**
 * The fastest pace at which a fly is as deep as wanted: from there on, the faster it is led the higher it hangs. Led slower
 * than the water it may hang as high again, but is swept ahead of the tip.
 */
export function toLead(
  depthAt: (ledMmPerS: number) => number | null,
  wantedMm: number,
  surfaceMmPerS: number,
): number | null {
  let fast = LED.fastest * surfaceMmPerS
  if ((depthAt(fast) ?? Infinity) > wantedMm) return null
  for (let share = LED.fastest - LED.step; share >= LED.slowest; share -= LED.step) {
    const slow = share * surfaceMmPerS
    const deep = depthAt(slow)
    // slower still it only swings about
    if (deep === null) return null
    if (deep >= wantedMm)
      return rootBetween((led) => (depthAt(led) ?? wantedMm) - wantedMm, slow, fast, WITHIN_MM_PER_S)
    fast = slow
  }
  return null
}
