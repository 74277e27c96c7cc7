export { canBeMadeIn } from './madeSize.ts'
export { BARBS, MATERIAL_KINDS } from './material.ts'
export type {
  Barb,
  BeadBoring,
  HookConvention,
  LineMake,
  Material,
  MaterialFamily,
  MaterialKind,
  Physics,
  Property,
  StockUnit,
} from './material.ts'
export { PROPERTY_NAMES, propertyOfName } from './properties.ts'
export type { PropertyName, PropertyOf } from './properties.ts'
export { propertyOf, sizeNumber, valueOf } from './property.ts'
export { linearMassMgPerMm, strandDiameterMm } from './strand.ts'
export { isAddedWeight, isLeadDensity, weightAmong } from './lead.ts'
export { kindDefaults, likeFamily } from './kindDefaults.ts'
