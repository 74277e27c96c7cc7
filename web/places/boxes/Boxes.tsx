import { lazy, Suspense, useMemo, useState } from 'react'
import { useSearchParams } from 'react-router'
import type { BoxLine } from '../../../contract/index.ts'
import { useBoxesQuery } from '../../wire/answers.ts'
import { usePlaceActions } from '../../ui/shortcuts.ts'
import { Button } from '../../ui/Button.tsx'
import { Heading, Quiet, Row } from '../../ui/layout.tsx'
import { OneOf } from '../../ui/OneOf.tsx'
import { BoxDrawn, DRAWN_SOON } from './BoxDrawn.tsx'
import type { Dropped } from './usePlaceDrop.ts'
import { CompartmentSheet } from './CompartmentSheet.tsx'
import { Lacking } from './Lacking.tsx'
import { HowTheyLook } from './HowTheyLook.tsx'
import { Short } from './Short.tsx'
import { useCensus } from './useCensus.ts'
import { useTrueSize } from '../../drawing/trueSize.ts'
import { useSketchesToCome } from '../../drawing/useSketch.ts'
import { useKept } from '../../ui/useKept.ts'
import { labels } from '../../words/boxes.ts'

const Coverage = lazy(() => import('./cover/Coverage.tsx'))
const History = lazy(() => import('./History.tsx'))
const NewBox = lazy(() => import('./NewBox.tsx'))
const PasteFlies = lazy(() => import('./PasteFlies.tsx'))
const BoxTableIn = lazy(() => import('./BoxTableIn.tsx'))

const VIEWS = [
  { id: 'boxes', name: 'Boxes and holes' },
  { id: 'cover', name: 'What they cover' },
  { id: 'history', name: 'Fished and lost' },
] as const
type View = (typeof VIEWS)[number]['id']
/** What is being put in, in a line in place. */
type Adding = 'box' | 'flies' | 'table' | null

/** What is put in stands above the boxes until it is done or left. */
function Adding({
  what,
  boxes,
  onDone,
}: {
  readonly what: Adding
  readonly boxes: readonly BoxLine[]
  readonly onDone: () => void
}) {
  if (what === null) return null
  return (
    <Suspense fallback={<p aria-busy="true">{labels.openingTheBoxes}</p>}>
      {what === 'box' ? <NewBox onDone={onDone} /> : null}
      {what === 'flies' ? <PasteFlies boxes={boxes} onDone={onDone} /> : null}
      {what === 'table' ? <BoxTableIn boxes={boxes} onDone={onDone} /> : null}
    </Suspense>
  )
}

const LOOKS = ['slits', 'names'] as const

/** What is drawn with the sheet and right after it. */
const drawingsOf = (boxes: readonly BoxLine[]) =>
  boxes
    .slice(0, DRAWN_SOON)
    .flatMap(({ compartments }) =>
      compartments.flatMap(({ flies }) => flies.map(({ figure }) => figure.drawingKey)),
    )

/** Boxes drawn as they are, what they lack, what they cover, and what became of their flies. */
export default function Boxes() {
  const { data } = useBoxesQuery()
  const [params, setParams] = useSearchParams()
  const [adding, setAdding] = useState<Adding>(
    params.get('new') === 'flies' ? 'flies' : params.has('new') ? 'box' : null,
  )
  const [chosen, setChosen] = useState<readonly Dropped[]>([])
  const [look, setLook] = useKept('boxes', LOOKS)
  const [zoom, setZoom] = useState(1)
  const truePx = useTrueSize()
  const view = VIEWS.find(({ id }) => id === params.get('view'))?.id ?? 'boxes'
  useSketchesToCome(useMemo(() => (view === 'boxes' ? drawingsOf(data?.boxes ?? []) : []), [data, view]))
  const census = useCensus(data?.boxes, view === 'boxes')
  usePlaceActions([
    { key: 'n', what: labels.newBox, go: () => setAdding('box') },
    { what: labels.putFliesIn, go: () => setAdding('flies') },
    ...census.actions,
  ])
  if (!data) return <p aria-busy="true">{labels.openingTheBoxes}</p>
  const openId = params.get('place')
  const open = data.boxes.flatMap(({ compartments }) => compartments).find(({ id }) => id === openId)
  if (open)
    return <CompartmentSheet key={open.id} place={open} boxes={data.boxes} onClose={() => setParams({})} />
  const wanted = params.get('box')
  const choose = (id: View) => setParams(id === 'boxes' ? {} : { view: id })
  const drawn = data.boxes.filter(({ id }) => !wanted || id === wanted)
  return (
    <>
      <Heading>
        <h1>{labels.boxes}</h1>
        <OneOf label={labels.whatToLookAt} choices={VIEWS} chosen={view} onChoose={choose} />
      </Heading>
      <Suspense fallback={<p aria-busy="true">{labels.holdingTheBoxesAgainst}</p>}>
        {view === 'cover' ? <Coverage /> : null}
        {view === 'history' ? <History /> : null}
      </Suspense>
      {view === 'boxes' ? (
        <>
          <Row $gap={6} style={{ paddingBottom: 6 }}>
            <Button onPress={() => setAdding('flies')}>{labels.putFliesIn}</Button>
            <Button onPress={() => setAdding('box')}>{labels.newBox}</Button>
            <Button look="quiet" onPress={() => setAdding('table')}>
              {labels.takeATableIn}
            </Button>
            <Button
              look="quiet"
              onPress={() => void import('./BoxTableIn.tsx').then(({ saveBoxes }) => saveBoxes(drawn))}
            >
              {labels.saveAsATable}
            </Button>
            <Button
              look="quiet"
              onPress={() => void import('./printPlan.ts').then(({ printPlan }) => printPlan(drawn))}
            >
              {labels.printThePlan}
            </Button>
            <Quiet>{labels.dragAFlyBy}</Quiet>
            <span style={{ flex: 1 }} />
            <HowTheyLook look={look} onLook={setLook} zoom={zoom} onZoom={setZoom} />
          </Row>
          <Adding what={adding} boxes={data.boxes} onDone={() => setAdding(null)} />
          <Lacking />
          <Short lines={data.restock} />
          {census.words ? (
            <Row>
              <span role="status">{census.words}</span>
              <Button look="quiet" onPress={census.letGo}>
                {labels.atAnyDepth}
              </Button>
            </Row>
          ) : null}
          {drawn.map((box, i) => (
            <BoxDrawn
              key={box.id}
              box={box}
              slitsPxPerMm={look === 'slits' ? truePx * zoom : null}
              order={i}
              isIn={census.isChosen ? census.isIn : null}
              chosen={chosen}
              onChoose={setChosen}
              onOpen={(place) => setParams({ place })}
            />
          ))}
        </>
      ) : null}
    </>
  )
}
