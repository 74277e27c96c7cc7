import { isSought } from '../../../core/index.ts'
import { lazy, Suspense, useCallback, useDeferredValue, useMemo, useState } from 'react'
import { useSearchParams } from 'react-router'
import type { MomentView, StageLine } from '../../../contract/index.ts'
import { useLarderQuery, useReachSeasonQuery, useReachYearQuery } from '../../wire/answers.ts'
import { usePlaceActions } from '../../ui/shortcuts.ts'
import { useNow } from '../../moment/useNow.ts'
import { chooseMoment } from '../../wire/state.ts'
import { useAppDispatch } from '../../wire/store.ts'
import { useMoment } from '../../moment/useMoment.ts'
import type { Moment } from '../../moment/useMoment.ts'
import { Button } from '../../ui/Button.tsx'
import { Checkbox, TextField } from '../../ui/fields.tsx'
import { Heading, Row } from '../../ui/layout.tsx'
import { OneOf } from '../../ui/OneOf.tsx'
import { LarderDay } from './LarderDay.tsx'
import { LarderYear, yearRows } from './LarderYear.tsx'
import { StageSheet } from './StageSheet.tsx'
import { KeepLarder } from './KeepLarder.tsx'
import { NewFood } from './NewFood.tsx'
import { SaveYear } from './SaveYear.tsx'
import { SOME_DAY } from './someDay.ts'
import { rowsAt, StagesNow } from './StagesNow.tsx'
import { labels } from '../../words/larder.ts'

const StageEdit = lazy(() => import('./edit/StageEdit.tsx'))

const VIEWS = [
  { id: 'now', name: 'Now' },
  { id: 'day', name: 'The day' },
  { id: 'year', name: 'The year' },
] as const
type View = (typeof VIEWS)[number]['id']
const viewOf = (text: string | null): View => VIEWS.find(({ id }) => id === text)?.id ?? 'now'

/** What trout eat: one stage, its form, or all of them at the moment, through the day or through the year. */
export default function Larder() {
  const { data } = useLarderQuery()
  const moment = useMoment()
  const now = useNow()
  const [params, setParams] = useSearchParams()
  const rows = useMemo(() => rowsAt(data?.stages ?? [], now), [data, now])
  const begin = useCallback(() => setParams({ edit: 'new' }), [setParams])
  const leaveEdit = useCallback(
    (stage: string | null) => setParams(stage === null ? {} : { stage }),
    [setParams],
  )
  usePlaceActions([{ key: 'n', what: labels.newFood, go: begin }])
  if (!data) return <p aria-busy="true">{labels.turningStones}</p>
  const view = viewOf(params.get('view'))
  const choose = (id: View) => setParams(id === 'now' ? {} : { view: id })
  const chosen = rows.find(({ stage }) => stage.id === params.get('stage'))
  const editing = params.get('edit')
  if (editing === 'new') return <NewFood stages={data.stages} onDone={leaveEdit} />
  if (editing && chosen) {
    const edited = chosen.stage
    return (
      <Suspense fallback={<p aria-busy="true">{labels.openingTheForm}</p>}>
        <StageEdit
          key={`${editing} ${edited.id}`}
          line={edited}
          groups={[...new Set(data.stages.map(({ groupKey }) => groupKey))]}
          onDone={leaveEdit}
        />
      </Suspense>
    )
  }
  if (chosen) {
    return (
      <StageSheet
        key={chosen.stage.id}
        stage={chosen.stage}
        now={chosen.now}
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
      now={now}
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
  readonly now: MomentView | undefined
  readonly view: View
  readonly onView: (view: View) => void
  readonly onOpen: (stageId: string) => void
  readonly onNew: () => void
}

/** All stages at the moment, the likeliest first; or through the day, or through the year. */
function AllStages({ stages, rows, moment, now, view, onView, onOpen, onNew }: AllStagesProps) {
  const dispatch = useAppDispatch()
  const [words, setWords] = useState('')
  const [all, setAll] = useState(false)
  const { data: season } = useReachSeasonQuery(
    { reachId: moment?.reachId ?? '', on: moment?.on ?? '' },
    { skip: !moment || view !== 'year' },
  )
  const on = moment?.on ?? SOME_DAY
  const { data: year } = useReachYearQuery(
    { reachId: moment?.reachId ?? '', year: Number(on.slice(0, 4)) },
    { skip: !moment || view !== 'year' },
  )
  const years = useMemo(() => (year ? yearRows(year, stages) : null), [year, stages])
  // the list follows what is typed, and never holds it up
  const sought = useDeferredValue(words).trim()
  const shown = rows.filter(
    ({ stage, now: found }) => (all || sought !== '' || found !== null || !moment) && isSought(stage, sought),
  )
  const go = (change: { readonly on?: string; readonly localMin?: number }) => {
    if (!moment) return
    const { reachId, localMin, said } = moment
    dispatch(chooseMoment({ reachId, on: moment.on, localMin, ...(said ? { said } : {}), ...change }))
  }
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
      <Row $gap={8}>
        <OneOf label={labels.show} choices={VIEWS} chosen={view} onChoose={onView} />
        {view === 'year' ? <SaveYear rows={years} stages={stages} season={season} moment={moment} /> : null}
      </Row>
      {view === 'year' && !years ? <p aria-busy="true">{labels.goingThroughTheYear}</p> : null}
      {view === 'year' && years && year && moment ? (
        <LarderYear
          row={year}
          rows={years}
          stages={stages}
          waterKind={moment.reach.waterKind}
          season={season}
          on={on}
          sought={sought}
          onOpen={onOpen}
          onDay={(day) => go({ on: day })}
        />
      ) : null}
      {view === 'day' && moment ? (
        <LarderDay
          stages={stages}
          moment={moment}
          sought={sought}
          onOpen={onOpen}
          onHour={(localMin) => go({ localMin })}
        />
      ) : null}
      {view === 'now' ? (
        <>
          <StagesNow shown={shown} all={all || sought !== ''} view={now} moment={moment} onOpen={onOpen} />
          <KeepLarder stages={stages} />
        </>
      ) : null}
    </>
  )
}
