import { useMemo } from 'react'
import { epochDayOf, waterAtC } from '../../core/index.ts'
import type { FrameView, ReachChoice } from '../../contract/index.ts'
import { useFramePart } from '../wire/answers.ts'
import type { ChosenMoment, SaidOfHour } from '../wire/state.ts'
import { useAppSelector } from '../wire/store.ts'

/** The moment that every figure depends on, with its reach; null until there is a water. */
export interface Moment {
  readonly reachId: string
  readonly on: string
  readonly localMin: number
  readonly waterTempC: number
  readonly reach: ReachChoice
  /** what the user says of its hour */
  readonly said?: SaidOfHour
}

const startOf = (frame: FrameView | undefined): Partial<Pick<FrameView, 'reaches' | 'moment'>> => ({
  reaches: frame?.reaches,
  moment: frame?.moment,
})

function momentOf(reaches: readonly ReachChoice[], wanted: ChosenMoment | null): Moment | null {
  const reach = reaches.find(({ reachId }) => reachId === wanted?.reachId)
  if (!wanted || !reach) return null
  const waterTempC = wanted.said?.waterTempC ?? waterAtC(reach.warmth, epochDayOf(wanted.on), wanted.localMin)
  return { ...wanted, reach, waterTempC }
}

/** The chosen moment, or the next outing's. */
export function useMoment(): Moment | null {
  const { reaches, moment } = useFramePart(startOf)
  const chosen = useAppSelector((state) => state.view.moment)
  return useMemo(() => momentOf(reaches ?? [], chosen ?? moment ?? null), [reaches, moment, chosen])
}
