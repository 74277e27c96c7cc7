import { useState } from 'react'
import { waterside } from '../../core/index.ts'
import type { Carried, WatersideTap } from '../../contract/index.ts'
import { saveFile } from '../files/saveFile.ts'
import { Button } from '../ui/Button.tsx'
import { Fault, Quiet, Row, Section } from '../ui/layout.tsx'
import { useSendHome } from './useSendHome.ts'
import { homeWords, labels, sendWords } from '../words/waterside.ts'

/** How many taps may be made before one is asked to send them, where the phone keeps nothing. */
const ASKED_EVERY = 10

interface SendLogProps {
  readonly carried: Carried
  readonly taps: readonly WatersideTap[]
  /** whether this phone keeps what is tapped */
  readonly keeps: boolean
}

/** The log on its way home: as a file, or as text to paste; a phone that keeps nothing asks for it again and again. */
export function SendLog({ carried, taps, keeps }: SendLogProps) {
  const [sent, setSent] = useState(0)
  const [shown, setShown] = useState(false)
  const { dataId, along } = carried
  const outingId = along.outing.id
  // written when it is asked for: a tap does not wait for all before it
  const text = () => waterside.writeLog({ dataId, outingId }, taps)
  const save = () => {
    saveFile(`log-${along.outing.on}.txt`, new Blob([text()], { type: 'text/plain' }))
    setSent(taps.length)
  }
  const onItsWay = useSendHome(carried.home, along.taps, taps)
  const isAtHome = carried.home !== null && onItsWay.waiting === 0
  const isUrgent = !keeps && !isAtHome && taps.length - sent >= ASKED_EVERY
  return (
    <Section aria-label={labels.theLog}>
      {keeps || isAtHome ? null : <Fault role={isUrgent ? 'alert' : undefined}>{labels.keepsNothing}</Fault>}
      {carried.home === null ? null : <p role="status">{homeWords(onItsWay.waiting, onItsWay.state)}</p>}
      <Row>
        <Button large look={isUrgent ? 'main' : 'plain'} onPress={save} isDisabled={taps.length === 0}>
          {labels.saveTheLog}
        </Button>
        <Button
          large
          onPress={() => {
            setShown(!shown)
            setSent(taps.length)
          }}
          isDisabled={taps.length === 0}
        >
          {labels.logAsText}
        </Button>
        {carried.home === null ? <Quiet>{sendWords(taps.length, sent)}</Quiet> : null}
      </Row>
      {shown ? (
        <textarea
          readOnly
          aria-label={labels.theLog}
          value={text()}
          rows={6}
          style={{ width: '100%', font: '0.875rem var(--figures)' }}
          onFocus={(event) => event.target.select()}
        />
      ) : null}
    </Section>
  )
}
