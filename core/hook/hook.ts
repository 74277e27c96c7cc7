import type { HookConvention } from '../material/index.ts'
import { hookStyle } from './style.ts'
import type { HookStyle } from './style.ts'

/** A hook in millimetres, as bent wire. */
export interface Hook {
  readonly size: number
  readonly style: HookStyle
  readonly shankMm: number
  /** clear space between shank and point */
  readonly gapeMm: number
  readonly wireMm: number
  readonly bendRadiusMm: number
  readonly eyeOuterMm: number
  readonly neckMm: number
  /** length of untapered wire with the same mass */
  readonly wireLengthMm: number
  /** front of the eye to rear of the bend: what tiers call the fly */
  readonly hookLengthMm: number
  readonly massMg: number
  readonly volumeMm3: number
}

/** What was measured on a hook, mm; what was not is as the size and the convention have it. */
export interface MeasuredHook {
  readonly shankMm?: number | undefined
  readonly gapeMm?: number | undefined
  readonly wireMm?: number | undefined
}

/** Hook sizes that are understood; even ones are usual. */
const HOOK_SIZE_MIN = 2
const HOOK_SIZE_MAX = 24

/** Size 16 and the growth for each even size larger; generic, makers differ by ±12 % in length and ±30 % in mass. */
const BASE = { size: 16, shankMm: 7.1, gapeMm: 3.6, wireMm: 0.38 }
const GROWTH = { shank: 1.2, gape: 1.16, wire: 1.115 }
const POINT_LEG_OF_GAPE = 0.7
const POINT_TAPERED_SHARE = 0.5
const EYE_INNER_OF_GAPE = 0.2
const STEEL_MG_PER_MM3 = 7.85

const scaled = (baseMm: number, growth: number, size: number) => baseMm * growth ** ((BASE.size - size) / 2)

/** Length along a shank of this chord that is bent through an arc. */
function arcOverChord(curveDeg: number): number {
  if (curveDeg === 0) return 1
  const half = (curveDeg * Math.PI) / 360
  return half / Math.sin(half)
}

/**
 * The hook of a size and convention. nX long takes the shank of a hook n sizes larger, nX heavy the wire of one
 * n sizes larger; a size is a whole one or an even one as the convention says. Mass is that of the bent wire:
 * shank, bend arc, point leg with its tapered half counted as a cone, eye ring, and the jig's neck.
 *
 * @param size     2 to 24
 * @param measured overrides what a size usually has
 * @throws RangeError outside that range
 * @example makeHook(16, { style: 'straight', xLong: 0, xHeavy: 0, steps: 'wholeSizes' }).massMg // 16.5
 */
export function makeHook(size: number, convention: HookConvention, measured: MeasuredHook = {}): Hook {
  if (!(size >= HOOK_SIZE_MIN && size <= HOOK_SIZE_MAX)) {
    throw new RangeError(`hook size ${size} is outside ${HOOK_SIZE_MIN} to ${HOOK_SIZE_MAX}`)
  }
  const style = hookStyle(convention.style)
  const perX = convention.steps === 'evenSizes' ? 2 : 1
  const shankMm =
    measured.shankMm ?? scaled(BASE.shankMm, GROWTH.shank, size - convention.xLong * perX) * style.shankFactor
  const gapeMm = measured.gapeMm ?? scaled(BASE.gapeMm, GROWTH.gape, size) * style.gapeFactor
  const wireMm = measured.wireMm ?? scaled(BASE.wireMm, GROWTH.wire, size - convention.xHeavy * perX)
  const bendRadiusMm = (gapeMm + wireMm) / 2
  const eyeInnerMm = EYE_INNER_OF_GAPE * gapeMm
  const neckMm = style.neckOfGape * gapeMm
  const pointMm = POINT_LEG_OF_GAPE * gapeMm * (1 - POINT_TAPERED_SHARE * (2 / 3))
  const wireLengthMm =
    shankMm * arcOverChord(style.curveDeg) +
    (Math.PI * bendRadiusMm * style.bendDeg) / 180 +
    pointMm +
    Math.PI * (eyeInnerMm + wireMm) +
    neckMm
  const volumeMm3 = (Math.PI / 4) * wireMm ** 2 * wireLengthMm
  return {
    size,
    style,
    shankMm,
    gapeMm,
    wireMm,
    bendRadiusMm,
    eyeOuterMm: eyeInnerMm + 2 * wireMm,
    neckMm,
    wireLengthMm,
    hookLengthMm: shankMm + bendRadiusMm + wireMm / 2 + eyeInnerMm + 2 * wireMm,
    massMg: volumeMm3 * STEEL_MG_PER_MM3,
    volumeMm3,
  }
}

/**
 * Diameter of a bead in proportion to another hook, mm: beads grow as gapes do.
 *
 * @param sizes by how many sizes the number rises: 2 is the next smaller hook, −2 the next larger
 */
export const beadInProportionMm = (beadMm: number, sizes: number): number =>
  beadMm * GROWTH.gape ** (-sizes / 2)
