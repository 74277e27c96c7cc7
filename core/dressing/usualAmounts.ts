import { sizeNumber, strandDiameterMm, valueOf } from '../material/index.ts'
import type { Material } from '../material/index.ts'
import type { Component } from './dressing.ts'
import { threadWidthMm } from './threadWidth.ts'
import { turnsThatFit } from './wraps.ts'

/** Amounts that a recipe may say and that are worked out where it does not. */
export const AMOUNTS = ['turns', 'fibreCount', 'strands', 'layers', 'bulk'] as const
export type Amount = (typeof AMOUNTS)[number]
export type Amounts = Readonly<Partial<Record<Amount, number>>>

const USUAL = { bulk: 0.3, hackleTurns: 3, hotSpotTurns: 5, fibres: 12, threadLayers: 3, denier: 70 }
const FEATHERS: ReadonlySet<string> = new Set(['hackle', 'feather', 'cdc', 'marabou'])
/** Goods of which single strands are tied in, not fibres of a bunch. */
const STRANDS: ReadonlySet<string> = new Set(['yarn', 'rubber', 'chenille', 'quill', 'sheet', 'tinsel'])
/** Goods of which one piece makes a body, whatever its bulk. */
const OF_ONE_PIECE: ReadonlySet<string> = new Set([
  'quill', 'tinsel', 'sheet', 'herl', 'chenille', 'yarn', 'foam',
]) // prettier-ignore

/** Whether single strands of it are tied in. */
export const tiedInStrands = ({ family }: Material): boolean => STRANDS.has(family.kind)

function ofBody(component: Component, material: Material, placeMm: number): Amounts {
  const { kind } = material.family
  if (kind === 'wire') return { turns: turnsThatFit(placeMm, strandDiameterMm(material)) }
  if (kind === 'floss') return { layers: 2 }
  if (kind === 'thread') {
    const layers = component.layers ?? USUAL.threadLayers
    const widthMm = threadWidthMm(sizeNumber(material) ?? USUAL.denier)
    return { layers, turns: layers * turnsThatFit(placeMm, widthMm) }
  }
  return OF_ONE_PIECE.has(kind) ? {} : { bulk: USUAL.bulk }
}

function ofBunch(component: Component, material: Material): Amounts {
  const { kind } = material.family
  if (kind === 'foam' || kind === 'strip') return {}
  if (tiedInStrands(material)) return { strands: component.fibreCount ?? 1 }
  if (component.fibreCount !== undefined) return {}
  const perFeather = kind === 'fibre' ? 0 : valueOf(material, 'fibresPerFeather')
  if (perFeather === 0) return { fibreCount: USUAL.fibres }
  const strands = component.strands ?? 1
  return { strands, fibreCount: strands * perFeather }
}

/**
 * The amounts of a component that its recipe leaves out: turns that fit side by side, fibres of so many feathers, else
 * what is usual of its kind.
 *
 * @param placeMm length of its place on the shank
 */
export function usualAmounts(component: Component, material: Material, placeMm: number): Amounts {
  switch (component.kind) {
    case 'wire':
      return { turns: turnsThatFit(placeMm, strandDiameterMm(material)), layers: 1 }
    case 'rib':
      return { turns: turnsThatFit(placeMm, strandDiameterMm(material)) }
    case 'thread':
      return { layers: 2 }
    case 'sheet':
    case 'coat':
      return { layers: 1 }
    case 'hotSpot':
      return { turns: USUAL.hotSpotTurns }
    case 'hackle':
      return { turns: USUAL.hackleTurns }
    case 'collar':
      if (FEATHERS.has(material.family.kind)) return { turns: USUAL.hackleTurns }
      return material.family.kind === 'hair' || material.family.kind === 'fibre'
        ? ofBunch(component, material)
        : ofBody(component, material, placeMm)
    case 'body':
    case 'thorax':
    case 'egg':
      return ofBody(component, material, placeMm)
    case 'tail':
    case 'shuck':
    case 'legs':
    case 'gills':
    case 'wing':
    case 'post':
      return ofBunch(component, material)
    default:
      return {}
  }
}
