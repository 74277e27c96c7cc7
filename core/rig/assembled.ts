import type { FallModel } from '../sink/index.ts'
import type { WaterProperties } from '../water/index.ts'
import { ballBody, flyBody } from './body.ts'
import type { Body } from './body.ts'
import type { OnLine, RigLine } from './engine/index.ts'
import type { FloatBall } from './float.ts'
import type { LinePiece } from './line.ts'
import { lengthOf, USUAL_PART } from './parts.ts'
import type { LinePart, LeaderPart, RigPart, Stuff } from './parts.ts'
import { densityByRate, LEADER_MG_PER_MM3 } from './spool.ts'

/** What a fly is to its rig: how it falls, or how it carries; null where it does neither. */
export interface RigFly {
  /** its free fall, without a line; null for one that floats */
  readonly model: FallModel | null
  /** doubt of its drag, sd of the logarithm */
  readonly dragSdLog: number
  /** of one that floats: its weight, and what it carries besides, mg */
  readonly carries: { readonly massMg: number; readonly spareMg: number } | null
}

/** Densities of what lines and leaders are made of as they are reckoned, mg/mm³. */
const DENSITY: Readonly<Record<Stuff, number>> = {
  ...LEADER_MG_PER_MM3,
  copolymer: LEADER_MG_PER_MM3.nylon,
}
/** Shot of lead, brass swivels: what their size follows from, mg/mm³. */
const WEIGHT_MG_PER_MM3 = { shot: 11.3, swivel: 8.5, ring: 8 } as const

/** By how much fly lines are otherwise than they say: the rate of those that say one, the density of the others. */
export interface LinesAre {
  readonly rate: number
  readonly density: number
}

const AS_THEY_SAY: LinesAre = { rate: 1, density: 1 }

/** Density of a fly line: by the rate on its spool where it sinks, else as its sort has it. */
function lineMgPerMm3({ sort, diameterMm, rateMmPerS }: LinePart, are: LinesAre): number {
  if (rateMmPerS !== null) return densityByRate(diameterMm, rateMmPerS * are.rate)
  const { floating, intermediate, sinking } = USUAL_PART.line
  if (sort === 'floating') return floating.densityMgPerMm3 * are.density
  return sort === 'intermediate'
    ? intermediate.densityMgPerMm3 * are.density
    : densityByRate(diameterMm, sinking.rateMmPerS * are.rate)
}

/** Parts of a tapered leader: three fifths butt, a fifth that steps down, a fifth as thin as its tip. */
const TAPER = { butt: 0.6, steps: 4, tip: 0.2 }

function leaderPieces({ lengthMm, buttMm, tipMm, stuff }: LeaderPart): readonly LinePiece[] {
  const piece = (share: number, diameterMm: number): LinePiece => ({
    lengthMm: share * lengthMm,
    diameterMm,
    densityMgPerMm3: DENSITY[stuff],
    group: 'leader',
  })
  const between = (1 - TAPER.butt - TAPER.tip) / TAPER.steps
  const steps = Array.from({ length: TAPER.steps }, (_, i) =>
    piece(between, buttMm + ((tipMm - buttMm) * (i + 1)) / (TAPER.steps + 1)),
  )
  return [piece(TAPER.butt, buttMm), ...steps, piece(TAPER.tip, tipMm)]
}

/** What a part of a rig is as pieces of line; none for what is tied in. */
export function piecesOf(part: RigPart, are: LinesAre = AS_THEY_SAY): readonly LinePiece[] {
  if (part.kind === 'leader') return leaderPieces(part)
  if (part.kind === 'tippet')
    return [
      {
        lengthMm: part.lengthMm,
        diameterMm: part.diameterMm,
        densityMgPerMm3: DENSITY[part.stuff],
        group: 'leader',
      },
    ]
  if (part.kind !== 'line') return []
  const { lengthMm, diameterMm } = part
  return [{ lengthMm, diameterMm, densityMgPerMm3: lineMgPerMm3(part, are), group: 'line' }]
}

/** A weight as a ball of what it is made of. */
function weightBody(kind: keyof typeof WEIGHT_MG_PER_MM3, massMg: number, water: WaterProperties): Body {
  const density = WEIGHT_MG_PER_MM3[kind]
  const diameterMm = Math.cbrt((6 * massMg) / (Math.PI * density))
  return ballBody(massMg * (1 - water.densityMgPerMm3 / density), diameterMm, water)
}

