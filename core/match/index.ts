export { matchFly } from './matchFly.ts'
export type { FlyMatch, MatchAspect, Matched, MatchPlace } from './matchFly.ts'
