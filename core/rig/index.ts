export { driftBand, driftOf, leaderFor } from './float.ts'
export type { Drifted, Drifting, FloatBall } from './float.ts'
export { ballBody } from './body.ts'
export type { Body } from './body.ts'
export type { OnLine, RigLine } from './engine/index.ts'
export { countedDown } from './countedDown.ts'
export type { AtCount, CountedDown, FishesCounted } from './countedDown.ts'
export { SPOOL_SD_LOG } from './doubt.ts'
export type { LikelyDepth } from './doubt.ts'
export { keptLongest } from './keptLongest.ts'
export { onTightLine } from './onTightLine.ts'
export type { FishesTight, OnTightLine } from './onTightLine.ts'
export { ball } from './hanging.ts'
export type { Hanging } from './hanging.ts'
export { underFloat } from './underFloat.ts'
export type { FishesUnder, UnderFloat } from './underFloat.ts'
export { broadsideMmPerS, submergedMgPerMm } from './line.ts'
export type { LinePiece } from './line.ts'
export { heldAtSurface, shoot } from './shoot.ts'
export { bestRetrieve } from './bestRetrieve.ts'
export type { Between, KeptThere } from './bestRetrieve.ts'
export { countTo, depthsAfter, sink } from './sinking.ts'
export type { Counted, LineFrame, Retrieve, StillCast } from './sinking.ts'
export { hangTight } from './tightLine.ts'
export type { HungTight, TightLine } from './tightLine.ts'
export { densityByGrains, densityByRate, LEADER_MG_PER_MM3, readSpool, tippetDiameterMm } from './spool.ts'
export {
  fliesOnRig,
  isCarried,
  KNOTS,
  leastSetting,
  lengthOf,
  LINE_SORTS,
  settingOf,
  STUFFS,
  withSetting,
} from './parts.ts'
export type { DropperPart, Knot, LeaderPart, LinePart, LineSort, RigPart, Stuff, TippetPart } from './parts.ts'
export { readTypedRig } from './typedRig.ts'
export type { Assumed, FlyByName, RigPhrase, Unread } from './typedRig.ts'
export { writtenRig } from './writtenRig.ts'
export { breaksAtKg, knotsOf, weakestOf } from './strength.ts'
export type { Tied } from './strength.ts'
export { rigForbids } from './allowed.ts'
export type { RigForbids, RigRules } from './allowed.ts'
export type { NotAssembled, RigFly } from './assembled.ts'
export { RIG_WAYS } from './inWater.ts'
export type { FishesNot, RigInWater, RigWay } from './inWater.ts'
export { rigFishes } from './rigFishes.ts'
export type { FishesRig, RigThere } from './rigFishes.ts'
export { bringAllTo, bringTo } from './bringTo.ts'
export type { BringTo } from './bringTo.ts'
