import { clamp, sum } from '../number/index.ts'
import type { WaterProperties } from '../water/index.ts'
import { piecesOf } from './assembled.ts'
import { ballBody } from './body.ts'
import { laid, netOf, NODES, placeOf, step } from './engine/index.ts'
import type { Leg, Motion, RigLine } from './engine/index.ts'
import { lengthOf } from './parts.ts'
import type { RigPart } from './parts.ts'

/** A lane of a run, as wide as it is across from the one before. */
export interface Lane {
  readonly widthMm: number
  readonly mmPerS: number
}

/** A cast straight across a run, with slack, to a fly that is to drift as free water. */
export interface SlackCast {
  readonly parts: readonly RigPart[]
  readonly water: WaterProperties
  /** from the rod across; the last goes on */
  readonly lanes: readonly Lane[]
  readonly acrossMm: number
  /** so much more line is laid than is straight, as share */
  readonly slackShare: number
  /** how far upstream its middle is laid */
  readonly mendMm: number
}

/** How long a fly drifts free; null for longer than anyone waits. */
export interface DragFree {
  readonly forS: number | null
  /** by how the slack may lie */
  readonly lowS: number | null
  readonly highS: number | null
}

/** It drags once it and its water differ by so much. */
const DRAGS_MM_PER_S = 20
const LONGEST_S = 20
const STEP_S = 0.1
/** Slack lies in curves about so long: as it is taken, and shorter and longer. */
const CURVES_MM = [700, 400, 1200] as const
/** A dry floats as a ball that is half under; its weight hardly matters. */
const DRY_MM = 5
/** Line is hardly seen to lie tighter: no less slack is reckoned with. */
const LEAST_SLACK = 0.005

/** Line and leader of a cast as long as it is laid: the line from the rod as far as it is needed. */
function rigOf({ parts, water }: SlackCast, laidMm: number): RigLine | null {
  const carrierAt = parts.findIndex(({ kind }) => kind === 'dry' || kind === 'float')
  const upper = carrierAt < 0 ? parts : parts.slice(0, carrierAt)
  const line = upper.find(({ kind }) => kind === 'line')
  const leader = upper.filter(({ kind }) => kind !== 'line')
  const lineMm = laidMm - sum(leader.map(lengthOf))
  if (line?.kind !== 'line' || lineMm <= 0 || !leader.some((part) => lengthOf(part) > 0)) return null
  return {
    pieces: [{ ...line, lengthMm: lineMm }, ...leader].flatMap((part) => piecesOf(part)),
    flies: [{ body: ballBody(0, DRY_MM, water), aboveMm: 0, sideMm: 0 }],
  }
}

/** The way to the fly by its mend, in curves that take its slack up. */
function legsOf({ acrossMm, mendMm, slackShare }: SlackCast, curveMm: number): readonly Leg[] {
  const turn = Math.acos(1 / (1 + Math.max(slackShare, LEAST_SLACK)))
  const halfMm = Math.hypot(mendMm, acrossMm / 2)
  const curves = Math.max(2, Math.round((halfMm * (1 + slackShare)) / curveMm))
  return [-1, 1].flatMap((side) => {
    const bearing = Math.atan2(acrossMm / 2, side * mendMm)
    return Array.from({ length: curves }, (_, i): Leg => {
      const at = bearing + (i % 2 === 0 ? turn : -turn)
      return { lengthMm: (halfMm * (1 + slackShare)) / curves, toward: [Math.cos(at), Math.sin(at), 0] }
    })
  })
}

/** Between two lanes the water is as fast as either over so much, mm. */
const SEAM_MM = 400

/** How fast the water runs so far across: over a seam it goes from the one lane's speed to the other's. */
function runsAt(lanes: readonly Lane[], acrossMm: number): number {
  let [toMm, runs] = [0, lanes[0]?.mmPerS ?? 0]
  lanes.forEach(({ widthMm, mmPerS }, i) => {
    const next = lanes[i + 1]
    toMm += widthMm
    if (next) runs += (next.mmPerS - mmPerS) * clamp((acrossMm - toMm) / SEAM_MM + 0.5, 0, 1)
  })
  return runs
}

/** Until when one shape of its slack lets a fly drift, s; null for longer than {@link LONGEST_S}. */
function freeFor(cast: SlackCast, rig: RigLine, curveMm: number): number | null {
  const { water, lanes } = cast
  const around = {
    ...{ water, bedMm: null, lineOff: { across: 1, along: 1 } },
    current: (_depthMm: number, acrossMm: number) => runsAt(lanes, acrossMm),
  }
  const net = netOf(rig, NODES.usual)
  const fly = net.along.at(-1) ?? 0
  const start = laid(net, [0, 0, 0], legsOf(cast, curveMm))
  // it comes down with the water that it comes down on
  const speed = Float64Array.from(start.speed, (_, i) =>
    i % 3 === 0 && i > 0 ? runsAt(lanes, start.at[i + 1] ?? 0) : 0,
  )
  let motion: Motion = { ...start, speed, afloat: new Set([fly]) }
  for (let i = 1; i * STEP_S <= LONGEST_S; i += 1) {
    motion = step(motion, around, STEP_S)
    const [, acrossMm = 0] = placeOf(motion, fly)
    const [alongMmPerS = 0, acrossMmPerS = 0] = motion.speed.subarray(fly * 3, fly * 3 + 2)
    if (Math.hypot(alongMmPerS - runsAt(lanes, acrossMm), acrossMmPerS) > DRAGS_MM_PER_S) return i * STEP_S
  }
  return null
}

/**
 * How long a fly drifts free on a cast with slack: until its speed and its water's differ by 20 mm/s. Which shape slack lies
 * in is what nobody knows: it is reckoned for shorter and longer curves too. Null for a rig without line to lay.
 */
export function* dragFree(cast: SlackCast): Generator<{ readonly done: number }, DragFree | null> {
  const rig = rigOf(cast, 2 * Math.hypot(cast.mendMm, cast.acrossMm / 2) * (1 + cast.slackShare))
  if (!rig) return null
  const found: (number | null)[] = []
  for (const curveMm of CURVES_MM) {
    found.push(freeFor(cast, rig, curveMm))
    yield { done: found.length / CURVES_MM.length }
  }
  const known = found.flatMap((one) => one ?? [])
  return {
    forS: found[0] ?? null,
    lowS: known.length > 0 ? Math.min(...known) : null,
    highS: known.length < found.length ? null : Math.max(...known),
  }
}
