import { okLab } from '../colour/index.ts'
import type { ColourShare } from '../colour/index.ts'
import { is } from '../dressing/index.ts'
import type { Fly, FlyComponent } from '../dressing/index.ts'
import { clamp, sum } from '../number/index.ts'
import { bodyLengthMm, wholeLengthMm } from './bodyLength.ts'
import { outlineOf } from './outline.ts'
import type { Outline } from './outline.ts'
import { paletteOf } from './palette.ts'
import { isSoft } from './soft.ts'
import { triggersShown } from './triggersShown.ts'
import type { TriggersShown } from './triggersShown.ts'

/** What a fish can see of a fly. */
export interface Appearance {
  /** from the eye to the end of the body or the bend */
  readonly bodyLengthMm: number
  /** the same with tail, wing and strip */
  readonly wholeLengthMm: number
  readonly outline: Outline
  /** wet colours by how much is seen of them */
  readonly palette: readonly ColourShare[]
  /** how far it goes on moving while it is still: longest soft piece over the whole length, 0 to 1 */
  readonly soft: number
  /** how far it stands out from afar, by a strong colour or a shine, 0 to 1 */
  readonly bright: number
  readonly shows: TriggersShown
}

/** OKLab chroma from which a colour is strong, and the share of a fly from which it stands out. */
const STRONG_CHROMA = 0.13
const PLAIN_SHARE = 0.25
const MOSTLY = 0.5

const softMm = (component: FlyComponent) =>
  is(component.kind, 'moves') && isSoft(component) ? (component.lengthMm ?? 0) : 0

const strong = (hex: string) => {
  const { a, b } = okLab(hex)
  return Math.hypot(a, b) >= STRONG_CHROMA
}

/** What a fish can see of a fly, from its dressing. */
export function appearanceOf(fly: Fly): Appearance {
  const palette = paletteOf(fly)
  const whole = wholeLengthMm(fly)
  const vivid = sum(palette.map(({ hexWet, share }) => (strong(hexWet) ? share : 0)))
  // what is of a strong colour all over is one bright spot
  const shown = triggersShown(fly)
  const shows = vivid >= MOSTLY ? { ...shown, hotSpot: 1 } : shown
  return {
    bodyLengthMm: bodyLengthMm(fly),
    wholeLengthMm: whole,
    outline: outlineOf(fly),
    palette,
    soft: clamp(Math.max(0, ...fly.components.map(softMm)) / whole, 0, 1),
    bright: clamp(Math.max(vivid / PLAIN_SHARE, shows.gasSheen ?? 0), 0, 1),
    shows,
  }
}
