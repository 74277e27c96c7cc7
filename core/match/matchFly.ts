import type { FoodStage } from '../season/index.ts'
import type { Appearance } from './appearance.ts'
import {
  brightnessAspect,
  colourAspect,
  movementAspect,
  outlineAspect,
  sizeAspect,
  triggersAspect,
} from './likeness.ts'
import type { StageLooks } from './likeness.ts'
import type { Aspect, MatchAspect } from './matchAspect.ts'
import { depthAspect, postureAspect } from './reach.ts'
import type { Behaviour, MatchPlace } from './reach.ts'
import { WEIGHTS } from './school.ts'
import type { School } from './school.ts'

/** It serves a food where it is right in size, depth and posture; in part where one of them is off, but not by much. */
export type Verdict = 'serves' | 'inPart' | 'doesNot'

/** How well a fly serves a stage, 0 to 1, and why. */
export interface FlyMatch {
  readonly score: number
  readonly verdict: Verdict
  readonly aspects: readonly MatchAspect[]
}

/** The fly as matching sees it. */
export interface Matched {
  readonly behaviour: Behaviour
  readonly look: Appearance
}

const DECIDING: ReadonlySet<Aspect> = new Set(['size', 'depth', 'posture'])
const SERVES = 0.65
const IN_PART = 0.4

function verdictOn(score: number, aspects: readonly MatchAspect[]): Verdict {
  if (score < IN_PART) return 'doesNot'
  const off = aspects.some(({ aspect, score: own }) => DECIDING.has(aspect) && own < 1)
  return off || score < SERVES ? 'inPart' : 'serves'
}

/** Nothing wrong in one respect makes a fly useless by itself, however bad. */
const LEAST = 0.001

/**
 * How well a fly serves a stage at a place: size, depth, posture, outline, colour, movement, triggers, each with its
 * reason. The score is their geometric mean by the weights of the school, over those that can be compared.
 */
export function matchFly(
  { behaviour, look }: Matched,
  stage: FoodStage & StageLooks,
  place: MatchPlace,
  school: School = 'sizeAndStage',
): FlyMatch {
  const weights = WEIGHTS[school]
  const aspects = [
    sizeAspect(look, place),
    depthAspect(behaviour, stage, place),
    postureAspect(behaviour, stage, place),
    outlineAspect(look, stage),
    colourAspect(look, stage),
    movementAspect(look, behaviour, stage),
    triggersAspect(look, stage),
    brightnessAspect(look),
  ].filter((aspect) => aspect !== null && weights[aspect.aspect] > 0) as MatchAspect[]
  const total = aspects.reduce((sum, { aspect }) => sum + weights[aspect], 0)
  const logScore = aspects.reduce(
    (sum, { aspect, score }) => sum + (weights[aspect] / total) * Math.log(Math.max(score, LEAST)),
    0,
  )
  const score = Math.exp(logScore)
  return { score, verdict: verdictOn(score, aspects), aspects }
}
