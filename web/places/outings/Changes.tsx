import { takesAnHour } from '../../../core/index.ts'
import type { OutingsView } from '../../../contract/index.ts'
import { Dense, Quiet, Section } from '../../ui/layout.tsx'
import { labels } from '../../words/outings.ts'
import { STEP } from '../../words/waterside.ts'

type Change = OutingsView['changes'][number]

/** Takes an hour, with the interval that 8 in 10 of such hours lie in. */
function Rate({ takes, minutes }: Change['before']) {
  const { value, low, high } = takesAnHour(takes, minutes)
  return (
    <>
      {value.toFixed(1)} <Quiet>{`likely ${low.toFixed(1)}–${high.toFixed(1)}`}</Quiet>
    </>
  )
}

/** What came before and after each kind of change at the water: it says no more than that. */
export function Changes({ changes }: Pick<OutingsView, 'changes'>) {
  if (changes.length === 0) return null
  return (
    <Section aria-label={labels.whatAChangeWasWorth}>
      <h2>{labels.whatAChangeWasWorth}</h2>
      <Dense aria-label={labels.whatAChangeWasWorth} style={{ width: 'auto' }}>
        <thead>
          <tr>
            <th>{labels.change}</th>
            <th className="number">{labels.times}</th>
            <th className="number">{labels.before}</th>
            <th className="number">{labels.after}</th>
          </tr>
        </thead>
        <tbody>
          {changes.map(({ step, times, before, after }) => (
            <tr key={step}>
              <td>{STEP[step]}</td>
              <td className="number">{times}</td>
              <td className="number">
                <Rate {...before} />
              </td>
              <td className="number">
                <Rate {...after} />
              </td>
            </tr>
          ))}
        </tbody>
      </Dense>
      <Quiet>{labels.changeSaysNoMore}</Quiet>
    </Section>
  )
}
