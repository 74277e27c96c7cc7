import { useCallback } from 'react'
import { chooseMoment } from '../wire/state.ts'
import { useAppDispatch } from '../wire/store.ts'
import { useMoment } from './useMoment.ts'

const DAY_MIN = 24 * 60
const DAY_MS = 86_400_000

/** Turns the moment's clock by minutes, within its day, and its calendar by days; what was said of the hour stays. */
export function useTurnClock(): (by: { readonly minutes?: number; readonly days?: number }) => void {
  const moment = useMoment()
  const dispatch = useAppDispatch()
  return useCallback(
    ({ minutes = 0, days = 0 }) => {
      if (!moment) return
      const on = new Date(Date.parse(`${moment.on}T00:00:00Z`) + days * DAY_MS).toISOString().slice(0, 10)
      const localMin = moment.localMin + minutes
      if (localMin < 0 || localMin > DAY_MIN) return
      dispatch(
        chooseMoment({
          reachId: moment.reachId,
          on,
          localMin,
          ...(moment.said ? { said: moment.said } : {}),
        }),
      )
    },
    [moment, dispatch],
  )
}
