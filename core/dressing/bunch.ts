import { valueOf } from '../material/index.ts'
import type { Material, MaterialKind } from '../material/index.ts'
import type { Amounts } from './amount.ts'
import type { Component } from './dressing.ts'
import type { Field } from './fields.ts'

/** Goods of which single strands are tied in, not fibres of a bunch. */
const STRANDS: ReadonlySet<MaterialKind> = new Set(['yarn', 'rubber', 'chenille', 'quill', 'sheet', 'tinsel'])
/** Goods that are one piece however long. */
const OF_ONE_PIECE: ReadonlySet<MaterialKind> = new Set(['foam', 'strip'])
/** Goods counted by the feather. */
const FEATHERS: ReadonlySet<MaterialKind> = new Set(['cdc', 'feather', 'hackle', 'marabou', 'herl'])

/** Whether single strands of it are tied in. */
export const tiedInStrands = ({ family }: Material): boolean => STRANDS.has(family.kind)

/** Fibres that one feather gives; nought where fibres are counted one by one. */
const perFeather = (material: Material) =>
  material.family.kind === 'fibre' ? 0 : valueOf(material, 'fibresPerFeather')

/** What a bunch that is tied in by one end is asked. */
export function asksOfBunch(goods: MaterialKind): readonly Field[] {
  if (OF_ONE_PIECE.has(goods)) return ['length']
  if (STRANDS.has(goods)) return ['strands', 'length']
  return FEATHERS.has(goods) ? ['strands', 'fibreCount', 'length'] : ['fibreCount', 'length']
}

/** One strand or feather, else so many fibres. */
export const usualOfBunch =
  (fibreCount: number) =>
  ({ fibreCount: said }: Component, material: Material): Amounts => {
    if (OF_ONE_PIECE.has(material.family.kind)) return {}
    if (tiedInStrands(material)) return { strands: said ?? 1 }
    if (said !== undefined) return {}
    return perFeather(material) > 0 ? { strands: 1 } : { fibreCount }
  }

/** All fibres of the feathers that are tied in. */
export function worksOutOfBunch({ fibreCount, strands = 1 }: Component, material: Material): Amounts {
  if (fibreCount !== undefined || tiedInStrands(material) || OF_ONE_PIECE.has(material.family.kind)) return {}
  const fibres = perFeather(material)
  return fibres > 0 ? { fibreCount: strands * fibres } : {}
}
