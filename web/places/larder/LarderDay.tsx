import { useMemo, useState } from 'react'
import { HALF_HOUR_MIN, isSought, wording } from '../../../core/index.ts'
import type { FeedingRowView, StageLine } from '../../../contract/index.ts'
import { useReachDayQuery } from '../../wire/answers.ts'
import { askedOf } from '../../moment/useNow.ts'
import type { Moment } from '../../moment/useMoment.ts'
import { clockTime } from '../../words/words.ts'
import { Button } from '../../ui/Button.tsx'
import { Dense, Quiet } from '../../ui/layout.tsx'
import { FeedingStrip } from './FeedingStrip.tsx'
import { labels } from '../../words/larder.ts'

/** Half hours that are shown: from four in the morning to half past eleven at night. */
const FIRST = 8
const LAST = 47
const MOST_ROWS = 40
const MOST_COLUMNS = 6

interface LarderDayProps {
  readonly stages: readonly StageLine[]
  readonly moment: Moment
  readonly sought: string
  readonly onOpen: (stageId: string) => void
  readonly onHour: (localMin: number) => void
}

const cut = (values: readonly number[]) => values.slice(FIRST, LAST + 1)
const startOf = (index: number) => (FIRST + index) * HALF_HOUR_MIN

/** A day by half hours: what trout are on, as areas that sum to one, and each food with its best hour. */
export function LarderDay({ stages, moment, sought, onOpen, onHour }: LarderDayProps) {
  const { localMin: _hour, ...asked } = askedOf(moment)
  const { data } = useReachDayQuery(asked)
  const [asTable, setAsTable] = useState(false)
  const row = useMemo(
    (): FeedingRowView | null =>
      data && data.whatever.length > 0
        ? {
            whatever: cut(data.whatever),
            stages: data.stages.map(({ stageId, about, onIt }) => ({
              stageId,
              about: cut(about),
              onIt: cut(onIt),
            })),
          }
        : null,
    [data],
  )
  if (!row) return <p aria-busy="true">{labels.goingThroughTheDay}</p>
  const hours = Array.from({ length: 10 }, (_, i) => 4 + i * 2)
  return (
    <>
      <FeedingStrip
        label={labels.whatTroutAreOnThroughTheDay}
        row={row}
        stages={stages}
        waterKind={moment.reach.waterKind}
        marks={hours.map((hour) => ({ at: (hour * 2 - FIRST) / (LAST - FIRST), name: clockTime(hour * 60) }))}
        chosen={Math.floor(moment.localMin / HALF_HOUR_MIN) - FIRST}
        onChoose={(index) => onHour(startOf(index))}
        nameOf={(index) => clockTime(startOf(index))}
      />
      <FoodsOfTheDay row={row} stages={stages} sought={sought} onOpen={onOpen} />
      <p>
        <Button look="quiet" onPress={() => setAsTable(!asTable)} aria-expanded={asTable}>
          {labels.theSameAsATable}
        </Button>
      </p>
      {asTable ? <DayTable row={row} stages={stages} /> : null}
    </>
  )
}

const nameOf = ({ foodName, stageName }: StageLine) => `${foodName}, ${stageName}`

function FoodsOfTheDay({
  row,
  stages,
  sought,
  onOpen,
}: Pick<LarderDayProps, 'stages' | 'sought' | 'onOpen'> & { readonly row: FeedingRowView }) {
  // prettier-ignore
  const byId = new Map(stages.map((stage) => [stage.id as string, stage]))
  const rows = row.stages
    .flatMap(({ stageId, onIt, about }) => {
      const stage = byId.get(stageId)
      if (!stage || !isSought(stage, sought)) return []
      const best = Math.max(...onIt)
      return [
        {
          stage,
          best,
          at: onIt.indexOf(best),
          about: Math.max(...about),
          sum: onIt.reduce((a, b) => a + b, 0),
        },
      ]
    })
    .sort((a, b) => b.sum - a.sum)
    .slice(0, MOST_ROWS)
  return (
    <Dense aria-label={labels.foodsByTheHour}>
      <thead>
        <tr>
          <th>{labels.foodStage}</th>
          <th className="number">{labels.atItsBest}</th>
          <th className="number">{labels.about}</th>
        </tr>
      </thead>
      <tbody>
        {rows.map(({ stage, best, at, about }) => (
          <tr key={stage.id}>
            <td>
              <Button look="quiet" onPress={() => onOpen(stage.id)}>
                {nameOf(stage)}
              </Button>
            </td>
            <td className="number">
              {wording.fishOnIt(best)} <Quiet>{clockTime(startOf(at))}</Quiet>
            </td>
            <td className="number">{wording.inTen(about)}</td>
          </tr>
        ))}
      </tbody>
    </Dense>
  )
}

/** The strip in figures: shares in hundredths by half hours. */
function DayTable({ row, stages }: { readonly row: FeedingRowView; readonly stages: readonly StageLine[] }) {
  const byId = new Map(stages.map((stage) => [stage.id as string, stage]))
  const shown = [...row.stages].sort((a, b) => Math.max(...b.onIt) - Math.max(...a.onIt)).slice(0, MOST_COLUMNS)
  const percent = (share: number) => `${Math.round(share * 100)} %`
  return (
    <Dense aria-label={labels.whatTroutAreOnThroughTheDay} style={{ width: 'auto' }}>
      <thead>
        <tr>
          <th>{labels.from}</th>
          {shown.map(({ stageId }) => {
            const stage = byId.get(stageId)
            return <th key={stageId}>{stage ? nameOf(stage) : ''}</th>
          })}
          <th>{labels.whateverComes}</th>
        </tr>
      </thead>
      <tbody>
        {row.whatever.map((whatever, i) => (
          <tr key={i}>
            <td className="figures">{clockTime(startOf(i))}</td>
            {shown.map(({ stageId, onIt }) => (
              <td key={stageId} className="number">
                {percent(onIt[i] ?? 0)}
              </td>
            ))}
            <td className="number">{percent(whatever)}</td>
          </tr>
        ))}
      </tbody>
    </Dense>
  )
}
