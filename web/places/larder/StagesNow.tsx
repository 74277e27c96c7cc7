import styled from 'styled-components'
import { bandIn, epochDayOf, stageLikelihood, wording } from '../../../core/index.ts'
import type { ReachState, StageLikelihood } from '../../../core/index.ts'
import type { StageLine } from '../../../contract/index.ts'
import { light } from '../../wire/state.ts'
import { useAppDispatch, useAppSelector } from '../../wire/store.ts'
import type { Moment } from '../../moment/useMoment.ts'
import { useWording } from '../../words/useWording.ts'
import { HooksFor } from './HooksFor.tsx'
import { Dense, Quiet } from '../../ui/layout.tsx'
import { MonthStrip } from '../../parts/MonthStrip.tsx'
import { SOME_DAY } from './someDay.ts'
import { labels } from '../../words/larder.ts'

const Rows = styled(Dense)`
  tbody tr {
    cursor: pointer;
  }
  tbody tr[data-lit='true'] td {
    background: var(--panel);
  }
  button.name {
    padding: 2px 0;
    min-height: 28px;
    font: inherit;
    text-align: left;
    color: var(--thistle);
    background: none;
    border: 0;
    cursor: pointer;
    text-decoration: underline;
    text-underline-offset: 2px;
    text-decoration-color: var(--rule);
  }
  .swatch {
    display: inline-block;
    width: 12px;
    height: 12px;
    margin-right: 3px;
    border: 1px solid var(--quiet);
    border-radius: 2px;
    vertical-align: -1px;
  }
`

export interface LarderRow {
  readonly stage: StageLine
  readonly found: StageLikelihood
}

/** Stages at the moment, the likeliest first; without a water all of them at a common latitude. */
export function rowsAt(
  stages: readonly StageLine[],
  moment: Moment | null,
  reach: ReachState,
): readonly LarderRow[] {
  const on = moment?.on ?? SOME_DAY
  const day = epochDayOf(on)
  return stages
    .map((stage) => ({ stage, found: stageLikelihood(stage, reach, day, moment?.localMin ?? 720, 'any') }))
    .sort(
      (a, b) => b.found.likelihood.value * b.stage.importance - a.found.likelihood.value * a.stage.importance,
    )
}

function StageRow({
  row,
  moment,
  onOpen,
}: {
  readonly row: LarderRow
  readonly moment: Moment | null
  readonly onOpen: () => void
}) {
  const { stage, found } = row
  const dispatch = useAppDispatch()
  const { smallSpan } = useWording()
  const lit = useAppSelector((state) => state.view.lit)
  const band = bandIn(stage, moment?.reach.waterKind ?? 'freestone')
  return (
    <tr
      data-lit={lit === stage.id}
      onClick={onOpen}
      onMouseEnter={() => dispatch(light(stage.id))}
      onMouseLeave={() => dispatch(light(null))}
    >
      <td>
        <button type="button" className="name" onClick={onOpen}>
          {stage.foodName}, {stage.stageName}
        </button>
      </td>
      <td className="number">{wording.inTen(found.likelihood.value)}</td>
      <td>
        <MonthStrip months={stage.months} month={moment ? Number(moment.on.slice(5, 7)) - 1 : -1} />
      </td>
      <td>{band ? wording.depthBandName[band] : 'not here'}</td>
      <td className="number">
        {found.lengthMmHigh > 0 ? (
          <>
            {smallSpan(found.lengthMmLow, found.lengthMmHigh)}
            <HooksFor stage={stage} lowMm={found.lengthMmLow} highMm={found.lengthMmHigh} />
          </>
        ) : (
          '–'
        )}
      </td>
      <td>
        {stage.colours.slice(0, 3).map(({ name, hexWet }) => (
          <span key={name} className="swatch" style={{ background: hexWet }} title={`${name}, wet`} />
        ))}
      </td>
      <td className="number">{stage.servedBy.length > 0 ? stage.onHand : '–'}</td>
    </tr>
  )
}

/** Rows shown at most. */
const MOST_ROWS = 60

interface StagesNowProps {
  /** stages that answer to what is looked for, the likeliest first */
  readonly shown: readonly LarderRow[]
  /** how many there are in all */
  readonly of: number
  readonly moment: Moment | null
  readonly reach: ReachState
  readonly onOpen: (stageId: string) => void
}

/** The larder at the moment, as a list. */
export function StagesNow({ shown, of, moment, reach, onOpen }: StagesNowProps) {
  return (
    <>
      <p>
        <Quiet>
          {reach.season ? 'By the warmth of this reach, your notes and the hour.' : 'By month and hour.'}{' '}
          {shown.length} of {of} stages.
        </Quiet>
      </p>
      <Rows aria-label={labels.foodsAtThisMoment}>
        <thead>
          <tr>
            <th>{labels.foodStage}</th>
            <th className="number">{labels.likely}</th>
            <th>{labels.januaryToDecember}</th>
            <th>{labels.where}</th>
            <th className="number">{labels.length}</th>
            <th>{labels.wet}</th>
            <th className="number">{labels.flies}</th>
          </tr>
        </thead>
        <tbody>
          {shown.slice(0, MOST_ROWS).map((row) => (
            <StageRow key={row.stage.id} row={row} moment={moment} onOpen={() => onOpen(row.stage.id)} />
          ))}
        </tbody>
      </Rows>
      {shown.length > MOST_ROWS ? <Quiet>And {shown.length - MOST_ROWS} more; narrow the search.</Quiet> : null}
      {shown.length === 0 ? <p>{labels.nothingHereAnswersTo}</p> : null}
    </>
  )
}
