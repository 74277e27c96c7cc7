import type { CommandInput, FoodId, FoodStageId, StageLine } from '../../../contract/index.ts'
import { draftOf } from './edit/draft.ts'
import type { StageDraft } from './edit/draft.ts'

export type PutIn = CommandInput<'larderPutIn'>['stages'][number]

/** A new food that is like another, but for its name, its size and when it comes. */
export interface LikeFood {
  readonly name: string
  /** the stages that it has, of the food it is like */
  readonly stages: readonly StageLine[]
  /** its length over that of the food it is like */
  readonly times: number
  /** later by so many months; earlier below nought */
  readonly monthsLater: number
}

const tenths = (value: number) => Math.round(value * 10) / 10
const around = (month: number) => ((month % 12) + 12) % 12

type Trigger = StageDraft['trigger']

const isDay = (value: unknown): value is string => typeof value === 'string' && /^\d{2}-\d{2}$/.test(value)
const monthOf = (monthDay: string) => Number(monthDay.slice(0, 2)) - 1

/** What starts it, with its days later; a temperature stays what it is. No day goes round the year by itself. */
function triggerLater(trigger: Trigger, months: number): Trigger {
  const days = Object.values(trigger).filter(isDay)
  const round = days.every((day) => monthOf(day) + months > 11 || monthOf(day) + months < 0)
  const later = (monthDay: string) => {
    const month = monthOf(monthDay) + months
    if (!round && month > 11) return '12-31'
    if (!round && month < 0) return '01-01'
    const day = Math.min(Number(monthDay.slice(3)), 28)
    return `${String(around(month) + 1).padStart(2, '0')}-${String(day).padStart(2, '0')}`
  }
  if (months === 0) return trigger
  return Object.fromEntries(
    Object.entries(trigger).map(([key, value]: [string, unknown]) => [
      key,
      isDay(value) ? later(value) : value,
    ]),
  ) as Trigger
}

/** Its stages as they are taken in: those that move with another of them still do. */
export function stagesLike(
  { name, stages, times, monthsLater }: LikeFood,
  newId: <Id extends string>() => Id,
): readonly PutIn[] {
  const food = { id: newId<FoodId>(), name, groupKey: stages[0]?.groupKey ?? '' }
  const ids = new Map(stages.map(({ id }) => [id as string, newId<FoodStageId>()]))
  return stages.map((line): PutIn => {
    const draft = draftOf(line)
    return {
      foodStageId: ids.get(line.id) ?? newId<FoodStageId>(),
      food,
      stage: {
        ...draft,
        hookRanges: (draft.hookRanges ?? []).map(({ size, fromMm, toMm }) => ({
          size,
          fromMm: tenths(fromMm * times),
          toMm: tenths(toMm * times),
        })),
        shiftsWith: ids.get(line.shiftsWith ?? '') ?? null,
        months: draft.months.map((_, i) => {
          const like = draft.months[around(i - monthsLater)] ?? null
          return (
            like && {
              ...like,
              lengthMmLow: tenths(like.lengthMmLow * times),
              lengthMmHigh: tenths(like.lengthMmHigh * times),
            }
          )
        }),
        trigger: triggerLater(draft.trigger, monthsLater),
        broods: draft.broods.map((brood) => ({
          ...brood,
          months: brood.months.map((month) => around(month - 1 + monthsLater) + 1),
          trigger: triggerLater(brood.trigger, monthsLater),
        })),
      },
    }
  })
}
