import { lazy, Suspense, useRef, useState } from 'react'
import styled from 'styled-components'
import type { FrameView } from '../../contract/index.ts'
import { useMoment } from '../moment/useMoment.ts'
import { clockTime, dayName, shortTemp } from '../words/words.ts'
import { labels } from '../words/frame.ts'

const MomentForm = lazy(() => import('./MomentForm.tsx'))

const Head = styled.div`
  padding: 8px;
  border-bottom: 1px solid var(--rule);
  font-size: 0.875rem;
  .now {
    width: 100%;
    text-align: left;
    padding: 4px 6px;
    font: inherit;
    line-height: 1.25;
    color: var(--ink);
    background: var(--panel);
    border: 1px solid var(--quiet);
    border-radius: 6px;
    cursor: pointer;
    position: static;
  }
`

/** The moment that every figure depends on, and the only place to set it. */
export function MomentHead({ frame }: { readonly frame: FrameView }) {
  const moment = useMoment()
  const [open, setOpen] = useState(false)
  const head = useRef<HTMLButtonElement>(null)
  if (!moment) {
    return (
      <Head className="head">
        <p>{labels.noWaterYetFoods}</p>
      </Head>
    )
  }
  const { reach, on, localMin, waterTempC, said } = moment
  return (
    <Head className="head">
      <button
        ref={head}
        id="moment"
        type="button"
        className="now"
        aria-expanded={open}
        onClick={() => setOpen(!open)}
      >
        <strong>{reach.reachName}</strong> · {dayName(on)} · {clockTime(localMin)} ·{' '}
        <span style={{ whiteSpace: 'nowrap' }}>{shortTemp(waterTempC, frame.settings.units)}</span>
        {said?.level ? ` · ${said.level}` : ''}
        {said?.clarity ? ` · ${said.clarity}` : ''}
        {said?.weather ? ` · ${said.weather}` : ''}
      </button>
      {open ? (
        <Suspense fallback={null}>
          <MomentForm frame={frame} moment={moment} head={head} onDone={() => setOpen(false)} />
        </Suspense>
      ) : null}
    </Head>
  )
}
