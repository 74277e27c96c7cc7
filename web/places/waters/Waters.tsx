import { lazy, Suspense, useState } from 'react'
import { useSearchParams } from 'react-router'
import { isStillwater, wording } from '../../../core/index.ts'
import type { WatersView } from '../../../contract/index.ts'
import { useWatersQuery } from '../../wire/answers.ts'
import { usePlaceActions } from '../../ui/shortcuts.ts'
import { chooseMoment } from '../../wire/state.ts'
import { useAppDispatch } from '../../wire/store.ts'
import { useMoment } from '../../moment/useMoment.ts'
import { Button } from '../../ui/Button.tsx'
import { useWording } from '../../words/useWording.ts'
import { MONTHS } from '../../words/days.ts'
import { Dense, Heading, Quiet, Section } from '../../ui/layout.tsx'
import { NewReach } from './NewReach.tsx'
import { NewWater } from './NewWater.tsx'
import { ReachRow } from './ReachRow.tsx'
import { RulesNote } from './RulesNote.tsx'
import { useSection } from './useSection.ts'
import { labels } from '../../words/waters.ts'

const ReachSheet = lazy(() => import('./ReachSheet.tsx'))

type WaterLine = WatersView['waters'][number]

function WaterSection({
  line,
  chosenReach,
}: {
  readonly line: WaterLine
  readonly chosenReach: string | null
}) {
  const { water, reaches } = line
  const { depth, units } = useWording()
  const [adding, setAdding] = useState(false)
  const open =
    water.openFromMonthDay && water.openToMonthDay
      ? `open ${monthDay(water.openFromMonthDay)} to ${monthDay(water.openToMonthDay)}`
      : 'no season noted'
  return (
    <Section id={line.id}>
      <Heading>
        <h2>
          {water.name}{' '}
          <Quiet>
            · {wording.waterKindName[water.kind]} · {open} · seen to {depth(water.clarityMm)}
            {water.iceOffMonthDay ? ` · ice gone about ${monthDay(water.iceOffMonthDay)}` : ''}
          </Quiet>
        </h2>
      </Heading>
      <Dense aria-label={`Reaches of ${water.name}`}>
        <thead>
          <tr>
            <th>{reaches[0]?.reach.kind === 'reach' ? 'reach, low to high' : 'part'}</th>
            <th>{labels.aboveSea}</th>
            <th>{labels.usualDepth}</th>
            <th>{reaches[0]?.reach.kind === 'reach' ? 'surface speed' : 'thermocline'}</th>
            <th>water through the year, {units.temperature}</th>
            <th>{labels.moment}</th>
          </tr>
        </thead>
        <tbody>
          {reaches.map((reach) => (
            <ReachRow
              key={reach.id}
              line={reach}
              isChosen={reach.id === chosenReach}
              isOnly={reaches.length === 1}
            />
          ))}
        </tbody>
      </Dense>
      {adding ? (
        <NewReach line={line} onDone={() => setAdding(false)} />
      ) : (
        <Button look="quiet" onPress={() => setAdding(true)}>
          {isStillwater(water.kind) ? labels.addAPart : labels.addAReach}
        </Button>
      )}
      <RulesNote line={line} />
    </Section>
  )
}

const monthDay = (md: string) => `${Number(md.slice(3))} ${MONTHS[Number(md.slice(0, 2)) - 1]}`

/** Waters with their reaches: what the figures need of them, and the user's own note of the rules. */
export default function Waters() {
  const { data } = useWatersQuery()
  const [params, setParams] = useSearchParams()
  const moment = useMoment()
  const dispatch = useAppDispatch()
  const [adding, setAdding] = useState(params.has('new'))
  const all = data?.waters.flatMap(({ reaches }) => reaches) ?? []
  const toNext = () => {
    const at = all.findIndex(({ id }) => id === moment?.reachId)
    const reach = all[(at + 1) % Math.max(all.length, 1)]
    if (reach && moment) dispatch(chooseMoment({ reachId: reach.id, on: moment.on, localMin: moment.localMin }))
  }
  usePlaceActions([
    { key: 'n', what: labels.newWater, go: () => setAdding(true) },
    { key: 'r', what: labels.nextReach, go: toNext },
  ])
  useSection(data)
  if (!data) return <p aria-busy="true">{labels.walkingTheBanks}</p>
  const open = data.waters
    .flatMap(({ water, reaches }) => reaches.map((line) => ({ water, line })))
    .find(({ line }) => line.id === params.get('reach'))
  if (open) {
    return (
      <Suspense fallback={<p aria-busy="true">{labels.readingTheThermometer}</p>}>
        <ReachSheet key={open.line.id} line={open.line} water={open.water} onClose={() => setParams({})} />
      </Suspense>
    )
  }
  const wanted = params.get('water')
  const waters = wanted ? data.waters.filter(({ id }) => id === wanted) : data.waters
  return (
    <>
      <Heading>
        <h1>{labels.waters}</h1>
        <Button look="main" onPress={() => setAdding(true)}>
          {labels.newWater}
        </Button>
      </Heading>
      {adding ? <NewWater onDone={() => setAdding(false)} /> : null}
      {wanted && waters.length < data.waters.length ? (
        <Button look="quiet" onPress={() => setParams({})}>
          {labels.allWaters}
        </Button>
      ) : null}
      {waters.map((line) => (
        <WaterSection key={line.id} line={line} chosenReach={moment?.reachId ?? null} />
      ))}
      {data.waters.length === 0 && !adding ? <p>{labels.noWaterYetAdd}</p> : null}
    </>
  )
}
