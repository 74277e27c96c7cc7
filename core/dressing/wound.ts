import type { Hook } from '../hook/index.ts'
import { sizeNumber, strandDiameterMm, valueOf } from '../material/index.ts'
import type { Material, MaterialKind } from '../material/index.ts'
import type { Amounts } from './amount.ts'
import type { Component } from './dressing.ts'
import type { Field } from './fields.ts'
import { pileAddsMm } from './pile.ts'
import { THREAD_LAYER_MM, threadWidthMm } from './threadWidth.ts'
import { turnsThatFit } from './wraps.ts'

/** Radial thickness of a dubbed body in gapes: the thinnest that covers, and what full bulk adds. */
const DUBBED_OF_GAPE = { thinnest: 0.05, added: 0.38 }
/** Goods of which one piece makes a body, whatever its bulk. */
const OF_ONE_PIECE: ReadonlySet<MaterialKind> = new Set(['quill', 'tinsel', 'sheet', 'herl', 'chenille', 'yarn', 'foam']) // prettier-ignore
const USUAL = { threadLayers: 3, flossLayers: 2, denier: 70 }

/** What a body that is wound or dubbed is asked. */
export function asksOfBody(goods: MaterialKind): readonly Field[] {
  if (goods === 'thread' || goods === 'floss') return ['layers']
  if (goods === 'wire') return ['turns']
  return OF_ONE_PIECE.has(goods) ? [] : ['bulk']
}

/** Layers of thread or floss, else so much bulk where bulk says anything. */
export const usualOfBody =
  (bulk: number) =>
  (_component: Component, { family }: Material): Amounts => {
    if (family.kind === 'thread') return { layers: USUAL.threadLayers }
    if (family.kind === 'floss') return { layers: USUAL.flossLayers }
    return asksOfBody(family.kind).includes('bulk') ? { bulk } : {}
  }

/** Turns of wire or thread that lie side by side over its place. */
export function worksOutOfBody(
  { layers = USUAL.threadLayers }: Component,
  material: Material,
  placeMm: number,
): Amounts {
  if (material.family.kind === 'wire') return { turns: turnsThatFit(placeMm, strandDiameterMm(material)) }
  if (material.family.kind !== 'thread') return {}
  return { turns: layers * turnsThatFit(placeMm, threadWidthMm(sizeNumber(material) ?? USUAL.denier)) }
}

/** Diameter that a body adds to what lies below it, mm, by its goods. */
export function bodyDiameterMm(component: Component, material: Material, hook: Hook): number {
  const { bulk = 0, layers = 1 } = component
  switch (material.family.kind) {
    case 'thread':
      return 2 * THREAD_LAYER_MM * layers
    case 'floss':
      return 2 * valueOf(material, 'thicknessMm') * layers
    case 'quill':
    case 'tinsel':
    case 'sheet':
      return 2 * Math.max(valueOf(material, 'thicknessMm'), 0.04)
    case 'wire':
      return 2 * strandDiameterMm(material)
    case 'chenille':
      return pileAddsMm(material)
    case 'herl':
    case 'yarn':
      return 2 * valueOf(material, 'diameterMm') * 0.8
    case 'foam':
      return 2 * (sizeNumber(material) ?? 2) * 0.6
    default:
      return 2 * hook.gapeMm * (DUBBED_OF_GAPE.thinnest + DUBBED_OF_GAPE.added * bulk)
  }
}
