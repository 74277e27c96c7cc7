import { lazy, Suspense, useCallback, useMemo, useState } from 'react'
import { useSearchParams } from 'react-router'
import styled from 'styled-components'
import { bandIn, curveC, epochDayOf, MONTH_STARTS, stageLikelihood, wording } from '../../../core/index.ts'
import type { ReachState, StageLikelihood, Weather } from '../../../core/index.ts'
import type { ReachSeasonView, StageLine } from '../../../contract/index.ts'
import { useLarderQuery, useReachSeasonQuery } from '../../wire/api.ts'
import { usePlaceKeys } from '../../ui/shortcuts.ts'
import { useReachState } from '../../moment/useReachState.ts'
import { chooseMoment, light } from '../../wire/state.ts'
import { useAppDispatch, useAppSelector } from '../../wire/store.ts'
import { useMoment } from '../../moment/useMoment.ts'
import type { Moment } from '../../moment/useMoment.ts'
import { Button } from '../../ui/Button.tsx'
import { Checkbox, Select, TextField } from '../../ui/fields.tsx'
import { Dense, Heading, Quiet, Row } from '../../ui/layout.tsx'
import { LarderDay } from './LarderDay.tsx'
import { dayOf, LarderYear, useYearRows } from './LarderYear.tsx'
import type { YearRow } from './LarderYear.tsx'
import { MonthStrip } from '../../parts/MonthStrip.tsx'
import { StageSheet } from './StageSheet.tsx'

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

interface Row {
  readonly stage: StageLine
  readonly found: StageLikelihood
}

