import { sizeNumber, strandDiameterMm, valueOf } from '../material/index.ts'
import type { Material } from '../material/index.ts'
import type { FlyComponent } from './fly.ts'

/**
 * Pile on a twisted core: chenille, fritz, mop. Wound, its core lies on the shank, so that half of its width stands
 * out on each side and the inner half is pressed between the turns (judgement): shares of its diameter, and mm.
 */
const PILE = { addsOfDiameter: 1.2, coreOfDiameter: 0.2, pitchOfDiameter: 0.45, widestPitchMm: 1.6 }

export const isPile = ({ family }: Material): boolean => family.massModel === 'pile'

/** What pile adds to the diameter of what it is wound on, mm: to be seen, and for the water to get stuck at. */
export const pileAddsMm = (material: Material) => PILE.addsOfDiameter * strandDiameterMm(material)
const coreAddsMm = (material: Material) => PILE.coreOfDiameter * strandDiameterMm(material)

/**
 * A strip of skin wound on edge to edge, its fur lying back over the turns behind: it stands out by a share of its
 * length (judgement).
 */
const FUR_STANDS_OUT = 0.12

const skinAddsMm = (material: Material) => 2 * valueOf(material, 'thicknessMm')

/** What a wound strip adds to the diameter of what it is wound on, mm, fur and all. */
export const furAddsMm = (material: Material) =>
  skinAddsMm(material) + 2 * FUR_STANDS_OUT * valueOf(material, 'fibreLengthMm')

/** What wound herl adds, mm: half of its flue's width stands out on each side, as of pile. */
export const herlAddsMm = (material: Material) => PILE.addsOfDiameter * valueOf(material, 'diameterMm')

/** Diameter over what water cannot pass through, mm: of pile its core, of a strip its skin, of herl its quill, of everything else all. */
export function solidOuterMm({ material, coreMm, outerMm }: FlyComponent): number {
  if (outerMm <= coreMm) return outerMm
  if (isPile(material)) return coreMm + coreAddsMm(material)
  if (material.family.kind === 'herl') return coreMm + 2 * valueOf(material, 'fibreDiameterMm')
  return material.family.kind === 'strip' ? coreMm + skinAddsMm(material) : outerMm
}

/** Length of a strip wound edge to edge over a place, mm. */
export function woundStripMm({ material, coreMm, fromMm, toMm }: FlyComponent): number {
  const widthMm = sizeNumber(material) ?? valueOf(material, 'widthMm')
  const turns = Math.max(toMm - fromMm, 0) / widthMm
  return turns * Math.hypot(Math.PI * (coreMm + skinAddsMm(material) / 2), widthMm)
}

/** Length of pile strand wound over a place, mm, as closely as its pile allows. */
export function pileStrandMm({ material, coreMm, fromMm, toMm }: FlyComponent): number {
  const pitchMm = Math.min(PILE.pitchOfDiameter * strandDiameterMm(material), PILE.widestPitchMm)
  return (Math.max(toMm - fromMm, 0) / pitchMm) * Math.hypot(Math.PI * (coreMm + coreAddsMm(material)), pitchMm)
}
