import { propertyOf, says, sizeNumber, valueOf } from './property.ts'
import type { Material } from './material.ts'

/** Grams per 9000 m make a denier. */
const MG_PER_MM_PER_DENIER = 1 / 9000

/** Diameter of a round strand, mm: its size where it comes in diameters, else the family's own. */
export function strandDiameterMm(material: Material): number {
  const size = sizeNumber(material)
  if (size !== null && material.family.kind !== 'thread' && material.family.kind !== 'hackle') return size
  return valueOf(material, says(material, 'diameterMm') ? 'diameterMm' : 'fibreDiameterMm')
}

/**
 * Mass of one mm of strand, mg. Threads by denier (g per 9000 m), wires by their section, pile and strips of skin by
 * their size over that which the family's figure is of, everything else by that figure.
 */
export function linearMassMgPerMm(material: Material): number {
  const size = sizeNumber(material)
  if (material.family.kind === 'thread' && size !== null) return size * MG_PER_MM_PER_DENIER
  if (material.family.massModel === 'round' && size !== null) {
    return valueOf(material, 'densityMgPerMm3') * (Math.PI / 4) * size ** 2
  }
  const family = propertyOf(material, 'linearMassMgPerMm').value
  if (size === null) return family
  if (material.family.massModel === 'pile') {
    // as loosely filled in every size: the pile grows with the section, the core that holds it stays
    const core = Math.min(valueOf(material, 'coreMassMgPerMm'), family)
    return core + (family - core) * (size / valueOf(material, 'diameterMm')) ** 2
  }
  return material.family.massModel === 'strip' ? family * (size / valueOf(material, 'widthMm')) : family
}
