import { useMemo } from 'react'
import { epochDayOf, waterAtC } from '../../core/index.ts'
import type { FrameView, ReachChoice } from '../../contract/index.ts'
import { useFrameQuery } from '../wire/api.ts'
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

function momentOf(frame: FrameView, chosen: ChosenMoment | null): Moment | null {
  const wanted = chosen ?? frame.moment
  const reach = frame.reaches.find(({ reachId }) => reachId === wanted?.reachId)
  if (!wanted || !reach) return null
  const waterTempC = chosen?.said?.waterTempC ?? waterAtC(reach.warmth, epochDayOf(wanted.on), wanted.localMin)
  return { ...wanted, reach, waterTempC }
}

/** The chosen moment, or the next outing's. */
export function useMoment(): Moment | null {
  const { data } = useFrameQuery()
  const chosen = useAppSelector((state) => state.view.moment)
  return useMemo(() => (data ? momentOf(data, chosen) : null), [data, chosen])
}
