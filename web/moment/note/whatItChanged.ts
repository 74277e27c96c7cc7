import { firstDayOf, wording } from '../../../core/index.ts'
import type { MomentView, ReachSeasonView, StageLine } from '../../../contract/index.ts'

/** What is said of a reach and a moment of it. */
export interface Known {
  readonly season: Pick<ReachSeasonView, 'windows'>
  readonly moment: Pick<MomentView, 'foods'>
}

/** Less than this is not worth a word: half a day, two fish of a hundred. */
const LEAST = { days: 0.5, share: 0.02 }

const firstOf = ({ season }: Known, stageId: string): number | null => {
  const window = season.windows.find(({ after }) => after.stageKey === stageId)
  return window ? firstDayOf(window.after) : null
}

const shareOf = ({ moment }: Known, stageId: string): number =>
  moment.foods.find(({ foodStageId }) => foodStageId === stageId)?.onIt ?? 0

function shiftOf(before: Known, after: Known, stageId: string): number {
  const [was, is] = [firstOf(before, stageId), firstOf(after, stageId)]
  return was === null || is === null ? 0 : is - was
}

const inWords = (names: readonly string[]) =>
  names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`

/**
 * What notes of some stages changed, a sentence for each: by how many days it comes earlier or later here, which of the
 * food's other stages go with it, and what share of the fish are on it now.
 */
export function whatItChanged(
  before: Known,
  after: Known,
  noted: readonly string[],
  stages: readonly StageLine[],
): readonly string[] {
  return [...new Set(noted)].flatMap((stageId) => {
    const stage = stages.find(({ id }) => id === stageId)
    if (!stage) return []
    const said: string[] = []
    const days = shiftOf(before, after, stageId)
    if (Math.abs(days) >= LEAST.days) {
      const others = stages.filter(
        ({ id, foodId }) =>
          foodId === stage.foodId && id !== stageId && Math.abs(shiftOf(before, after, id)) >= LEAST.days,
      )
      const also = others.length > 0 ? `; also the ${inWords(others.map(({ stageName }) => stageName))}` : ''
      said.push(`${wording.daysEarlierOrLater(days)} here${also}`)
    }
    const [was, is] = [shareOf(before, stageId), shareOf(after, stageId)]
    if (Math.abs(is - was) >= LEAST.share)
      said.push(
        `fish on it at this moment: ${wording.ofHundred(was)} of 100 before, ${wording.ofHundred(is)} now`,
      )
    const what = said.length > 0 ? said.join('; ') : 'it says what was expected, and moves nothing'
    return [`${stage.foodName}, ${stage.stageName}: ${what}.`]
  })
}
