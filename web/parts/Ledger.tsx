import { useState } from 'react'
import { wording } from '../../core/index.ts'
import { useLedgerQuery } from '../wire/answers.ts'
import type { RouteQuery } from '../../contract/index.ts'
import type { Loose } from '../wire/api.ts'
import { clockTime, dayName } from '../words/words.ts'
import { Button } from '../ui/Button.tsx'
import { Dense, Quiet, Section } from '../ui/layout.tsx'
import { labels } from '../words/parts.ts'

interface LedgerProps {
  /** the compartment or the drawer whose ledger it is */
  readonly of: Loose<RouteQuery<'ledger'>>
  /** an amount in words: flies, or a drawer's unit */
  readonly words: (amount: number) => string
}

function Lines({ of, words }: LedgerProps) {
  const { data } = useLedgerQuery(of)
  if (!data) return <p aria-busy="true">{labels.readingTheLedger}</p>
  if (data.lines.length === 0) return <p>{labels.nothingCameOrWent}</p>
  const named = data.lines.some(({ name }) => name !== '')
  return (
    <>
      <Dense aria-label={labels.whatCameAndWent} style={{ width: 'auto' }}>
        <thead>
          <tr>
            <th>{labels.when}</th>
            {named ? <th>{labels.fly}</th> : null}
            <th>{labels.why}</th>
            <th className="number">{labels.cameOrWent}</th>
            <th className="number">{labels.thenThere}</th>
          </tr>
        </thead>
        <tbody>
          {data.lines.map((line) => (
            <tr key={line.id}>
              <td>
                {dayName(line.on)} <Quiet>{clockTime(line.localMin)}</Quiet>
              </td>
              {named ? <td>{line.name}</td> : null}
              <td>{wording.entryWords(line)}</td>
              <td className="number">
                {line.delta > 0 ? '+' : line.delta < 0 ? '−' : ''}
                {words(Math.abs(line.delta))}
              </td>
              <td className="number">{words(line.after)}</td>
            </tr>
          ))}
        </tbody>
      </Dense>
      {data.all > data.lines.length ? (
        <Quiet>
          The latest {data.lines.length} of {data.all}.
        </Quiet>
      ) : null}
    </>
  )
}

/** The ledger of a compartment or a drawer, when it is asked for. */
export function Ledger(props: LedgerProps) {
  const [open, setOpen] = useState(false)
  return (
    <Section>
      <Button look="quiet" aria-expanded={open} onPress={() => setOpen(!open)}>
        {labels.whatCameAndWent}
      </Button>
      {open ? <Lines {...props} /> : null}
    </Section>
  )
}
