import type { BenchView } from '../../../contract/index.ts'
import { refusalOf } from '../../wire/refusal.ts'
import { useCommand } from '../../wire/useCommand.ts'
import { dayName } from '../../words/words.ts'
import { NoteField } from '../../ui/fields.tsx'
import { Quiet } from '../../ui/layout.tsx'
import { useTyped } from '../../ui/useTyped.ts'
import { labels } from '../../words/bench.ts'

/** What was done differently in earlier batches of the pattern, and a place to say what is in this one. */
export function BatchNotes({ vise }: { readonly vise: NonNullable<BenchView['onVise']> }) {
  const command = useCommand()
  const note = useTyped(vise.batchNote, (text) =>
    command('batchNote', { batchId: vise.batch.batchId, note: text }, { quietly: true }).then(refusalOf),
  )
  return (
    <>
      {vise.earlierNotes.map(({ atMs, label, note }) => (
        <p key={atMs}>
          <Quiet>
            {dayName(new Date(atMs).toISOString().slice(0, 10))}, {label}:
          </Quiet>{' '}
          {note}
        </p>
      ))}
      <NoteField label={labels.doneDifferentlyThisTime} {...note} width="520px" />
    </>
  )
}
