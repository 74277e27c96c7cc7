import { isSought } from '../../../core/index.ts'
import { lazy, Suspense, useCallback, useMemo, useState } from 'react'
import { useSearchParams } from 'react-router'
import type { ReachState, Weather } from '../../../core/index.ts'
import type { StageLine } from '../../../contract/index.ts'
import { useLarderQuery, useReachSeasonQuery } from '../../wire/api.ts'
import { usePlaceKeys } from '../../ui/shortcuts.ts'
import { useReachState } from '../../moment/useReachState.ts'
import { chooseMoment } from '../../wire/state.ts'
import { useAppDispatch } from '../../wire/store.ts'
import { useMoment } from '../../moment/useMoment.ts'
import type { Moment } from '../../moment/useMoment.ts'
import { Button } from '../../ui/Button.tsx'
import { Checkbox, Select, TextField } from '../../ui/fields.tsx'
import { Heading, Row } from '../../ui/layout.tsx'
import { LarderDay } from './LarderDay.tsx'
import { LarderYear, useYearRows } from './LarderYear.tsx'
import { StageSheet } from './StageSheet.tsx'
import { SaveYear } from './SaveYear.tsx'
import { SOME_DAY } from './someDay.ts'
import { rowsAt, StagesNow } from './StagesNow.tsx'
import { labels } from '../../words/larder.ts'

const StageEdit = lazy(() => import('./edit/StageEdit.tsx'))

const DAY_MIN = 1440
const NOON_MIN = 720

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

/** Comma and full stop turn the clock by an hour; n begins a new food. */
function useLarderKeys(moment: Moment | null, onNew: () => void): void {
  const dispatch = useAppDispatch()
  const keys = useMemo(() => {
    const shift = (minutes: number) => () => {
      if (!moment) return
      const localMin = moment.localMin + minutes
      if (localMin >= 0 && localMin <= DAY_MIN)
        dispatch(chooseMoment({ reachId: moment.reachId, on: moment.on, localMin }))
    }
    return { ',': shift(-60), '.': shift(60), n: onNew }
  }, [moment, dispatch, onNew])
  usePlaceKeys(keys)
}

/** What trout eat: one stage, its form, or all of them at the moment, through the day or through the year. */
export default function Larder() {
  const { data } = useLarderQuery()
  const moment = useMoment()
  const reach = useReachState()
  const [params, setParams] = useSearchParams()
  const rows = useMemo(() => rowsAt(data?.stages ?? [], moment, reach), [data, moment, reach])
  const begin = useCallback(() => setParams({ edit: 'new' }), [setParams])
  const leaveEdit = useCallback(
    (stage: string | null) => setParams(stage === null ? {} : { stage }),
    [setParams],
  )
  useLarderKeys(moment, begin)
  if (!data) return <p aria-busy="true">{labels.turningStones}</p>
  const view = viewOf(params.get('view'))
  const choose = (id: View) => setParams(id === 'now' ? {} : { view: id })
  const chosen = rows.find(({ stage }) => stage.id === params.get('stage'))
  const editing = params.get('edit')
  const edited = editing === 'new' ? data.stages[0] : chosen?.stage
  if (editing && edited) {
    return (
      <Suspense fallback={<p aria-busy="true">{labels.openingTheForm}</p>}>
        <StageEdit
          key={`${editing} ${edited.id}`}
          line={edited}
          isNew={editing === 'new'}
          groups={[...new Set(data.stages.map(({ groupKey }) => groupKey))]}
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
  return (
    <AllStages
      stages={data.stages}
      rows={rows}
      moment={moment}
      reach={reach}
      view={view}
      onView={choose}
      onOpen={(stage) => setParams(view === 'now' ? { stage } : { view, stage })}
      onNew={begin}
    />
  )
}

interface AllStagesProps {
  readonly stages: readonly StageLine[]
  readonly rows: ReturnType<typeof rowsAt>
  readonly moment: Moment | null
  readonly reach: ReachState
  readonly view: View
  readonly onView: (view: View) => void
  readonly onOpen: (stageId: string) => void
  readonly onNew: () => void
}

/** All stages at the moment, the likeliest first; or through the day, or through the year. */
function AllStages({ stages, rows, moment, reach, view, onView, onOpen, onNew }: AllStagesProps) {
  const dispatch = useAppDispatch()
  const [words, setWords] = useState('')
  const [all, setAll] = useState(false)
  const [weather, setWeather] = useState<Weather>('any')
  const { data: season } = useReachSeasonQuery({ reachId: moment?.reachId ?? '' }, { skip: !moment })
  const on = moment?.on ?? SOME_DAY
  const years = useYearRows(stages, reach, on, view === 'year')
  const sought = words.trim()
  const shown = rows.filter(
    ({ stage, found }) => (all || sought !== '' || found.likelihood.value >= 0.03) && isSought(stage, sought),
  )
  return (
    <>
      <Heading>
        <h1>{labels.larder}</h1>
        <Row>
          <TextField
            label={labels.findAFood}
            hideLabel
            type="search"
            value={words}
            onChange={setWords}
            width="200px"
            hint=""
          />
          <Button onPress={onNew}>{labels.newFood}</Button>
          <Checkbox isSelected={all} onChange={setAll}>
            {labels.alsoWhatIsUnlikely}
          </Checkbox>
        </Row>
      </Heading>
      <Row $gap={8} role="group" aria-label={labels.show}>
        {VIEWS.map(({ id, name }) => (
          <Button
            key={id}
            onPress={() => onView(id)}
            aria-pressed={view === id}
            look={view === id ? 'main' : 'plain'}
          >
            {name}
          </Button>
        ))}
        {view === 'year' ? <SaveYear rows={years} stages={stages} season={season} moment={moment} /> : null}
        {view === 'day' ? (
          <Select
            label={labels.weather}
            hideLabel
            value={weather}
            choices={WEATHERS}
            onChange={(id) => setWeather(id as Weather)}
            width="140px"
          />
        ) : null}
      </Row>
      {view === 'year' && !years ? <p aria-busy="true">{labels.goingThroughTheYear}</p> : null}
      {view === 'year' && years ? (
        <LarderYear rows={years} season={season} on={on} sought={sought} onOpen={onOpen} />
      ) : null}
      {view === 'day' ? (
        <LarderDay
          stages={stages}
          reach={reach}
          on={on}
          localMin={moment?.localMin ?? NOON_MIN}
          weather={weather}
          sought={sought}
          onOpen={onOpen}
          onHour={(localMin) =>
            moment ? dispatch(chooseMoment({ reachId: moment.reachId, on: moment.on, localMin })) : undefined
          }
        />
      ) : null}
      {view === 'now' ? (
        <StagesNow shown={shown} of={rows.length} moment={moment} reach={reach} onOpen={onOpen} />
      ) : null}
    </>
  )
}
