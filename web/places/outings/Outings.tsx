import { lazy, Suspense, useMemo, useState } from 'react'
import { Link, useNavigate, useSearchParams } from 'react-router'
import type { OutingLine } from '../../../contract/index.ts'
import { useFrameQuery, useOutingsQuery } from '../../wire/answers.ts'
import { EMPTY_CONTENT, useColumn } from '../../column/marks.ts'
import type { ColumnContent } from '../../column/marks.ts'
import { useNow } from '../../moment/useNow.ts'
import { usePlaceActions } from '../../ui/shortcuts.ts'
import { Button } from '../../ui/Button.tsx'
import { Heading, Row } from '../../ui/layout.tsx'
import { Changes } from './Changes.tsx'
import { EmptyPockets } from './EmptyPockets.tsx'
import { MostTrusted } from './Fished.tsx'
import { OutingRow } from './OutingRow.tsx'
import { Pack } from './Pack.tsx'
import { PlanOuting } from './PlanOuting.tsx'
import { takesByDepth } from './takesByDepth.ts'
import { labels } from '../../words/outings.ts'

const Rigs = lazy(() => import('./rigs/Rigs.tsx'))

/**
 * An outing that is pointed at hangs what fish took in the Column, where it was at the reach that is looked at: elsewhere
 * the flies fished at other depths.
 */
function useTakes(outing: OutingLine | null): void {
  const now = useNow()
  const content = useMemo((): ColumnContent => {
    const isHere = outing?.reachId && outing.reachId === now?.moment.reachId
    const flies = outing && now && isHere ? takesByDepth(outing, now) : []
    return flies.length > 0 ? { ...EMPTY_CONTENT, flies } : EMPTY_CONTENT
  }, [outing, now])
  useColumn(content)
}

/** Depths between which flies are wanted, as another place asks for them in the address; null where none does. */
function wantedIn(params: URLSearchParams) {
  const [fromMm, toMm] = [Number(params.get('from')), Number(params.get('to'))]
  return fromMm > 0 && toMm > fromMm ? { fromMm, toMm } : null
}

/** Outings, planned and done; the pockets are emptied here. */
export default function Outings() {
  const { data } = useOutingsQuery()
  const { data: frame } = useFrameQuery()
  const [params, setParams] = useSearchParams()
  const navigate = useNavigate()
  const [planning, setPlanning] = useState(params.has('new'))
  const [looked, setLooked] = useState<OutingLine | null>(null)
  useTakes(looked)
  const isRigs = params.has('rig')
  usePlaceActions(
    isRigs
      ? []
      : [
          { key: 'n', what: labels.planAnOuting, go: () => setPlanning(true) },
          { what: labels.rigs, go: () => setParams({ rig: '' }) },
          { what: labels.drills, go: () => void navigate('/outings/drills') },
        ],
  )
  const rig = params.get('rig')
  if (rig !== null)
    return (
      <Suspense fallback={<p aria-busy="true">{labels.turningThePages}</p>}>
        <Rigs
          open={rig}
          like={params.get('like')}
          fly={params.get('fly')}
          wanted={wantedIn(params)}
          onOpen={(id, like) => setParams(like ? { rig: id, ...like } : { rig: id })}
          onOutings={() => setParams({})}
        />
      </Suspense>
    )
  if (!data || !frame) return <p aria-busy="true">{labels.turningThePages}</p>
  const emptying = data.outings.find(({ id }) => id === params.get('empty'))
  const packing = data.outings.find(({ id }) => id === params.get('pack'))
  const backFrom = ({ id }: OutingLine, face: 'before' | 'after') =>
    params.get('from') === 'sheet' ? void navigate(`/outings/${id}?face=${face}`) : setParams({})
  if (packing) return <Pack key={packing.id} outing={packing} onDone={() => backFrom(packing, 'before')} />
  if (emptying)
    return <EmptyPockets key={emptying.id} outing={emptying} onDone={() => backFrom(emptying, 'after')} />
  const coming = data.outings
    .filter(({ on, status }) => status === 'planned' && on >= frame.today)
    .sort((a, b) => (a.on < b.on ? -1 : 1))
  const past = data.outings.filter((outing) => !coming.includes(outing))
  return (
    <>
      <Heading>
        <h1>{labels.outings}</h1>
        <Button look="main" large onPress={() => setPlanning(true)}>
          {labels.planAnOuting}
        </Button>
        <Row $gap={14}>
          <Button onPress={() => setParams({ rig: '' })}>{labels.rigs}</Button>
          <Link to="/outings/drills">{labels.drills}</Link>
        </Row>
      </Heading>
      {planning ? (
        <PlanOuting
          onDone={() => {
            setPlanning(false)
            setParams({})
          }}
        />
      ) : null}
      {coming.map((outing) => (
        <OutingRow
          key={outing.id}
          outing={outing}
          isPast={false}
          isDue={outing.on === frame.today}
          onEmpty={() => setParams({ empty: outing.id })}
          onPack={() => setParams({ pack: outing.id })}
        />
      ))}
      {past.map((outing) => (
        <OutingRow
          key={outing.id}
          outing={outing}
          isPast
          isDue
          onLook={setLooked}
          onEmpty={() => setParams({ empty: outing.id })}
          onPack={() => setParams({ pack: outing.id })}
        />
      ))}
      <MostTrusted outings={data.outings} />
      <Changes changes={data.changes} />
      {data.outings.length === 0 ? <p>{labels.noOutingYetPlan}</p> : null}
    </>
  )
}
