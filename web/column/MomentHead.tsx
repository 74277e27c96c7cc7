import { useState } from 'react'
import styled from 'styled-components'
import type { FrameView } from '../../contract/index.ts'
import { chooseMoment } from '../wire/state.ts'
import { useAppDispatch, useAppSelector } from '../wire/store.ts'
import { useMoment } from '../moment/useMoment.ts'
import { clockTime, dayName, parseClock, shortTemp } from '../words/words.ts'
import { Button } from '../ui/Button.tsx'
import { Select, TextField } from '../ui/fields.tsx'
import { labels } from '../words/frame.ts'

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
  .form {
    display: grid;
    gap: 6px;
    margin-top: 8px;
  }
`

/** The moment that every figure depends on, and the only place to set it. */
export function MomentHead({ frame }: { readonly frame: FrameView }) {
  const moment = useMoment()
  const chosen = useAppSelector((state) => state.view.moment)
  const dispatch = useAppDispatch()
  const [open, setOpen] = useState(false)
  const [hour, setHour] = useState('')
  if (!moment) {
    return (
      <Head className="head">
        <p>{labels.noWaterYetFoods}</p>
      </Head>
    )
  }
  const choose = (change: Partial<{ reachId: string; on: string; localMin: number }>) =>
    dispatch(chooseMoment({ reachId: moment.reachId, on: moment.on, localMin: moment.localMin, ...change }))
  const parsed = hour === '' ? moment.localMin : parseClock(hour)
  return (
    <Head className="head">
      <button
        id="moment"
        type="button"
        className="now"
        aria-expanded={open}
        onClick={() => {
          setHour(clockTime(moment.localMin))
          setOpen(!open)
        }}
      >
        <strong>{moment.reach.reachName}</strong> · {dayName(moment.on)} · {clockTime(moment.localMin)} ·{' '}
        {shortTemp(moment.waterTempC, frame.settings.units)}
      </button>
      {open ? (
        <div className="form">
          <Select
            label={labels.reach}
            value={moment.reachId}
            choices={frame.reaches.map(({ reachId, waterName, reachName }) => ({
              id: reachId,
              name: waterName === reachName ? reachName : `${waterName}, ${reachName}`,
            }))}
            onChange={(reachId) => choose({ reachId })}
          />
          <TextField
            label={labels.day}
            type="date"
            value={moment.on}
            onChange={(on) => (on.length === 10 ? choose({ on }) : undefined)}
          />
          <TextField
            label={labels.hour}
            value={hour}
            onChange={(text) => {
              setHour(text)
              const localMin = parseClock(text)
              if (localMin !== null) choose({ localMin })
            }}
            fault={parsed === null ? 'Write it as 13:00.' : undefined}
          />
          <p style={{ color: 'var(--quiet)' }}>{labels.waterByThisReachs}</p>
          <div style={{ display: 'flex', gap: 6 }}>
            <Button onPress={() => setOpen(false)}>{labels.done}</Button>
            {chosen ? (
              <Button look="quiet" onPress={() => dispatch(chooseMoment(null))}>
                {labels.nextOuting}
              </Button>
            ) : null}
          </div>
        </div>
      ) : null}
    </Head>
  )
}
