import { sizeNumber } from '../material/index.ts'
import { is, KINDS } from '../dressing/index.ts'
import type { Fly, FlyComponent, Layer } from '../dressing/index.ts'

const DRESSED: ReadonlySet<Layer> = new Set(['body', 'collar'])
/** From so many layers on the tying thread is the body. */
const BODY_LAYERS = 3

/** Whether a component is seen as body: what is wound as one, or thread that is laid on for one. */
export const isBody = ({ kind, layers = 0 }: FlyComponent): boolean =>
  DRESSED.has(KINDS[kind].layer) ||
  (!is(kind, 'hidden') && KINDS[kind].layer === 'underbody' && layers >= BODY_LAYERS)

/** A body that ends before this share of the shank is meant short; beyond it the bend is the rear of the fly. */
const SHORT_OF_SHANK = 0.7
/** Of an eye about so much lies before what a tier measures from. */
const EYE_SHARE = 0.5

/** Front and rear of a fly along its hook, mm from the rear of the eye. */
function ends(fly: Fly): readonly [frontMm: number, rearMm: number] {
  const { shankMm, eyeOuterMm } = fly.hook
  const bodies = fly.components.filter(isBody)
  const bead = fly.components.find(({ kind }) => KINDS[kind].layer === 'head')
  const beadFrontMm = bead ? (bead.fromMm + bead.toMm) / 2 - (sizeNumber(bead.material) ?? 0) / 2 : 0
  const bodyEndMm = Math.max(0, ...bodies.map(({ toMm }) => toMm))
  const short = bodies.length > 0 && bodyEndMm < SHORT_OF_SHANK * shankMm
  return [Math.min(-EYE_SHARE * eyeOuterMm, beadFrontMm), short ? bodyEndMm : Math.max(bodyEndMm, shankMm)]
}

/**
 * Length of a fly as a tier measures it, mm: from the eye, or the front of a bead before it, to the end of the body, or
 * to the bend where the body reaches it. Tail, wing and strip do not count.
 */
export function bodyLengthMm(fly: Fly): number {
  const [front, rear] = ends(fly)
  return rear - front
}

/** How far what lies back reaches from the eye, mm. */
const reachMm = ({ toMm, lengthMm }: FlyComponent): number => toMm + (lengthMm ?? 0)

/** Length of a fly with tail, wing and strip, mm: what counts for fish, leeches and worms. */
export function wholeLengthMm(fly: Fly): number {
  const [front, rear] = ends(fly)
  const lying = fly.components.filter(({ kind }) => is(kind, 'trails'))
  return Math.max(rear, ...lying.map(reachMm)) - front
}
