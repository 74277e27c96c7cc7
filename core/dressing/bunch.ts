import { linearMassMgPerMm, strandDiameterMm, valueOf } from '../material/index.ts'
import type { Material, MaterialKind } from '../material/index.ts'
import type { Amounts } from './amount.ts'
import type { Component } from './dressing.ts'
import type { Field } from './fields.ts'
import { worksOutFoam } from './foam.ts'

/** Goods of which single strands are tied in, not fibres of a bunch. */
const STRANDS: ReadonlySet<MaterialKind> = new Set([
  'yarn', 'rubber', 'chenille', 'quill', 'sheet', 'tinsel', 'floss', 'thread', 'wire',
]) // prettier-ignore
/** Goods that are one piece however long. */
const OF_ONE_PIECE: ReadonlySet<MaterialKind> = new Set(['foam', 'strip'])
/** Goods counted by the feather. */
const FEATHERS: ReadonlySet<MaterialKind> = new Set(['cdc', 'feather', 'hackle', 'marabou'])

/** Whether single strands of it are tied in. */
export const tiedInStrands = ({ family }: Material): boolean => areStrands(family.kind)
export const areStrands = (goods: MaterialKind): boolean => STRANDS.has(goods)

/** Whether its strands are whole feathers. */
export const comesInFeathers = (goods: MaterialKind): boolean => FEATHERS.has(goods)

/** Mass of one mm of fibre, mg: where its family does not say, of a round one with its barbules. */
export const perFibreMgPerMm = (material: Material): number =>
  material.family.massModel === 'fibre'
    ? linearMassMgPerMm(material)
    : (Math.PI / 4) *
      valueOf(material, 'fibreDiameterMm') ** 2 *
      valueOf(material, 'densityMgPerMm3') *
      valueOf(material, 'barbuleMassFactor')

/** Mass of one mm of a strand or fibre as it is tied in, mg. */
export const perPieceMgPerMm = (material: Material): number =>
  tiedInStrands(material) ? linearMassMgPerMm(material) : perFibreMgPerMm(material)

/** Filaments that lie together as one strand. */
const OF_FILAMENTS: ReadonlySet<MaterialKind> = new Set(['floss', 'thread'])

/** Thickness of a strand or fibre as it is tied in, mm. */
export function pieceMm(material: Material): number {
  if (!tiedInStrands(material)) return valueOf(material, 'fibreDiameterMm')
  if (!OF_FILAMENTS.has(material.family.kind)) return strandDiameterMm(material)
  const section =
    linearMassMgPerMm(material) / valueOf(material, 'densityMgPerMm3') / valueOf(material, 'packingShare')
  return Math.sqrt((4 / Math.PI) * section)
}

/** Fibres that are tied in with one feather; nought where fibres are counted one by one. */
const perFeather = (material: Material) =>
  comesInFeathers(material.family.kind) ? valueOf(material, 'fibresPerFeather') : 0

/** What a bunch that is tied in by one end is asked. */
export function asksOfBunch(goods: MaterialKind): readonly Field[] {
  if (goods === 'foam') return ['length', 'widthMm']
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
  if (material.family.kind === 'foam') return worksOutFoam(material)
  if (fibreCount !== undefined || tiedInStrands(material) || OF_ONE_PIECE.has(material.family.kind)) return {}
  const fibres = perFeather(material)
  return fibres > 0 ? { fibreCount: strands * fibres } : {}
}
