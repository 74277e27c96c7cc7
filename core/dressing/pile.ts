import { strandDiameterMm } from '../material/index.ts'
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

/** Diameter over what water cannot pass through, mm: of pile its core, of everything else all. */
export const solidOuterMm = ({ material, coreMm, outerMm }: FlyComponent): number =>
  isPile(material) && outerMm > coreMm ? coreMm + coreAddsMm(material) : outerMm

/** Length of pile strand wound over a place, mm, as closely as its pile allows. */
export function pileStrandMm({ material, coreMm, fromMm, toMm }: FlyComponent): number {
  const pitchMm = Math.min(PILE.pitchOfDiameter * strandDiameterMm(material), PILE.widestPitchMm)
  return (Math.max(toMm - fromMm, 0) / pitchMm) * Math.hypot(Math.PI * (coreMm + coreAddsMm(material)), pitchMm)
}
