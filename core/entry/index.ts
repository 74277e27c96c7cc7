export { BARE_FORMS } from './bareForms.ts'
export type { BareForm } from './bareForms.ts'
export { readTypedLine } from './typedLine.ts'
export type { NamedFamily, TypedLine } from './typedLine.ts'
