import { POSTURES } from '../float/index.ts'
import type { Posture } from '../float/index.ts'
import type { Random } from '../uncertainty/index.ts'
import { choose, reckon, SIGNS, weightFor } from '../waterside/index.ts'
import type { Shares, Showing, Sign } from '../waterside/index.ts'
import { mixed, shuffled } from './question.ts'
import type { Question } from './question.ts'

/** A floating fly of one's own, and how it rides before and after the least cut that has it sit lower. */
export interface CutFly {
  readonly key: string
  readonly from: Posture
  readonly to: Posture
}

/** How does it sit after the cut? */
export const afterTheCut = ({ key, to }: CutFly): Question<{ readonly fly: string }, Posture> => ({
  subject: key,
  shown: { fly: key },
  choices: POSTURES,
  right: POSTURES.indexOf(to),
})

/** What fish may be on, and how well each fly does for it in each way. */
export interface ADay {
  readonly shares: Shares
  readonly showings: readonly Showing[]
}

const SEEN = 2
const WRONG = 3
/** What a sign must say of a stage to be ticked for it, and how much less a wrong fly does than the right one. */
const [SAYS, HALF] = [0.5, 0.5]

const signsFor = (stage: Shares['stages'][number]): readonly Sign[] =>
  SIGNS.filter((sign) => (weightFor(sign, stage) ?? 0) >= SAYS && !sign.isCondition)

/** One of each group, in any order: two of a group would be two words for one thing, or speak against one another. */
const apart = (random: Random, signs: readonly Sign[]): readonly Sign[] =>
  shuffled(random, signs).filter(({ group }, i, all) => all.findIndex((one) => one.group === group) === i)

/** Stages of a day that signs of at least two groups speak for: those that can be asked about. */
export const askable = ({ shares }: ADay): readonly string[] =>
  shares.stages
    .filter((stage) => stage.share > 0 && new Set(signsFor(stage).map(({ group }) => group)).size >= SEEN)
    .map(({ id }) => id)

/** Which of these flies for these signs? Null where the flies hardly differ for them. */
export function flyForSigns(
  random: Random,
  stageId: string,
  { shares, showings }: ADay,
): Question<{ readonly signs: readonly string[]; readonly stage: string | null }, string> | null {
  const stage = shares.stages.find(({ id }) => id === stageId)
  if (!stage) return null
  const seen = apart(random, signsFor(stage)).slice(0, SEEN)
  const after = reckon(shares, seen.map((sign) => ({ sign, seen: true }))) // prettier-ignore
  const [best] = choose(showings, after, 1)
  if (!best) return null
  const keys = [...new Set(showings.map(({ key }) => key))]
  const does = (key: string) =>
    choose(showings.filter((one) => one.key === key), after, 1)[0]?.shown ?? 0 // prettier-ignore
  const wrong = shuffled(random, keys.filter((key) => does(key) < HALF * best.shown)).slice(0, WRONG) // prettier-ignore
  if (wrong.length < WRONG) return null
  const shown = { signs: seen.map(({ key }) => key), stage: best.stageId }
  return mixed(random, stageId, shown, best.showing.key, wrong)
}
