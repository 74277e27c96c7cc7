export { MATERIALS_FOR } from './materialsFor.ts'
export { readTypedLine } from './typedLine.ts'
export type { NamedFamily, TypedLine } from './typedLine.ts'
