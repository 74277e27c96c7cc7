import { useMemo } from 'react'
import { epochDayOf, monthLooks, yearOf } from '../../../../core/index.ts'
import type { StageLine } from '../../../../contract/index.ts'
import { useReachYearQuery } from '../../../wire/answers.ts'
import { useMoment } from '../../../moment/useMoment.ts'
import { MONTHS } from '../../../words/days.ts'
import { labels } from '../../../words/cover.ts'
import { Working } from '../../../parts/Working.tsx'
import { Shares } from './Shares.tsx'
import { useHeld, useServingPlace, useStages } from './useHeld.ts'

/** How the boxes stand through the months of the year at the moment's reach. */
export function BySeason({ stages }: { readonly stages: ReadonlyMap<string, StageLine> }) {
  const moment = useMoment()
  const place = useServingPlace()
  const known = useStages()
  const year = moment ? yearOf(epochDayOf(moment.on)) : 0
  const { data } = useReachYearQuery({ reachId: moment?.reachId ?? '', year }, { skip: !moment })
  const looks = useMemo(
    () => (place && known && data && data.whatever.length > 0 ? monthLooks(known, data, year, place) : null),
    [place, known, data, year],
  )
  const held = useHeld('coverLooks', looks)
  const covers = held.found
  if (!covers || held.isBroken) return <Working of={held} label={labels.holdingNow} />
  const rows = covers.map((cover) => ({ cover, name: MONTHS[Number(cover.key) - 1] ?? '', more: '' }))
  return <Shares label={labels.bySeason} first={labels.month} rows={rows} stages={stages} />
}
