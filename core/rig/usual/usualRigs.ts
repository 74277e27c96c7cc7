import { speedAtHeight } from '../../drift/index.ts'
import { waterAt } from '../../water/index.ts'
import { ballBody } from '../body.ts'
import type { Body } from '../body.ts'
import { depthOf, laid, netOf, NODES, settle, step, STEP_S } from '../engine/index.ts'
import type { Around, Motion, RigLine } from '../engine/index.ts'
import type { LinePiece } from '../line.ts'

/**
 * The rigs that most fish by a technique, as far down as they are usually set. `float` is an indicator, `underDry` a dropper
 * below a dry, `tight` a leader led from the rod tip, `swung` a floating line that hangs in the current, `counted` one that
 * was cast straight over still water.
 */
export const USUAL_RIGS = ['float', 'underDry', 'tight', 'swung', 'counted'] as const
export type UsualRig = (typeof USUAL_RIGS)[number]

/** A fly as a usual rig sees it. */
export interface Sinker {
  /** weight in water */
  readonly submergedMg: number
  /** its free fall, without a line */
  readonly fallMmPerS: number
}

/** Water that a usual rig is fished in, over stones of the usual size. */
export interface UsualWater {
  readonly bedMm: number
  readonly surfaceMmPerS: number
}

const WATER = waterAt(10)
const STONES_MM = 60
/** A drift on which a fly must get down, and the longest that anyone waits under a float, or counts. */
export const DRIFT_MM = 6000
const WAITS_S = 60
export const COUNTS_S = 20
/** A float is set at most so much deeper than the water is, and a leader below it is at most so long. */
const SET_OF_DEPTH = 1.5
const LONGEST_LEADER_MM = 4500
const BELOW_A_DRY_MM = 900
/** A tip held at the height of the eyes, and led as slowly as the water by the bed goes. */
const TIP_MM = 1700
const LED_OF_SURFACE = 0.6
const SIGHTER_MM = 2000
/** Tippet of a tight line beyond the depth. */
const BEYOND_DEPTH_MM = 500
/** What is drawn where nothing runs is drawn so. */
const DRAWN_MM_PER_S = 150
const FLOAT = { massMg: 200, diameterMm: 12 }
const DRY = { massMg: 40, diameterMm: 5.3 }

const nylon = (lengthMm: number, diameterMm: number): LinePiece => ({
  lengthMm,
  diameterMm,
  densityMgPerMm3: 1.14,
  group: 'leader',
})
const floatingLine = (lengthMm: number): LinePiece => ({
  lengthMm,
  diameterMm: 1.1,
  densityMgPerMm3: 0.86,
  group: 'line',
})

/** A fly of which no more is known than its weight and its fall: its drag grows with the square of the speed. */
export function sinkerBody({ submergedMg, fallMmPerS }: Sinker): Body {
  const massMg = 1.3 * submergedMg
  return {
    submergedMg,
    dragMg: (speed) => (submergedMg * speed * Math.abs(speed)) / fallMmPerS ** 2,
    massMg,
    inertiaMg: massMg,
  }
}

const around = ({ bedMm, surfaceMmPerS }: UsualWater, ledMmPerS = 0): Around => ({
  water: WATER,
  current: (depthMm) =>
    speedAtHeight({ depthMm: bedMm, surfaceMmPerS, roughnessMm: STONES_MM }, bedMm - Math.max(depthMm, 0)) -
    ledMmPerS,
  // the water below the bed stands still: what would hang there lies on the bed
  bedMm: null,
  lineOff: { across: 1, along: 1 },
})

const rigOf = (pieces: readonly LinePiece[], body: Body): RigLine => ({
  pieces,
  flies: [{ body, aboveMm: 0, sideMm: 0 }],
})

const flyDepth = (motion: Motion): number => depthOf(motion, motion.net.along.at(-1) ?? 0)

function after(start: Motion, water: Around, forS: number): number {
  let motion = start
  for (let i = 0; i < Math.round(forS / STEP_S); i += 1) motion = step(motion, water, STEP_S)
  return flyDepth(motion)
}

