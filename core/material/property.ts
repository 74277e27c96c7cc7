import type { Material, Property } from './material.ts'

/** The property of a material: the drawer's own, else the family's, else a fallback where its kind has none. */
export function propertyOf(material: Material, name: string, fallback = 0): Property {
  return (
    material.overrides?.[name] ??
    material.family.physics[name] ?? { value: fallback, low: fallback, high: fallback, evidence: 'kindDefault' }
  )
}

/** The value of a property; see {@link propertyOf}. */
export const valueOf = (material: Material, name: string, fallback = 0): number =>
  propertyOf(material, name, fallback).value

/** Size key as a number (mm, denier or hook size), or null where the family has no sizes. */
export function sizeNumber(material: Material): number | null {
  const size = Number(material.sizeKey)
  return material.sizeKey === '' || !Number.isFinite(size) ? null : size
}
