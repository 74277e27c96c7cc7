import { useState } from 'react'
import type { AlongView } from '../../../../contract/index.ts'
import { goneNames, sizesOf, takenIn } from '../../../parts/waterside/takeIn.ts'
import { Button } from '../../../ui/Button.tsx'
import { Caution, Fault, Quiet, Row, Section } from '../../../ui/layout.tsx'
import { useCommand } from '../../../wire/useCommand.ts'
import { whose } from '../../../wire/whose.ts'
import { labels, LOG_REFUSED, logDamage, logSays } from '../../../words/waterside.ts'
import { carriedHome } from './carriedHome.ts'

/** A long day's log, and room above it. */
const LONGEST_TEXT = 1_000_000

/** A log that comes home from a phone, by file or by paste: shown first, then kept in one action. */
export function TakeInLog({ along, today }: { readonly along: AlongView; readonly today: string }) {
  const command = useCommand()
  const [text, setText] = useState('')
  const [fault, setFault] = useState<string | null>(null)
  const read = text.trim() === '' ? null : carriedHome(text, along, whose())
  const all = read?.kind === 'log' ? [...along.taps, ...read.fresh] : along.taps
  const made = takenIn(along, all, today)
  const take = async () => {
    if (read?.kind !== 'log') return
    const { spells, losses, samples, readings } = made
    const body = { outingId: along.outing.id, taps: [...read.fresh], spells, losses, samples, readings }
    const delivery = await command('outingTakeIn', body, { quietly: true })
    if (delivery.kind === 'refused') setFault(delivery.problem.detail)
    else {
      setText('')
      setFault(null)
    }
  }
  return (
    <Section aria-label={labels.aLogFromAPhone}>
      <h2>{labels.aLogFromAPhone}</h2>
      <Row $align="end">
        <label>
          <Quiet>{labels.itsFile}</Quiet>{' '}
          <input
            type="file"
            accept=".txt,text/plain"
            aria-label={labels.itsFile}
            onChange={(event) => void event.target.files?.[0]?.text().then(setText)}
          />
        </label>
        <label style={{ flex: 1, minWidth: 260 }}>
          <Quiet>{labels.orItsText}</Quiet>
          <textarea
            aria-label={labels.orItsText}
            value={text}
            rows={3}
            maxLength={LONGEST_TEXT}
            spellCheck={false}
            style={{ width: '100%', font: '0.875rem var(--figures)' }}
            onChange={(event) => setText(event.target.value)}
          />
        </label>
      </Row>
      {read?.kind === 'refused' ? <Fault>{LOG_REFUSED[read.why]}</Fault> : null}
      {read?.kind === 'log' ? (
        <>
          {logDamage(read).map((sentence) => (
            <Caution key={sentence}>{sentence}</Caution>
          ))}
          {made.gone.length > 0 ? (
            <Caution>
              {labels.noLongerThere} {goneNames(along, made.gone)}.
            </Caution>
          ) : null}
          <p>{logSays(read.fresh.length, read.known, sizesOf(made))}</p>
          {read.fresh.length > 0 ? (
            <Button look="main" large onPress={() => void take()}>
              {labels.takeIn}
            </Button>
          ) : null}
        </>
      ) : null}
      {fault ? <Fault>{fault}</Fault> : null}
    </Section>
  )
}
