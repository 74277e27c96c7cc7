import { useMemo } from 'react'
import type { FrameView, ReachChoice } from '../../contract/index.ts'
import { useFrameQuery } from './api.ts'
import { useAppSelector } from './store.ts'

/** The moment that every figure depends on, with its reach; null until there is a water. */
export interface Moment {
  readonly reachId: string
  readonly on: string
  readonly localMin: number
  readonly waterTempC: number
  readonly reach: ReachChoice
}

const DAYS = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31]

/** Temperature of a reach on a day, drawn between the middles of its months as core does. */
function tempOn(reach: ReachChoice, on: string): number {
  const month = Number(on.slice(5, 7)) - 1
  const fromMiddle = (Number(on.slice(8, 10)) - 0.5) / (DAYS[month] ?? 30) - 0.5
  const other = (month + (fromMiddle < 0 ? 11 : 1)) % 12
  const share = Math.abs(fromMiddle)
  const tempC = (reach.defaultTempC[month] ?? 10) * (1 - share) + (reach.defaultTempC[other] ?? 10) * share
  return Math.round(tempC * 10) / 10
}

function momentOf(
  frame: FrameView,
  chosen: { reachId: string; on: string; localMin: number } | null,
): Moment | null {
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
