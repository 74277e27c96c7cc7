import { useState } from 'react'
import styled from 'styled-components'
import { bandIn, wording } from '../../../core/index.ts'
import type { FoodAtMoment, MomentView, StageLine } from '../../../contract/index.ts'
import { useIsLit } from '../../wire/lit.ts'
import { light } from '../../wire/state.ts'
import { useAppDispatch } from '../../wire/store.ts'
import type { Moment } from '../../moment/useMoment.ts'
import { useWording } from '../../words/useWording.ts'
import { HooksFor } from '../../parts/HooksFor.tsx'
import { Button } from '../../ui/Button.tsx'
import { Dense, Quiet } from '../../ui/layout.tsx'
import { useOnHand } from './useOnHand.ts'
import { CHOOSY, labels } from '../../words/larder.ts'

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
  .share {
    display: block;
    height: 4px;
    margin-top: 2px;
    background: var(--thistle);
    border-radius: 2px;
  }
`

/** Width of the bar of all fish, px. */
const SHARE_PX = 110

/** A stage with what it is to the fish now; null where hardly one is on it. */
export interface LarderRow {
  readonly stage: StageLine
  readonly now: FoodAtMoment | null
}

/** Stages at the moment, those that most fish are on first. */
export function rowsAt(stages: readonly StageLine[], view: MomentView | undefined): readonly LarderRow[] {
  const foods = new Map(view?.foods.map((food) => [food.foodStageId, food]))
  return stages
    .map((stage) => ({ stage, now: foods.get(stage.id) ?? null }))
    .sort((a, b) => (b.now?.onIt ?? -1) - (a.now?.onIt ?? -1))
}

/** Why a stage is where it is, in few words. */
const whyOf = ({ reasons }: FoodAtMoment) => reasons.slice(0, 3).join('; ')

function StageRow({
  row,
  moment,
  onOpen,
}: {
  readonly row: LarderRow
  readonly moment: Moment | null
  readonly onOpen: () => void
}) {
  // prettier-ignore
  const { stage, now } = row
  const dispatch = useAppDispatch()
  const { smallSpan } = useWording()
  const onHandFor = useOnHand()
  const isLit = useIsLit(stage.id)
  const band = bandIn(stage, moment?.reach.waterKind ?? 'freestone')
  return (
    <tr
      data-lit={isLit}
      onClick={onOpen}
      onMouseEnter={() => dispatch(light(stage.id))}
      onMouseLeave={() => dispatch(light(null))}
    >
      <td>
        <button type="button" className="name" onClick={onOpen}>
          {stage.foodName}, {stage.stageName}
        </button>
        {now ? (
          <div>
            <Quiet>{whyOf(now)}</Quiet>
          </div>
        ) : null}
      </td>
      <td style={{ whiteSpace: 'nowrap' }}>
        {now ? wording.fishOnIt(now.onIt) : '–'}
        {now ? <span className="share" style={{ width: Math.max(now.onIt * SHARE_PX, 1) }} /> : null}
        {now && now.onItIfAbout > now.onIt * 1.3 ? (
          <Quiet>{wording.fishOnIt(now.onItIfAbout)} if up</Quiet>
        ) : null}
      </td>
      <td style={{ whiteSpace: 'nowrap' }}>{now ? wording.inTen(now.about) : '–'}</td>
      <td>{now ? CHOOSY[now.choosy] : ''}</td>
      <td>{band ? wording.depthBandName[band] : 'not here'}</td>
      <td style={{ whiteSpace: 'nowrap' }}>
        {now ? (
          <>
            {smallSpan(now.lengthMmLow, now.lengthMmHigh)}
            <HooksFor stage={stage} lowMm={now.lengthMmLow} highMm={now.lengthMmHigh} />
          </>
        ) : (
          '–'
        )}
      </td>
      <td style={{ whiteSpace: 'nowrap' }}>
        {stage.colours.slice(0, 3).map(({ name, hexWet }) => (
          <span key={name} className="swatch" style={{ background: hexWet }} title={`${name}, wet`} />
        ))}
      </td>
      <td className="number">{onHandFor(stage)}</td>
    </tr>
  )
}

/** Foods that stand open; the rest is one line. */
const OPEN = 5
/** Rows shown at most. */
const MOST_ROWS = 60

interface StagesNowProps {
  /** stages that answer to what is looked for, those that most fish are on first */
  readonly shown: readonly LarderRow[]
  /** whether all of them are asked for */
  readonly all: boolean
  readonly view: MomentView | undefined
  readonly moment: Moment | null
  readonly onOpen: (stageId: string) => void
}

/** What trout are on at the moment: the first five open, the rest in one line until it is opened. */
export function StagesNow({ shown, all, view, moment, onOpen }: StagesNowProps) {
  const [opened, setOpened] = useState(false)
  const open = all || opened ? shown.slice(0, MOST_ROWS) : shown.slice(0, OPEN)
  const rest = shown.slice(open.length)
  const restShare = rest.reduce((sum, { now }) => sum + (now?.onIt ?? 0), 0)
  return (
    <>
      <Rows aria-label={labels.foodsAtThisMoment}>
        <thead>
          <tr>
            <th style={{ width: '36%', minWidth: 190 }}>{labels.foodStage}</th>
            <th>{labels.onIt}</th>
            <th>{labels.about}</th>
            <th>{labels.choosy}</th>
            <th>{labels.where}</th>
            <th>{labels.length}</th>
            <th>{labels.wet}</th>
            <th className="number">{labels.flies}</th>
          </tr>
        </thead>
        <tbody>
          {open.map((row) => (
            <StageRow key={row.stage.id} row={row} moment={moment} onOpen={() => onOpen(row.stage.id)} />
          ))}
        </tbody>
      </Rows>
      {view ? (
        <p>
          {rest.length > 0 ? (
            <Button look="quiet" onPress={() => setOpened(true)}>
              And {rest.length} others, {wording.fishOnIt(restShare)} together
            </Button>
          ) : opened && !all ? (
            <Button look="quiet" onPress={() => setOpened(false)}>
              {labels.onlyTheFirstFive}
            </Button>
          ) : null}{' '}
          <Quiet>
            {wording.fishOnIt(view.whatever)} take whatever comes.
            {view.level
              ? ` The water is ${LEVELS[view.level.is]}${view.level.by === 'gauge' ? ', by the gauge' : ''}.`
              : ''}
          </Quiet>
        </p>
      ) : null}
      {shown.length === 0 ? <p>{labels.nothingHereAnswersTo}</p> : null}
    </>
  )
}

const LEVELS = { falling: 'falling', steady: 'steady', rising: 'rising' } as const
