import { useMemo } from 'react'
import type { ReachState } from '../../core/index.ts'
import { useReachSeasonQuery } from '../wire/api.ts'
import { reachStateOf, toReachSeason } from './reachState.ts'
import { useMoment } from './useMoment.ts'

/** The reach of the moment with its season: windows, what was learned, how warm it is. */
export function useReachState(): ReachState {
  const moment = useMoment()
  const { data } = useReachSeasonQuery({ reachId: moment?.reachId ?? '' }, { skip: !moment })
  return useMemo(
    () => reachStateOf(moment, moment && data?.reachId === moment.reachId ? toReachSeason(data, moment) : null),
    [moment, data],
  )
}
