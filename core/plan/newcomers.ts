import type { PlanCandidate, PlanProblem } from './problem.ts'

/** A variant that is still to be made has to serve something so much better than what exists. */
const NOTABLY = 0.1
/** Of those that serve one need, the best are enough to choose from. */
const BEST_OF_EACH = 3

/** Whether flies of it are there, or one could be tied before the last outing. */
const isToBeHad = ({ onHand, uses }: PlanCandidate, { limits }: PlanProblem): boolean =>
  onHand > 0 || uses.every(({ limit, perFly }) => (limits[limit]?.available.at(-1) ?? 0) >= perFly)

/**
 * The problem without the newcomers that are no better than what exists: each that stays serves some need notably
 * better than every variant that is there or can be tied, and is among the best that do. What the user fixed stays.
 *
 * @param isNew whether a candidate is still to be made
 */
export function withoutIdleNewcomers(problem: PlanProblem, isNew: (key: string) => boolean): PlanProblem {
  const best = problem.needs.map(() => 0)
  const better = problem.needs.map((): { key: string; quality: number }[] => [])
  for (const candidate of problem.candidates) {
    if (isNew(candidate.key) || !isToBeHad(candidate, problem)) continue
    for (const { need, quality } of candidate.serves) best[need] = Math.max(best[need] ?? 0, quality)
  }
  for (const { key, serves } of problem.candidates) {
    if (!isNew(key)) continue
    for (const { need, quality } of serves) {
      if (quality >= (best[need] ?? 0) + NOTABLY) better[need]?.push({ key, quality })
    }
  }
  const staying = new Set(
    better.flatMap((newcomers) =>
      newcomers
        .sort((a, b) => b.quality - a.quality)
        .slice(0, BEST_OF_EACH)
        .map(({ key }) => key),
    ),
  )
  return {
    ...problem,
    candidates: problem.candidates.filter(
      ({ key, fixed }) => !isNew(key) || staying.has(key) || (fixed !== null && fixed > 0),
    ),
  }
}
