import type { MomentView } from '../../contract/index.ts'
import { useMomentQuery } from '../wire/answers.ts'
import type { Moment } from './useMoment.ts'
import { useMoment } from './useMoment.ts'

/** A moment as the server is asked about it, with what was said of its hour. */
export const askedOf = (moment: Moment | null) => ({
  reachId: moment?.reachId ?? '',
  on: moment?.on ?? '',
  localMin: moment?.localMin ?? 0,
  ...moment?.said,
})

/** What trout are on at the moment, and which flies fish where; undefined until the server has answered. */
export function useNow(): MomentView | undefined {
  const moment = useMoment()
  return useMomentQuery(askedOf(moment), { skip: !moment }).data
}
