import type { FoodStage } from '../season/index.ts'
import { sum } from '../number/index.ts'
import { fallFor } from '../technique/index.ts'
import type { Behaviour, Shown, Technique } from '../technique/index.ts'
import type { Appearance } from './appearance.ts'
import { COULD_PASS, HARD_DEPTH, HARD_SIZE, MEANT_LACKS, SERVES, SHARPNESS, WEIGHTS } from './judgement.ts'
import {
  brightnessAspect, colourAspect, movementAspect, outlineAspect, sizeAspect, triggersAspect,
} from './likeness.ts' // prettier-ignore
import type { StageLooks } from './likeness.ts'
import { plain } from './matchAspect.ts'
import type { MatchAspect } from './matchAspect.ts'
import { depthAspect, postureAspect } from './reach.ts'
import type { MatchPlace } from './reach.ts'
import type { School } from './school.ts'

/** It serves a food; it could pass for it where fish are not particular; or it does not. */
export type Verdict = 'serves' | 'couldPass' | 'doesNot'

/** How well a fly serves a stage, 0 to 1, and why. */
export interface FlyMatch {
  readonly score: number
  readonly verdict: Verdict
  /** half or twice the size, or out of its depth: not even what is meant for the food serves it then */
  readonly hardFault: boolean
  readonly aspects: readonly MatchAspect[]
}

/** The fly as matching sees it. */
export interface Matched {
  readonly behaviour: Behaviour
  readonly look: Appearance
  /** ways in which it is fished; none where nobody said, and then it drifts free */
  readonly ways: readonly Technique[]
}

/** What the tier says and holds. */
export interface MatchBy {
  readonly school: School
  /** whether they say that the fly is meant for this food: then it serves unless it has a hard fault */
  readonly meant: boolean
  /** leaves out the reasons of what has a hard fault: for who only counts what serves */
  readonly briefly?: boolean
}

const verdictOf = (score: number): Verdict =>
  score >= SERVES ? 'serves' : score >= COULD_PASS ? 'couldPass' : 'doesNot'

/** So much is two closenesses of nought for each other. */
const NOUGHT = 1e-6

/** Half or twice the size, or out of its depth. */
const isHard = (size: MatchAspect, depth: MatchAspect) =>
  size.found > HARD_SIZE * size.wantedHigh ||
  size.found < size.wantedLow / HARD_SIZE ||
  depth.score <= HARD_DEPTH

function matchShown(
  look: Appearance,
  shown: Shown,
  stage: FoodStage & StageLooks,
  place: MatchPlace,
  { school, meant, briefly = false }: MatchBy,
): FlyMatch {
  const weights = WEIGHTS[school]
  const [size, depth] = [sizeAspect(look, stage, place), depthAspect(shown, stage, place)]
  const hardFault = isHard(size, depth)
  if (hardFault && briefly) return { score: 0, verdict: 'doesNot', hardFault, aspects: [size, depth] }
  const aspects = [
    size,
    depth,
    postureAspect(shown, stage, place),
    outlineAspect(look, stage),
    colourAspect(look, stage, shown),
    movementAspect(look, shown, stage),
    triggersAspect(look, stage),
    brightnessAspect(look),
  ].filter((aspect) => aspect !== null && weights[aspect.aspect] > 0) as MatchAspect[]
  const total = sum(aspects.map(({ aspect }) => weights[aspect]))
  const logScore = sum(
    aspects.map(({ aspect, score }) => (weights[aspect] / total) * Math.log(Math.max(score, NOUGHT))),
  )
  const { easy, choosy } = SHARPNESS
  const alike = Math.exp(logScore * (easy + (choosy - easy) * stage.choosy))
  const said = meant ? 1 - MEANT_LACKS * (1 - alike) : alike
  const score = hardFault ? Math.min(alike, COULD_PASS - 0.01) : said
  return { score, verdict: verdictOf(score), hardFault, aspects }
}

/** What cannot be fished as the day is fished. */
const NOT_SHOWN: FlyMatch = {
  score: 0,
  verdict: 'doesNot',
  hardFault: true,
  aspects: [plain('depth', 'notSo', 0)],
}

/**
 * How well a fly serves a stage at a place, in that of its ways which shows it best: size, depth, posture, outline,
 * colour, movement, triggers, each a closeness from 0 to 1 with its reason. The score is their geometric mean by the
 * weights of the school, over those that can be compared, sharpened by how choosy fish are while they are on it.
 */
export function matchFly(
  { behaviour, look, ways }: Matched,
  stage: FoodStage & StageLooks,
  place: MatchPlace,
  by: MatchBy = { school: 'sizeAndStage', meant: false },
): FlyMatch {
  const shown = ways.length === 0 ? [fallFor(null, behaviour)] : ways.map((way) => fallFor(way, behaviour))
  return shown
    .flatMap((one) => (one ? [matchShown(look, one, stage, place, by)] : []))
    .reduce((best, one) => (one.score > best.score || best === NOT_SHOWN ? one : best), NOT_SHOWN)
}
