import type { Technique } from '../technique/index.ts'
import { clamp } from '../number/index.ts'

/** What is known of how often flies of a kind are lost: a gamma distribution of losses an hour. */
export interface LossRate {
  /** shape: as many losses as were seen, and those that the prior stands for */
  readonly shape: number
  /** hours that those were seen in */
  readonly hours: number
}

/** How a fly is fished, as far as it decides how often it is lost. */
export type LossClass = 'bottom' | 'midWater' | 'surface'

/**
 * Losses an hour before anything was counted: among snags on the bottom 0.5 to 1.0, in open water 0.15 to 0.3 and at the
 * surface between bushes 0.4 to 0.8, as anglers reckon; snagginess 0 is open water, 2 a usual stony river, 4 a thicket.
 */
const USUAL_AN_HOUR: Readonly<Record<LossClass, { readonly open: number; readonly snaggy: number }>> = {
  bottom: { open: 0.25, snaggy: 1 },
  midWater: { open: 0.12, snaggy: 0.6 },
  surface: { open: 0.12, snaggy: 0.7 },
}
/**
 * How much oftener or seldomer flies are lost by a technique than by those that the usual figures stand for: a streamer
 * is thrown at banks and thuds into snags, a swung fly keeps off the bottom, from a boat or the bank of a lake little is
 * lost (about 0.1 an hour). Judgement, to be outweighed by what was counted.
 */
const BY_TECHNIQUE: Readonly<Record<Technique, number>> = {
  dry: 1,
  dryWithDropper: 1.2,
  tightLineNymph: 1,
  indicatorNymph: 1,
  swungWets: 0.7,
  streamer: 1.4,
  staticIndicator: 0.5,
  slowRetrieve: 0.7,
  driftTeam: 0.6,
  buoyantOnSinkingLine: 0.8,
}

/** The prior counts as much as this many losses that were seen. */
const PRIOR_SHAPE = 2
const MOST_SNAGGY = 4

/** Losses an hour that anglers reckon with, on a water of this snagginess (0 to 4). */
export function usualLosses(lossClass: LossClass, snagginess: number): number {
  const { open, snaggy } = USUAL_AN_HOUR[lossClass]
  return open + (snaggy - open) * clamp(snagginess / MOST_SNAGGY, 0, 1)
}

/** What was lost of flies of a class, against the hours that they were fished. */
export interface ClassRecord {
  readonly lost: number
  /** what the usual figures would have had one lose in those hours */
  readonly expected: number
}

/** The usual figures count as much as this many losses that were seen of a class. */
const USUAL_COUNTS = 4

/**
 * How much oftener than usual this angler loses flies of a class: a gamma factor of mean 1 that learns from all of them,
 * so that a new pattern borrows from what its like has suffered.
 */
export const classFactor = ({ lost, expected }: ClassRecord): number =>
  (USUAL_COUNTS + lost) / (USUAL_COUNTS + expected)

/** How a fly will be fished, and what is known of flies like it. */
export interface FishedSo {
  readonly snagginess: number
  /** null where nobody said how */
  readonly technique?: Technique | null
  /** see {@link classFactor}; 1 where nothing was counted */
  readonly factor?: number
}

/** What to expect of a pattern that nobody has lost yet. */
export function priorLossRate(
  lossClass: LossClass,
  { snagginess, technique = null, factor = 1 }: FishedSo,
): LossRate {
  const byTechnique = technique === null ? 1 : BY_TECHNIQUE[technique]
  return {
    shape: PRIOR_SHAPE,
    hours: PRIOR_SHAPE / (usualLosses(lossClass, snagginess) * byTechnique * factor),
  }
}

/** The rate after so many were lost in so many hours: gamma and Poisson are conjugate, so both just add. */
export const learnedLossRate = (prior: LossRate, lost: number, hours: number): LossRate => ({
  shape: prior.shape + lost,
  hours: prior.hours + hours,
})

/** Expected losses in some hours. */
export const expectedLosses = ({ shape, hours }: LossRate, fished: number): number => (shape / hours) * fished

/**
 * The least number of flies that is not exceeded by the losses of some hours in a share of outings: a quantile of the
 * negative binomial that a gamma rate makes of a Poisson count.
 *
 * @param level 0 to 1, such as 0.9
 */
export function lossQuantile({ shape, hours }: LossRate, fished: number, level: number): number {
  if (fished <= 0) return 0
  const lose = fished / (hours + fished)
  // P(0) = (1 − p)^r, and each further term from the one before
  let term = (1 - lose) ** shape
  let sum = term
  let count = 0
  while (sum < level && count < MOST_FLIES) {
    term *= ((shape + count) / (count + 1)) * lose
    sum += term
    count += 1
  }
  return count
}
const MOST_FLIES = 10_000

/** Never fewer: one to lose, one to lend, one to fish. */
const LEAST_PAR = 3

/** How many to carry so that one is still there at the end in a share of outings of so many hours. */
export const parFor = (rate: LossRate, fished: number, level: number): number =>
  Math.max(LEAST_PAR, lossQuantile(rate, fished, level) + 1)
