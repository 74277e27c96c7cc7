import { within } from '../../../contract/limits.ts'
import { useState } from 'react'
import { useCommand } from '../../wire/useCommand.ts'
import { dayName } from '../../words/words.ts'
import { Button } from '../../ui/Button.tsx'
import { TextField } from '../../ui/fields.tsx'
import { Dense, Quiet, Row } from '../../ui/layout.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import type { AheadPeriod } from './ahead.ts'
import { labels } from '../../words/ahead.ts'

interface EveningsProps {
  readonly period: AheadPeriod
  /** evenings that are not as usual on their day of the week, by day */
  readonly differing: ReadonlyMap<string, number>
  /** first and last day that an evening may be added on */
  readonly from: string
  readonly until: string
}

/** The evenings before an outing: what is tied on each, how long it is, and those that are not as usual. */
export function Evenings({ period, differing, from, until }: EveningsProps) {
  const command = useCommand()
  const set = (on: string, minutes: number | null) => void command('eveningSet', { on, minutes })
  const [other, setOther] = useState('')
  const [all, setAll] = useState(false)
  const free = [...differing].flatMap(([on, minutes]) =>
    minutes === 0 && on >= from && on < until ? [{ on, minutes: 0 }] : [],
  )
  const evenings = [...period.evenings, ...free].sort((a, b) => a.on.localeCompare(b.on))
  const tiedOn = new Set(period.shares.map(({ on }) => on))
  const shown = all ? evenings : evenings.filter(({ on }) => tiedOn.has(on) || differing.has(on))
  const canAdd = other >= from && other < until
  return (
    <>
      {shown.length > 0 ? (
        <Dense aria-label={`Evenings before ${dayName(until)}`} style={{ width: 'auto' }}>
          <thead>
            <tr>
              <th>{labels.evening}</th>
              <th>{labels.minutes}</th>
              <th>{labels.tie}</th>
            </tr>
          </thead>
          <tbody>
            {shown.map(({ on, minutes }) => (
              <tr key={on}>
                <td>{dayName(on)}</td>
                <td>
                  <Row $gap={4}>
                    <NumberField
                      label={`Minutes on ${dayName(on)}`}
                      hideLabel
                      value={minutes}
                      {...within('eveningMinutes')}
                      width="72px"
                      whenLeft
                      onChange={(value) =>
                        value !== null && Number.isInteger(value) && value !== minutes
                          ? set(on, value)
                          : undefined
                      }
                    />
                    {differing.has(on) ? (
                      <Button look="quiet" onPress={() => set(on, null)} aria-label={`${dayName(on)} as usual`}>
                        {labels.asUsual}
                      </Button>
                    ) : null}
                  </Row>
                </td>
                <td>
                  {period.shares
                    .filter((share) => share.on === on)
                    .map(({ count, batch }) => `${count} ${batch.variant.name}`)
                    .join(', ') || <Quiet>{minutes === 0 ? 'free' : 'nothing'}</Quiet>}
                </td>
              </tr>
            ))}
          </tbody>
        </Dense>
      ) : null}
      <Row $align="end">
        {shown.length < evenings.length || all ? (
          <Button look="quiet" onPress={() => setAll(!all)} aria-expanded={all}>
            {all ? 'only those with something to tie' : `all ${evenings.length} evenings`}
          </Button>
        ) : null}
        <TextField label={labels.anotherEvening} type="date" value={other} onChange={setOther} width="160px" />
        <Button
          isDisabled={!canAdd}
          onPress={() => {
            set(other, USUAL_MINUTES)
            setOther('')
          }}
        >
          {labels.addIt}
        </Button>
      </Row>
    </>
  )
}

/** An evening that is added is about as long as an evening is, until it is said otherwise. */
const USUAL_MINUTES = 60
