import { okLab } from '../colour/index.ts'
import type { Fly, FlyComponent } from '../dressing/index.ts'
import { valueOf } from '../material/index.ts'
import { bodyLengthMm } from './bodyLength.ts'
import { triggersShown } from './triggersShown.ts'
import type { TriggerKey } from './triggersShown.ts'

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
const MOVING_KINDS: ReadonlySet<string> = new Set(['tail', 'strip', 'legs', 'gills', 'hackle', 'collar', 'wing', 'shuck']) // prettier-ignore

const isSoft = ({ kind, material }: FlyComponent) =>
  MOVING_KINDS.has(kind) &&
  (material.family.kind === 'rubber' || valueOf(material, 'foldExponent') >= SOFT_FOLD)

function isBright({ material }: FlyComponent): boolean {
  const { a, b } = okLab(material.colourWetHex)
  return material.family.kind === 'tinsel' || Math.hypot(a, b) >= STRONG_CHROMA
}

/** What makes the outline: light falls through a collar of fur. */
const OUTLINE_KINDS = ['wire', 'sheet', 'thread', 'body', 'thorax', 'coat', 'foam', 'egg'] as const

const thicknessOf = (fly: Fly, wanted: FlyComponent['kind']) =>
  Math.max(0, ...fly.components.filter(({ kind }) => kind === wanted).map(({ outerMm }) => outerMm))

/** What a fish can see of a fly, from its dressing. */
export function appearanceOf(fly: Fly): Appearance {
  const body = fly.components.find(({ kind }) => kind === 'body' || kind === 'thorax' || kind === 'foam')
  const length = bodyLengthMm(fly)
  const thickest = Math.max(...OUTLINE_KINDS.map((kind) => thicknessOf(fly, kind)), fly.hook.wireMm)
  return {
    bodyLengthMm: length,
    slenderness: length / thickest,
    bodyHexWet: body?.material.colourWetHex ?? null,
    soft: fly.components.some(isSoft),
    bright: fly.components.some(isBright),
    shows: triggersShown(fly),
  }
}
