export { proposeVariants } from './proposeVariants.ts'
export type { ProposedVariant, ProposeInput } from './proposeVariants.ts'
