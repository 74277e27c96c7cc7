import { useState } from 'react'
import { Link, useParams, useSearchParams } from 'react-router'
import type { AlongView } from '../../../../contract/index.ts'
import { ListedFly } from '../../../drawing/ListedFly.tsx'
import { useTrueSize } from '../../../drawing/trueSize.ts'
import { MeansContext } from '../../../parts/waterside/means.ts'
import { OutingTitle } from '../../../parts/waterside/OutingTitle.tsx'
import { There } from '../../../parts/waterside/There.tsx'
import { Heading } from '../../../ui/layout.tsx'
import { OneOf } from '../../../ui/OneOf.tsx'
import { useAlongQuery, useAlongWarmthQuery, useFrameQuery } from '../../../wire/answers.ts'
import { labels } from '../../../words/waterside.ts'
import { minuteOfDay } from '../../../words/instants.ts'
import { useWording } from '../../../words/useWording.ts'
import { After } from './After.tsx'
import { Before } from './Before.tsx'
import { useTaps } from './useTaps.ts'

const FACES = ['before', 'there', 'after'] as const
type Face = (typeof FACES)[number]
const isFace = (text: string | null): text is Face => FACES.some((face) => face === text)

/** The face that fits the clock: there from an hour before it begins to an hour after it ends. */
function faceNow({ outing, timeZone }: AlongView, today: string): Face {
  if (outing.status === 'done' || today > outing.on) return 'after'
  if (today < outing.on) return 'before'
  const localMin = minuteOfDay(Date.now(), timeZone)
  if (localMin < outing.fromLocalMin - 60) return 'before'
  return localMin > outing.toLocalMin + 60 ? 'after' : 'there'
}

function Faces({ along, today }: { readonly along: AlongView; readonly today: string }) {
  const log = useTaps(along)
  const { units } = useWording()
  const pxPerMm = useTrueSize()
  const [params, setParams] = useSearchParams()
  const [byClock] = useState(() => faceNow(along, today))
  const asked = params.get('face')
  const face = isFace(asked) ? asked : byClock
  const { outing } = along
  const { data: warmth } = useAlongWarmthQuery(outing.id, { skip: face !== 'there' })
  return (
    <>
      <Heading>
        <OutingTitle outing={outing} />
        <OneOf
          label={labels.faces}
          choices={FACES.map((id) => ({ id, name: labels[id] }))}
          chosen={face}
          onChoose={(id) => setParams({ face: id })}
        />
        <Link to="/outings">{labels.backToOutings}</Link>
      </Heading>
      {face === 'before' ? <Before along={along} /> : null}
      {face === 'there' ? (
        <MeansContext value={{ units, pxPerMm, DrawnFly: ListedFly }}>
          <There along={along} warmth={warmth ?? null} log={log} today={today === outing.on} />
        </MeansContext>
      ) : null}
      {face === 'after' ? <After along={along} log={log} today={today} /> : null}
    </>
  )
}

/** An outing: before, there, after. */
export default function OutingSheet() {
  const { outingId = '' } = useParams()
  const { data, isError } = useAlongQuery(outingId)
  const { data: frame } = useFrameQuery()
  if (isError || data === null)
    return (
      <>
        <h1>{labels.noSuchOuting}</h1>
        <Link to="/outings">{labels.backToOutings}</Link>
      </>
    )
  if (!data || !frame) return <p aria-busy="true">{labels.turningThePages}</p>
  return <Faces key={data.outing.id} along={data} today={frame.today} />
}
