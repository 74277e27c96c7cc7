import { useMemo } from 'react'
import { epochDayOf, forecastC } from '../../core/index.ts'
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

/** Temperature of a reach on a day, °C in tenths, as the server has it: from its latest reading towards its season. */
function tempOn({ warmth }: ReachChoice, on: string): number {
  const { value } = forecastC(warmth.model, warmth.latest, epochDayOf(on))
  return Math.round(Math.min(Math.max(value, 0), 30) * 10) / 10
}

function momentOf(frame: FrameView, chosen: ChosenMoment | null): Moment | null {
  const wanted = chosen ?? frame.moment
  const reach = frame.reaches.find(({ reachId }) => reachId === wanted?.reachId)
  if (!wanted || !reach) return null
  return { ...wanted, reach, waterTempC: tempOn(reach, wanted.on) }
}

/** The chosen moment, or the next outing's. */
export function useMoment(): Moment | null {
  const { data } = useFrameQuery()
  const chosen = useAppSelector((state) => state.view.moment)
  return useMemo(() => (data ? momentOf(data, chosen) : null), [data, chosen])
}
