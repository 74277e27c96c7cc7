export const MATCH_ASPECTS = ['size', 'depth', 'posture', 'outline', 'colour', 'movement', 'triggers', 'brightness'] as const // prettier-ignore
/** In what a fly fits a stage or does not. */
export type Aspect = (typeof MATCH_ASPECTS)[number]

/** One thing in which a fly fits a stage or does not. Values stand by the code for wording. */
export interface MatchAspect {
  readonly aspect: Aspect
  /** 0 to 1 */
  readonly score: number
  readonly code:
    | 'sizeRight'
    | 'tooLarge'
    | 'tooSmall'
    | 'depthRight'
    | 'reachesDepth'
    | 'tooShallow'
    | 'tooSlow'
    | 'tooFast'
    | 'floatsAboveIt'
    | 'sinksBelowIt'
    | 'swingsAboveIt'
    | 'notSo'
    | 'postureRight'
    | 'ridesTooHigh'
    | 'ridesTooLow'
    | 'outlineRight'
    | 'tooBulky'
    | 'tooThin'
    | 'otherWing'
    | 'otherTail'
    | 'noLongLegs'
    | 'bulkElsewhere'
    | 'colourNear'
    | 'colourFar'
    | 'movesAsFished'
    | 'movesByItself'
    | 'tooStiff'
    | 'cannotRise'
    | 'showsTriggers'
    | 'lacksTriggers'
    | 'falseTriggers'
    | 'showsUp'
    | 'drab'
    | 'notKnown'
  readonly found: number
  readonly wantedLow: number
  readonly wantedHigh: number
  /** what it shows or lacks, or how it is to be fished; in words of the larder */
  readonly names: readonly string[]
}

/** An aspect whose figures say nothing. */
export const plain = (
  aspect: Aspect,
  code: MatchAspect['code'],
  score: number,
  names: readonly string[] = [],
): MatchAspect => ({ aspect, code, score, found: 0, wantedLow: 0, wantedHigh: 0, names })