/** Stages at the moment, the likeliest first; without a water all of them at a common latitude. */
function rowsAt(stages: readonly StageLine[], moment: Moment | null, reach: ReachState): readonly Row[] {
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
  readonly row: Row
  readonly moment: Moment | null
  readonly onOpen: () => void
}) {
  const { stage, found } = row
  const dispatch = useAppDispatch()
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
        {found.lengthMmHigh > 0 ? `${Math.round(found.lengthMmLow)}–${Math.round(found.lengthMmHigh)} mm` : '–'}
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

const StageEdit = lazy(() => import('./edit/StageEdit.tsx'))

const MOST_ROWS = 60
/** Before there is a water, and with it a moment. */
const SOME_DAY = '2026-06-01'

const VIEWS = [
  { id: 'now', name: 'Now' },
  { id: 'day', name: 'The day' },
  { id: 'year', name: 'The year' },
] as const
type View = (typeof VIEWS)[number]['id']
const viewOf = (text: string | null): View => VIEWS.find(({ id }) => id === text)?.id ?? 'now'

const WEATHERS: readonly { readonly id: Weather; readonly name: string }[] = [
  { id: 'any', name: 'any weather' },
  { id: 'bright', name: 'bright' },
  { id: 'dull', name: 'dull' },
  { id: 'windy', name: 'windy' },
  { id: 'calm', name: 'calm' },
]

interface SaveYearProps {
  readonly rows: readonly YearRow[] | null
  readonly stages: readonly StageLine[]
  readonly season: ReachSeasonView | undefined
  readonly moment: Moment | null
}

/** The year of the reach to take along: as a table, for a calendar, as a picture, on paper. */
function SaveYear({ rows, stages, season, moment }: SaveYearProps) {
  if (!season || !moment || season.windows.length === 0) return null
  const { reach, on } = moment
  const year = {
    reachName: reach.reachName,
    year: Number(on.slice(0, 4)),
    south: reach.latitudeDeg < 0,
    waterKind: reach.waterKind,
    stages,
    season,
  }
  const load = () => import('./exportYear.ts')
  const drawn = {
    title: `${reach.reachName}, ${reach.waterName}: what trout eat through ${on.slice(0, 4)}`,
    warmth: MONTH_STARTS.map((day) => `${curveC(season.warmth.model, day + 15).toFixed(0)}°`),
    rows: (rows ?? []).map(({ stage, year: { values, highs } }) => ({
      name: `${stage.foodName}, ${stage.stageName}`,
      values,
      highs,
      seenDays: (season.seenOn[stage.id] ?? []).map(dayOf),
    })),
  }
  const draw = () => import('./drawYear.ts')
  return (
    <>
      <Button onPress={() => void load().then(({ saveYearCsv }) => saveYearCsv(year))}>Save the table</Button>
      <Button onPress={() => void load().then(({ saveYearIcs }) => saveYearIcs(year))}>
        Save for a calendar
      </Button>
      <Button
        isDisabled={!rows}
        onPress={() =>
          void draw().then(({ saveYearPng }) => saveYearPng(drawn, `${reach.reachName}-${on.slice(0, 4)}.png`))
        }
      >
        Save the picture
      </Button>
      <Button isDisabled={!rows} onPress={() => void draw().then(({ printYear }) => printYear(drawn))}>
        Print it
      </Button>
    </>
  )
}

/** What trout eat: stages at the moment, the likeliest first. */
export default function Larder() {
  const { data } = useLarderQuery()
  const moment = useMoment()
  const reach = useReachState()
  const dispatch = useAppDispatch()
  const [params, setParams] = useSearchParams()
  const [words, setWords] = useState('')
  const [all, setAll] = useState(false)
  const [weather, setWeather] = useState<Weather>('any')
  const { data: season } = useReachSeasonQuery({ reachId: moment?.reachId ?? '' }, { skip: !moment })
  const rows = useMemo(() => rowsAt(data?.stages ?? [], moment, reach), [data, moment, reach])
  const keys = useMemo(() => {
    const shift = (minutes: number) => () => {
      if (!moment) return
      const localMin = moment.localMin + minutes
      if (localMin >= 0 && localMin <= 1440)
        dispatch(chooseMoment({ reachId: moment.reachId, on: moment.on, localMin }))
    }
    return { ',': shift(-60), '.': shift(60), n: () => setParams({ edit: 'new' }) }
  }, [moment, dispatch, setParams])
  const leaveEdit = useCallback(
    (stage: string | null) => setParams(stage === null ? {} : { stage }),
    [setParams],
  )
  usePlaceKeys(keys)
  const years = useYearRows(data?.stages, reach, moment?.on ?? SOME_DAY, params.get('view') === 'year')
  if (!data) return <p aria-busy="true">Turning stones …</p>
  const view = viewOf(params.get('view'))
  const choose = (id: View) => setParams(id === 'now' ? {} : { view: id })
  const open = (stage: string) => setParams(view === 'now' ? { stage } : { view, stage })
  const chosen = rows.find(({ stage }) => stage.id === params.get('stage'))
  const groups = [...new Set(data.stages.map(({ groupKey }) => groupKey))]
  const editing = params.get('edit')
  const edited = editing === 'new' ? data.stages[0] : chosen?.stage
  if (editing && edited) {
    return (
      <Suspense fallback={<p aria-busy="true">Opening the form …</p>}>
        <StageEdit
          key={`${editing} ${edited.id}`}
          line={edited}
          isNew={editing === 'new'}
          groups={groups}
          onDone={leaveEdit}
        />
      </Suspense>
    )
  }
  if (chosen) {
    return (
      <StageSheet
        stage={chosen.stage}
        found={chosen.found}
        onClose={() => choose(view)}
        onEdit={() => setParams({ stage: chosen.stage.id, edit: 'it' })}
      />
    )
  }
  const sought = words.trim().toLowerCase()
  const shown = rows.filter(
    ({ stage, found }) =>
      (all || sought !== '' || found.likelihood.value >= 0.03) &&
      `${stage.foodName} ${stage.stageName} ${stage.groupKey}`.toLowerCase().includes(sought),
  )
  return (
    <>
      <Heading>
        <h1>Larder</h1>
        <Row>
          <TextField
            label="Find a food"
            hideLabel
            type="search"
            value={words}
            onChange={setWords}
            width="200px"
            hint=""
          />
          <Button onPress={() => setParams({ edit: 'new' })}>New food</Button>
          <Checkbox isSelected={all} onChange={setAll}>
            also what is unlikely now
          </Checkbox>
        </Row>
      </Heading>
      <Row $gap={8} role="group" aria-label="Show">
        {VIEWS.map(({ id, name }) => (
          <Button
            key={id}
            onPress={() => choose(id)}
            aria-pressed={view === id}
            look={view === id ? 'main' : 'plain'}
          >
            {name}
          </Button>
        ))}
        {view === 'year' ? (
          <SaveYear rows={years} stages={data.stages} season={season} moment={moment} />
        ) : null}
        {view === 'day' ? (
          <Select
            label="Weather"
            hideLabel
            value={weather}
            choices={WEATHERS}
            onChange={(id) => setWeather(id as Weather)}
            width="140px"
          />
        ) : null}
      </Row>
      {view === 'year' && !years ? <p aria-busy="true">Going through the year …</p> : null}
      {view === 'year' && years ? (
        <LarderYear rows={years} season={season} on={moment?.on ?? SOME_DAY} sought={sought} onOpen={open} />
      ) : null}
      {view === 'day' ? (
        <LarderDay
          stages={data.stages}
          reach={reach}
          on={moment?.on ?? SOME_DAY}
          localMin={moment?.localMin ?? 720}
          weather={weather}
          sought={sought}
          onOpen={open}
          onHour={(localMin) =>
            moment ? dispatch(chooseMoment({ reachId: moment.reachId, on: moment.on, localMin })) : undefined
          }
        />
      ) : null}
      {view === 'now' ? (
        <>
          <p>
            <Quiet>
              {reach.season ? 'By the warmth of this reach, your notes and the hour.' : 'By month and hour.'}{' '}
              {shown.length} of {rows.length} stages.
            </Quiet>
          </p>
          <Rows aria-label="Foods at this moment">
            <thead>
              <tr>
                <th>food, stage</th>
                <th className="number">likely</th>
                <th>January to December</th>
                <th>where</th>
                <th className="number">length</th>
                <th>wet</th>
                <th className="number">flies</th>
              </tr>
            </thead>
            <tbody>
              {shown.slice(0, MOST_ROWS).map((row) => (
                <StageRow key={row.stage.id} row={row} moment={moment} onOpen={() => open(row.stage.id)} />
              ))}
            </tbody>
          </Rows>
          {shown.length > MOST_ROWS ? (
            <Quiet>And {shown.length - MOST_ROWS} more; narrow the search.</Quiet>
          ) : null}
          {shown.length === 0 ? <p>Nothing here answers to that.</p> : null}
        </>
      ) : null}
    </>
  )
}