/** What carries a rig: a ball, and the most that it bears, mg. */
export interface Carrier extends FloatBall {
  readonly bearsMg: number
}

/** A rig put together. */
export interface Assembled {
  readonly rig: RigLine
  /** flies that hang, in the order of the rig, as indices of `fliesOnRig`; then come the weights */
  readonly flies: readonly number[]
  readonly carrier: Carrier | null
}

/** Why a rig cannot be reckoned: which fly is not chosen, what does not sink where it should, what carries nothing. */
export type NotAssembled = 'noLeader' | 'noFly' | 'dryDoesNotFloat' | 'twoCarriers'

function carrierOf(part: RigPart, fly: RigFly | null, water: WaterProperties): Carrier | null {
  if (part.kind === 'float') {
    const { massMg, diameterMm } = part
    const bearsMg = (Math.PI / 6) * diameterMm ** 3 * water.densityMgPerMm3 - massMg
    return { massMg, diameterMm, bearsMg }
  }
  if (!fly?.carries) return null
  const { massMg, spareMg } = fly.carries
  // a ball that is half under as it floats
  return {
    massMg,
    diameterMm: Math.cbrt((12 * massMg) / (Math.PI * water.densityMgPerMm3)),
    bearsMg: spareMg,
  }
}

/**
 * Puts a rig together as it hangs in the water: all of it, or what hangs below its float or dry.
 *
 * @param flyOf   what each fly is, in the order of the rig; null for one that is not chosen
 * @param dragOff by how much a fly's drag is off, by its index
 * @param are     by how much fly lines are otherwise than they say
 */
export function assembled(
  parts: readonly RigPart[],
  flies: readonly (RigFly | null)[],
  water: WaterProperties,
  dragOff: (fly: number) => number = () => 1,
  are = AS_THEY_SAY,
): Assembled | NotAssembled {
  const carriers = parts.flatMap((part, i) => (part.kind === 'float' || part.kind === 'dry' ? [i] : []))
  if (carriers.length > 1) return 'twoCarriers'
  const [carrierAt = -1] = carriers
  let flyAt = -1
  let carrier: Carrier | null = null
  const pieces: LinePiece[] = []
  const hung: {
    readonly fly: number | null
    readonly atMm: number
    readonly sideMm: number
    readonly body: Body
  }[] = []
  let atMm = 0
  for (const [i, part] of parts.entries()) {
    const hasFly = part.kind === 'dropper' || part.kind === 'dry' || part.kind === 'point'
    if (hasFly) flyAt += 1
    const fly = hasFly ? (flies[flyAt] ?? null) : null
    if (i === carrierAt) {
      carrier = carrierOf(part, fly, water)
      if (!carrier) return part.kind === 'dry' && fly ? 'dryDoesNotFloat' : 'noFly'
      continue
    }
    if (i < carrierAt) continue
    pieces.push(...piecesOf(part, are))
    atMm += lengthOf(part)
    if (part.kind === 'shot' || part.kind === 'swivel' || part.kind === 'ring')
      hung.push({ fly: null, atMm, sideMm: 0, body: weightBody(part.kind, part.massMg, water) })
    if (part.kind === 'dropper' || part.kind === 'point') {
      if (!fly) return 'noFly'
      const body = fly.model ? flyBody(fly.model, dragOff(flyAt)) : floatingBody(fly, water)
      hung.push({ fly: flyAt, atMm, sideMm: part.kind === 'dropper' ? part.lengthMm : 0, body })
    }
  }
  if (pieces.length === 0) return 'noLeader'
  if (!hung.some(({ fly }) => fly !== null)) return 'noFly'
  const ordered = [...hung.filter(({ fly }) => fly !== null), ...hung.filter(({ fly }) => fly === null)]
  return {
    rig: {
      pieces,
      flies: ordered.map(({ atMm: at, sideMm, body }): OnLine => ({ body, aboveMm: atMm - at, sideMm })),
    },
    flies: ordered.flatMap(({ fly }) => (fly === null ? [] : [fly])),
    carrier,
  }
}

/** A fly that floats, drawn under by its line: a ball as light as it is with the most that it carries. */
function floatingBody({ carries }: RigFly, water: WaterProperties): Body {
  const { massMg, spareMg } = carries ?? { massMg: 1, spareMg: 0 }
  const diameterMm = Math.cbrt((6 * (massMg + spareMg)) / (Math.PI * water.densityMgPerMm3))
  return ballBody(-spareMg, diameterMm, water)
}
