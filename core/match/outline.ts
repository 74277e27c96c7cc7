import { hullAs, is, KINDS } from '../dressing/index.ts'
import type { Fly, FlyComponent } from '../dressing/index.ts'
import { sizeNumber } from '../material/index.ts'
import type { MaterialKind } from '../material/index.ts'
import { sum } from '../number/index.ts'
import { bodyLengthMm, isBody, wholeLengthMm } from './bodyLength.ts'
import { isSoft } from './soft.ts'

/** How the wings of a fly lie, or what a fish takes for wings. */
export const WING_LOOKS = ['none', 'upright', 'folded', 'spent', 'bushy', 'hackled', 'swept'] as const
export type WingLook = (typeof WING_LOOKS)[number]

/** What a fly has behind its body. */
export const TAIL_LOOKS = ['none', 'fine', 'soft', 'shuck'] as const
export type TailLook = (typeof TAIL_LOOKS)[number]

/** The outline of a fly as a fish sees it from the side. */
export interface Outline {
  /** length of the body over its greatest thickness */
  readonly slenderness: number
  /** the same of the whole fly, with tail, wing and strip */
  readonly wholeSlenderness: number
  /** where the middle of the bulk sits, 0 front to 1 rear of the body */
  readonly bulkAt: number
  readonly wing: WingLook
  readonly tail: TailLook
  readonly curved: boolean
}

/** A hackle over more than this share of the shank is one all along the body. */
const PALMERED = 0.5
/** What is shorter than this share of the shank is a spot to be seen by the angler, no wing. */
const LEAST_WING = 0.35
/** A hook with more arc than this is curved to the eye, degrees. */
const CURVED_DEG = 30
/** Goods whose edge light falls through, and how much of their thickness is seen. Judgement. */
const FURRY: ReadonlySet<MaterialKind> = new Set(['dubbing', 'marabou', 'cdc', 'chenille', 'herl', 'yarn'])
const SEEN_OF_FUR = 0.6

const seenMm = ({ material, coreMm, outerMm }: FlyComponent) =>
  FURRY.has(material.family.kind) ? coreMm + SEEN_OF_FUR * Math.max(outerMm - coreMm, 0) : outerMm

const shapeOf = ({ kind }: FlyComponent) => KINDS[kind].drawn

function wingOf({ components, hook }: Fly): WingLook {
  const wing = components.find(
    (one) => shapeOf(one) === 'wing' && (one.lengthMm ?? 0) >= LEAST_WING * hook.shankMm,
  )
  if (wing) return wing.side === 'both' ? 'spent' : wing.side === 'around' ? 'folded' : 'upright'
  if (components.some(({ kind }) => is(kind, 'post'))) return 'upright'
  const hackle = components.find((one) => shapeOf(one) === 'hackle')
  if (hackle) return hackle.toMm - hackle.fromMm >= PALMERED * hook.shankMm ? 'bushy' : 'hackled'
  // a feather stands out of the body; fur only makes it thicker
  const sweeps = (one: FlyComponent) => shapeOf(one) === 'collar' && one.outerMm <= one.coreMm
  return components.some(sweeps) ? 'swept' : 'none'
}

/** Goods that make a tail of a body's thickness, which bends as it moves. */
const THICK: ReadonlySet<MaterialKind> = new Set(['strip', 'chenille', 'yarn'])

function tailOf({ components }: Fly): TailLook {
  if (components.some(({ kind }) => KINDS[kind].shows.trailingShuck)) return 'shuck'
  const behind = components.filter((one) => shapeOf(one) === 'tail' || shapeOf(one) === 'strip')
  if (behind.some((one) => THICK.has(one.material.family.kind) || isSoft(one))) return 'soft'
  return behind.length > 0 ? 'fine' : 'none'
}

/** How far the barbs of a hackle along the whole body make its outline, share of their length. Judgement. */
const SEEN_OF_BARBS = 0.6
/** A strip stands so many of its widths high with its fur. Judgement. */
const STRIP_HEIGHT = 1.2

/** What lies on or round the body and makes it deeper, mm: barbs, foam and strips along it. */
function addsMm(component: FlyComponent, wing: WingLook): number {
  const { material, lengthMm } = component
  switch (shapeOf(component)) {
    case 'hackle':
      return wing === 'bushy' ? 2 * SEEN_OF_BARBS * (lengthMm ?? 0) : 0
    case 'laid':
      return material.family.kind === 'foam' ? (sizeNumber(material) ?? 0) : 0
    case 'strip':
      return STRIP_HEIGHT * (sizeNumber(material) ?? 0)
    default:
      return 0
  }
}

/** From the foremost to the rearmost of what is wound: an egg in the middle of a hook is as long as itself. */
function dressedMm(fly: Fly): number {
  const wound = fly.components.filter(
    (component) => KINDS[component.kind].layer !== 'underbody' || isBody(component),
  )
  const fromMm = Math.min(...wound.map(({ fromMm: from }) => from))
  const toMm = Math.max(...wound.map(({ toMm: to }) => to))
  return wound.length === 0 ? bodyLengthMm(fly) : Math.min(toMm - fromMm, bodyLengthMm(fly))
}

/** The outline of a fly, from its dressing. */
export function outlineOf(fly: Fly): Outline {
  // without a bead: every fish knows them, and none takes them for a thick body
  const sections = hullAs(fly, seenMm)
  const wing = wingOf(fly)
  const thickest =
    Math.max(fly.hook.wireMm, ...sections.map(({ diameterMm }) => diameterMm)) +
    sum(fly.components.map((component) => addsMm(component, wing)))
  const areas = sections.map(({ fromMm, toMm, diameterMm }) => ({
    atMm: (fromMm + toMm) / 2,
    mm2: (toMm - fromMm) * diameterMm,
  }))
  return {
    slenderness: dressedMm(fly) / thickest,
    wholeSlenderness: wholeLengthMm(fly) / thickest,
    bulkAt: sum(areas.map(({ atMm, mm2 }) => atMm * mm2)) / sum(areas.map(({ mm2 }) => mm2)) / fly.hook.shankMm,
    wing,
    tail: tailOf(fly),
    curved: fly.hook.style.curveDeg > CURVED_DEG,
  }
}
