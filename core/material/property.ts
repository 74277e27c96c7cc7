import type { Material, Property } from './material.ts'
import { propertyOfName } from './properties.ts'
import type { PropertyName } from './properties.ts'

/** The property of a material: the drawer's own, else the family's, else what is taken where nobody knows. */
export function propertyOf(material: Material, name: PropertyName): Property {
  const known = material.overrides?.[name] ?? material.family.physics[name]
  if (known) return known
  const { fallback, fallbackOf } = propertyOfName(name)
  const value = fallbackOf?.[material.family.kind] ?? fallback
  return { value, low: value, high: value, evidence: 'kindDefault' }
}

/** Whether drawer or family says anything of a property. */
export const says = ({ overrides, family }: Material, name: PropertyName): boolean =>
  (overrides?.[name] ?? family.physics[name]) !== undefined

/** The value of a property; see {@link propertyOf}. */
export const valueOf = (material: Material, name: PropertyName): number => propertyOf(material, name).value

/** Size key as a number (mm, denier or hook size), or null where the family has no sizes. */
export function sizeNumber(material: Material): number | null {
  const size = Number(material.sizeKey)
  return material.sizeKey === '' || !Number.isFinite(size) ? null : size
}
