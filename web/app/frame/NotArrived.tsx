import { lazy, Suspense } from 'react'
import { Dialog, DialogTrigger, Popover } from 'react-aria-components'
import { wording } from '../../../core/index.ts'
import { Button } from '../../ui/Button.tsx'
import { setAside } from '../../wire/outbox/sender.ts'
import type { OutboxState } from '../../wire/state.ts'
import { labels } from '../../words/frame.ts'

/** It is fetched when first opened, and the server may be away just then. */
const RefusedList = lazy(() =>
  import('./RefusedList.tsx').catch(() => ({ default: () => <p>{labels.theServerDoesNot}</p> })),
)

/** What has not arrived: how many writes wait and why, and those that were refused meanwhile. */
export function NotArrived({ outbox }: { readonly outbox: OutboxState }) {
  const { waiting, refused, stuck, full, trouble } = outbox
  if (stuck)
    return (
      <>
        <span className="text trouble">{labels.serverBreaksOver}</span>
        <Button look="quiet" onPress={setAside}>
          {labels.setAside}
        </Button>
      </>
    )
  if (full) return <span className="text trouble">{labels.storageIsFull}</span>
  return (
    <>
      {waiting > 0 ? (
        <span className={trouble ? 'text trouble' : 'text'}>
          {trouble ? `${trouble} ` : ''}
          {wording.keptHereSentence(waiting)}
        </span>
      ) : null}
      {refused > 0 ? (
        <DialogTrigger>
          <Button look="quiet">
            <span className="trouble">{refused} refused</span>
          </Button>
          <Popover placement="top">
            <Dialog aria-label={labels.refusedMeanwhile}>
              <Suspense fallback={null}>
                <RefusedList />
              </Suspense>
            </Dialog>
          </Popover>
        </DialogTrigger>
      ) : null}
    </>
  )
}
