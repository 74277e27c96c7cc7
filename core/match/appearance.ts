import { okLab } from '../colour/index.ts'
import { is, KINDS } from '../dressing/index.ts'
import type { Fly, FlyComponent, Layer, TriggerKey } from '../dressing/index.ts'
import { valueOf } from '../material/index.ts'
import { bodyLengthMm } from './bodyLength.ts'
import { triggersShown } from './triggersShown.ts'

/** What a fish can see of a fly. */
export interface Appearance {
  readonly bodyLengthMm: number
  /** length of the body over its greatest thickness */
  readonly slenderness: number
  /** wet colour of the body; null where nothing covers the hook */
  readonly bodyHexWet: string | null
  /** whether something on it goes on moving while the fly is still */
  readonly soft: boolean
  /** whether something on it stands out from afar: a strong colour or a shine */
  readonly bright: boolean
  readonly shows: readonly TriggerKey[]
}

/** Fibres that fold back this much in the water also wave in it. */
const SOFT_FOLD = 0.35
/** OKLab chroma from which a colour is strong. */
const STRONG_CHROMA = 0.15

const isSoft = ({ kind, material }: FlyComponent) =>
  is(kind, 'moves') && (material.family.kind === 'rubber' || valueOf(material, 'foldExponent') >= SOFT_FOLD)

function isBright({ material }: FlyComponent): boolean {
  const { a, b } = okLab(material.colourWetHex)
  return material.family.kind === 'tinsel' || Math.hypot(a, b) >= STRONG_CHROMA
}

/** What makes the outline: light falls through a collar of fur. */
const OUTLINE: ReadonlySet<Layer> = new Set(['underbody', 'body'])

/** What a fish can see of a fly, from its dressing. */
export function appearanceOf(fly: Fly): Appearance {
  const body = fly.components.find(({ kind }) => is(kind, 'givesColour'))
  const length = bodyLengthMm(fly)
  const outline = fly.components.filter(({ kind }) => OUTLINE.has(KINDS[kind].layer))
  const thickest = Math.max(fly.hook.wireMm, ...outline.map(({ outerMm }) => outerMm))
  return {
    bodyLengthMm: length,
    slenderness: length / thickest,
    bodyHexWet: body?.material.colourWetHex ?? null,
    soft: fly.components.some(isSoft),
    bright: fly.components.some(isBright),
    shows: triggersShown(fly),
  }
}