/** Cast upstream: its leader lies along the surface, and all of it drifts. */
function underCarrier(fly: Body, water: UsualWater, carrier: typeof FLOAT, leaderMm: number): number {
  const net = netOf(rigOf([nylon(leaderMm, 0.14)], fly), NODES.usual)
  const whole = ballBody(0, carrier.diameterMm, WATER)
  const volumeMm3 = (Math.PI / 6) * carrier.diameterMm ** 3
  const share = Math.min((carrier.massMg + fly.submergedMg) / (WATER.densityMgPerMm3 * volumeMm3), 1)
  const float: Body = {
    submergedMg: 0,
    massMg: carrier.massMg,
    inertiaMg: carrier.massMg,
    dragMg: (v) => share * whole.dragMg(v),
  }
  const start = laid(
    { ...net, bodies: [...net.bodies, { node: 0, body: float, fly: 1 }] },
    [0, 0],
    [{ lengthMm: 1, toward: [-1, 0] }],
  )
  const speed = Float64Array.from(start.speed, (_, i) => (i % 2 === 0 ? water.surfaceMmPerS : 0))
  const forS = Math.min(DRIFT_MM / Math.max(water.surfaceMmPerS, 1), WAITS_S)
  return after({ ...start, speed, held: new Set(), afloat: new Set([0]) }, around(water), forS)
}

function onTightLine(fly: Body, water: UsualWater): number {
  const led = LED_OF_SURFACE * water.surfaceMmPerS
  const lengthMm = SIGHTER_MM + water.bedMm + BEYOND_DEPTH_MM
  const net = netOf(
    rigOf([nylon(SIGHTER_MM, 0.2), nylon(water.bedMm + BEYOND_DEPTH_MM, 0.13)], fly),
    NODES.usual,
  )
  const down = TIP_MM / lengthMm
  const start = laid(net, [0, -TIP_MM], [{ lengthMm: 1, toward: [-Math.sqrt(1 - down ** 2), down] }])
  return after(start, around(water, led), Math.min(DRIFT_MM / Math.max(led, 1), WAITS_S))
}

function swung(fly: Body, { bedMm, surfaceMmPerS }: UsualWater): number | null {
  const water = { bedMm, surfaceMmPerS: Math.max(surfaceMmPerS, DRAWN_MM_PER_S) }
  const net = netOf(rigOf([floatingLine(10_000), nylon(3000, 0.2)], fly), NODES.usual)
  const start = laid(net, [0, 0], [{ lengthMm: 1, toward: [1, 0] }])
  const lies = settle(start, { ...around(water), bedMm })
  return lies && flyDepth(lies)
}

function counted(fly: Body, { bedMm }: UsualWater): number {
  const net = netOf(rigOf([floatingLine(12_000), nylon(2700, 0.16)], fly), NODES.usual)
  const start = laid(net, [0, 0], [{ lengthMm: 1, toward: [1, 0] }])
  return after(start, around({ bedMm, surfaceMmPerS: 0 }), COUNTS_S)
}

/**
 * How deep a fly comes on a usual rig, mm; deeper than the bed where it would lie on it; null where it never comes to rest.
 * Under a float and on a tight line: by the end of a drift, or after a wait. Swung: where it hangs at last. Counted: after
 * twenty seconds.
 */
export function deepestOn(rig: UsualRig, fly: Body, water: UsualWater): number | null {
  const { bedMm } = water
  const found = {
    float: () => underCarrier(fly, water, FLOAT, Math.min(SET_OF_DEPTH * bedMm, LONGEST_LEADER_MM)),
    underDry: () => underCarrier(fly, water, DRY, BELOW_A_DRY_MM),
    tight: () => onTightLine(fly, water),
    swung: () => swung(fly, water),
    counted: () => counted(fly, water),
  }[rig]()
  return found === null ? null : Math.max(found, 1)
}
