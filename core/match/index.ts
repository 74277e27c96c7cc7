export { bodyLengthMm } from './bodyLength.ts'
export { bottomAspect, matchFly } from './matchFly.ts'
export type { Behaviour, FlyMatch, MatchAspect, Matched, MatchPlace } from './matchFly.ts'
