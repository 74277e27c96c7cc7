import { lazy, memo, Suspense, useState } from 'react'
import type { ReactNode } from 'react'
import { Dialog, DialogTrigger, Popover } from 'react-aria-components'
import { Link } from 'react-router'
import styled from 'styled-components'
import type { FrameView } from '../../../contract/index.ts'
import { wording } from '../../../core/index.ts'
import { Button } from '../../ui/Button.tsx'
import { droppedHole, isHole, useQueueHole } from '../../column/queueHole.ts'
import { stopLongWrite } from '../../wire/longWrites.ts'
import { api } from '../../wire/api.ts'
import { useDoneCount } from '../../wire/counted.ts'
import { setTrouble } from '../../wire/state.ts'
import { useAppDispatch, useAppSelector } from '../../wire/store.ts'
import { useUndo } from '../../wire/useUndoLast.ts'
import { labels } from '../../words/frame.ts'
import { NoteButton } from './NoteButton.tsx'
import { NotArrived } from './NotArrived.tsx'

/** It is fetched when first opened, and the server may be away just then. */
const ActionList = lazy(() =>
  import('./ActionList.tsx').catch(() => ({ default: () => <p>{labels.theServerDoesNot}</p> })),
)

const Foot = styled.footer`
  grid-area: tray;
  display: grid;
  grid-template-columns: 1fr 1fr 1fr;
  gap: 16px;
  align-items: center;
  min-height: 44px;
  padding: 4px 14px;
  border-top: 1px solid var(--quiet);
  background: var(--panel);
  font-size: 0.9375rem;
  .spot {
    display: flex;
    align-items: center;
    gap: 8px;
    min-width: 0;
  }
  .spot[data-over='true'] {
    outline: 2px dashed var(--thistle);
    align-self: stretch;
  }
  .text {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  .trouble {
    color: var(--madder);
    white-space: normal;
    line-height: 1.2;
  }
  .last {
    justify-content: flex-end;
  }
  progress {
    width: 90px;
    accent-color: var(--thistle);
  }
  @media (max-width: 700px) {
    grid-template-columns: minmax(0, 1fr) auto;
    .middle {
      grid-column: 1 / -1;
      order: -1;
    }
    .last .text {
      max-width: 34vw !important;
    }
    .middle:not(:has(.trouble, progress)) {
      display: none;
    }
  }
`

const List = styled(Popover)`
  width: 380px;
  max-height: 60vh;
  overflow: auto;
  padding: 12px;
  font: 0.9375rem/1.3 var(--text);
  color: var(--ink);
  background: var(--panel);
  border: 1px solid var(--quiet);
  border-radius: 6px;
  li {
    display: flex;
    justify-content: space-between;
    align-items: center;
    gap: 8px;
    padding: 4px 0;
    border-bottom: 1px solid var(--rule);
  }
  .undone {
    text-decoration: line-through;
    color: var(--quiet);
  }
`

/** What is on the vise; a hole of the Column that is dropped here is queued. */
function Vise({ children }: { readonly children: ReactNode }) {
  const queue = useQueueHole()
  const [over, setOver] = useState(false)
  return (
    <div
      className="spot"
      data-vise="true"
      data-over={over}
      onDragOver={(event) => {
        if (!isHole(event)) return
        event.preventDefault()
        setOver(true)
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(event) => {
        if (!isHole(event)) return
        event.preventDefault()
        setOver(false)
        void queue(droppedHole(event))
      }}
    >
      {over ? <span className="text">{labels.dropToQueue}</span> : children}
    </div>
  )
}

const whetherAsked = ({ isFetching }: { readonly isFetching: boolean }) => ({ isFetching })

/** The tray at the foot: what is on the vise, what is being worked out, the last reversible action. */
export const Tray = memo(function Tray({ frame }: { readonly frame: FrameView }) {
  const work = useAppSelector(({ view }) => view.work)
  const trouble = useAppSelector(({ view }) => view.trouble)
  const undoFirst = useAppSelector(({ view }) => view.undoFirst)
  const outbox = useAppSelector(({ view }) => view.outbox)
  const underWay = useAppSelector(({ view }) => view.underWay)
  const dispatch = useAppDispatch()
  const takeBack = useUndo()
  const { onVise, lastAction } = frame
  const done = useDoneCount(onVise)
  const [undoing, setUndoing] = useState<string | null>(null)
  // until a write is answered and the frame has come anew Undo would take back another action than the last
  const { isFetching } = api.useFrameQuery(undefined, { selectFromResult: whetherAsked })
  const isStale = underWay > 0 || (isFetching && frame.roll.figuresToCome === 0)
  const undo = async (actionId: string) => {
    setUndoing(actionId)
    const delivery = await takeBack(actionId)
    if (delivery.kind !== 'done') setUndoing(null)
  }
  return (
    <Foot aria-label={labels.tray}>
      <Vise>
        {onVise ? (
          <Link to="/bench" className="text">
            On the vise: {onVise.patternName} {onVise.label}, {done} of {onVise.planned}
          </Link>
        ) : (
          <span className="text" style={{ color: 'var(--quiet)' }}>
            {labels.nothingOnTheVise}
          </span>
        )}
      </Vise>
      <div className="spot middle" role="status">
        {trouble ? (
          <>
            <span className="text trouble">{trouble}</span>
            {undoFirst ? (
              <Button look="quiet" onPress={() => void takeBack(undoFirst)}>
                {labels.undoThat}
              </Button>
            ) : null}
            <Button
              look="quiet"
              onPress={() => dispatch(setTrouble(null))}
              aria-label={labels.putTheMessageAway}
            >
              ×
            </Button>
          </>
        ) : work ? (
          <>
            <span className="text">{work.label}</span>
            <progress value={work.done} max={1} aria-label={work.label} />
            {work.stopId ? (
              <Button look="quiet" onPress={() => void stopLongWrite(work.stopId ?? '')}>
                {labels.stop}
              </Button>
            ) : null}
          </>
        ) : outbox.full || outbox.waiting > 0 || outbox.refused > 0 ? (
          <NotArrived outbox={outbox} />
        ) : frame.roll.figuresToCome > 0 ? (
          <span className="text">{wording.figuresToComeSentence(frame.roll.figuresToCome)}</span>
        ) : frame.clockStands ? (
          <span className="text" style={{ color: 'var(--quiet)' }}>
            {frame.isDemo ? 'Demo' : 'The'} clock stands at{' '}
            {new Date(frame.nowMs).toLocaleString('en-GB', {
              timeZone: frame.settings.timeZone,
              weekday: 'short',
              day: 'numeric',
              month: 'short',
              hour: '2-digit',
              minute: '2-digit',
            })}
          </span>
        ) : null}
      </div>
      <div className="spot last">
        <NoteButton frame={frame} />
        {lastAction ? (
          <>
            <DialogTrigger>
              <Button look="quiet" aria-label={labels.tonightsActions}>
                <span className="text" style={{ maxWidth: 260 }}>
                  {lastAction.label}
                </span>
              </Button>
              <List placement="top end">
                <Dialog aria-label={labels.tonightsActions}>
                  <Suspense fallback={null}>
                    <ActionList />
                  </Suspense>
                </Dialog>
              </List>
            </DialogTrigger>
            <Button
              onPress={() => void undo(lastAction.actionId)}
              isDisabled={isStale || undoing === lastAction.actionId}
            >
              {labels.undo}
            </Button>
          </>
        ) : (
          <span style={{ color: 'var(--quiet)' }}>{labels.nothingToUndo}</span>
        )}
      </div>
    </Foot>
  )
})
