export { arrange, isBright, isSeenInDirtyWater, LAYOUTS } from './arrange.ts'
export type { ArrangedFly, Layout, ProposedPlace } from './arrange.ts'
