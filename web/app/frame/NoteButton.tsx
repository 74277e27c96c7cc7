import { lazy, Suspense, useState } from 'react'
import { DialogTrigger } from 'react-aria-components'
import type { FrameView } from '../../../contract/index.ts'
import { useMoment } from '../../moment/useMoment.ts'
import { Button } from '../../ui/Button.tsx'
import { labels } from '../../words/frame.ts'

const NotePanel = lazy(() => import('../../moment/note/NotePanel.tsx'))

/** Opens the note of what is seen at the reach of the moment; nothing where there is no water yet. */
export function NoteButton({ frame }: { readonly frame: FrameView }) {
  const moment = useMoment()
  const [open, setOpen] = useState(false)
  if (!moment) return null
  return (
    <DialogTrigger isOpen={open} onOpenChange={setOpen}>
      <Button id="note" aria-label={labels.noteWhatYouSee}>
        {labels.note}
      </Button>
      {open ? (
        <Suspense fallback={null}>
          <NotePanel frame={frame} moment={moment} onDone={() => setOpen(false)} />
        </Suspense>
      ) : null}
    </DialogTrigger>
  )
}
