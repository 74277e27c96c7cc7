import { useEffect } from 'react'
import { Button } from '../../ui/Button.tsx'
import { Dense, Quiet, Row, Section } from '../../ui/layout.tsx'
import { usePairingQuery } from '../../wire/answers.ts'
import { useEndPairingMutation, useOpenPairingMutation } from '../../wire/api.ts'
import { instantName, minuteOfDay } from '../../words/instants.ts'
import { codeSentence, labels } from '../../words/settings.ts'
import { clockTime } from '../../words/words.ts'

/** How often it is asked whether the phone came in, while a code is shown, ms. */
const LOOK_MS = 2000

/** Phones of the home network: a code that admits one, and showing one out. */
export function Phones({ zone }: { readonly zone: string }) {
  const { data: pairing, refetch } = usePairingQuery()
  const [open, { isLoading }] = useOpenPairingMutation()
  const [end] = useEndPairingMutation()
  const isShown = Boolean(pairing?.code)
  useEffect(() => {
    if (!isShown) return
    const timer = setInterval(() => void refetch(), LOOK_MS)
    return () => clearInterval(timer)
  }, [isShown, refetch])
  if (!pairing) return null
  const { servedAt, code, devices } = pairing
  return (
    <Section>
      <h2>{labels.phones}</h2>
      {servedAt === null ? (
        <p>{labels.notListening}</p>
      ) : (
        <>
          <Row>
            <Button onPress={() => void open({}).then(refetch)} isDisabled={isLoading}>
              {labels.pairAPhone}
            </Button>
            {servedAt.startsWith('https:') ? null : <Quiet>{labels.withoutTls}</Quiet>}
          </Row>
          {code ? (
            <div role="status" aria-label={labels.theCode}>
              <p style={{ font: '1.75rem var(--figures)', margin: '12px 0 4px' }}>
                {code.code.slice(0, 4)} {code.code.slice(4)}
              </p>
              <p>{codeSentence(servedAt, clockTime(minuteOfDay(code.untilMs, zone)), code.triesLeft)}</p>
            </div>
          ) : null}
        </>
      )}
      {devices.length > 0 ? (
        <Dense aria-label={labels.phones} style={{ maxWidth: 760 }}>
          <thead>
            <tr>
              <th>{labels.phone}</th>
              <th>{labels.addressOfIt}</th>
              <th>{labels.paired}</th>
              <th>{labels.lastSeen}</th>
              <th />
            </tr>
          </thead>
          <tbody>
            {devices.map(({ id, name, address, pairedAtMs, seenAtMs }) => (
              <tr key={id}>
                <td>{name}</td>
                <td>{address}</td>
                <td>{instantName(pairedAtMs, zone)}</td>
                <td>{instantName(seenAtMs, zone)}</td>
                <td>
                  <Button look="quiet" onPress={() => void end({ deviceId: id }).then(refetch)}>
                    {labels.showOut}
                  </Button>
                </td>
              </tr>
            ))}
          </tbody>
        </Dense>
      ) : null}
    </Section>
  )
}
