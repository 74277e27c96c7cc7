import { useMemo } from 'react'
import { epochDayOf, lengthOn, monthsAt, situationLooks, SITUATIONS } from '../../../../core/index.ts'
import type { StageLine } from '../../../../contract/index.ts'
import { toServing } from '../../../../contract/planned.ts'
import { useReachDayQuery } from '../../../wire/answers.ts'
import { usePlanned } from '../../../wire/planned.ts'
import { askedOf } from '../../../moment/useNow.ts'
import { useMoment } from '../../../moment/useMoment.ts'
import { Quiet } from '../../../ui/layout.tsx'
import { labels, SITUATION_WORDS } from '../../../words/cover.ts'
import { Working } from '../../../parts/Working.tsx'
import { Shares } from './Shares.tsx'
import { useHeld, useServingPlace, useStages } from './useHeld.ts'

/** How the boxes stand in the situations that tiers keep flies for, on the moment's day at its reach. */
export function BySituation({ stages }: { readonly stages: ReadonlyMap<string, StageLine> }) {
  const moment = useMoment()
  const place = useServingPlace()
  const known = useStages()
  const planned = usePlanned()
  const { localMin: _hour, ...asked } = askedOf(moment)
  const { data: usual } = useReachDayQuery(asked, { skip: !moment })
  const { data: coloured } = useReachDayQuery(
    { ...asked, level: 'rising', clarity: 'coloured' },
    { skip: !moment },
  )
  const looks = useMemo(() => {
    if (!moment || !place || !known || !planned || !usual || !coloured) return null
    const day = epochDayOf(moment.on)
    const lengths = new Map(
      [...known].map(([id, stage]) => [id, lengthOn(monthsAt(stage, place.latitudeDeg), day)]),
    )
    return situationLooks(known, {
      usual,
      coloured,
      lengths,
      place,
      month: Number(moment.on.slice(5, 7)),
      variants: planned.variants.map(toServing),
    })
  }, [moment, place, known, planned, usual, coloured])
  const held = useHeld('coverLooks', looks)
  const covers = held.found
  if (!covers || held.isBroken) return <Working of={held} label={labels.holdingNow} />
  const rows = SITUATIONS.flatMap((key) => {
    const cover = covers.find((one) => one.key === key)
    const { name, of: more } = SITUATION_WORDS[key]
    return cover ? [{ cover, name, more }] : []
  })
  return (
    <>
      <Shares label={labels.bySituation} first={labels.situation} rows={rows} stages={stages} />
      <p>
        <Quiet>{labels.judgement}</Quiet>
      </p>
    </>
  )
}
