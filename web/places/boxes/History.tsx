import { useState } from 'react'
import { Link } from 'react-router'
import { takesAnHour, trustIn } from '../../../core/index.ts'
import type { HistoryLine } from '../../../contract/index.ts'
import { useFrameQuery, useHistoryQuery } from '../../wire/answers.ts'
import { monthOf } from '../../words/words.ts'
import { Select } from '../../ui/Select.tsx'
import { Dense, Heading, Quiet, Section } from '../../ui/layout.tsx'
import { labels } from '../../words/boxes.ts'

const MOST_LOST = 10
const SPANS = [
  { id: '6', name: 'half a year' },
  { id: '12', name: 'a year' },
  { id: '24', name: 'two years' },
]

/** The day some months before another, as text that compares. */
function monthsBefore(on: string, months: number): string {
  const [year = 0, month = 1] = on.split('-').map(Number)
  const at = year * 12 + month - 1 - months
  return `${Math.floor(at / 12)}-${String((at % 12) + 1).padStart(2, '0')}${on.slice(7)}`
}

const nameOf = ({ patternName, label }: Pick<HistoryLine, 'patternName' | 'label'>) => `${patternName} ${label}`
const FlyLink = ({ line }: { readonly line: Omit<HistoryLine, 'fished'> }) => (
  <Link to={`/patterns/${line.patternId}?variant=${line.variantId}`}>{nameOf(line)}</Link>
)

/** Flies on hand that were fished for long and took little: dead stock of another kind. */
function TookLittle({ variants }: { readonly variants: readonly HistoryLine[] }) {
  const poor = variants
    .flatMap(({ fished, ...line }) => {
      const rate = fished && takesAnHour(fished.takes, fished.minutes)
      return fished && rate && line.onHand > 0 && trustIn(rate) === 'poor' ? [{ line, fished, rate }] : []
    })
    .sort((a, b) => a.rate.high - b.rate.high)
  return (
    <Section aria-label={labels.tookLittle}>
      <h2>{labels.tookLittle}</h2>
      {poor.length === 0 ? (
        <p>{labels.nothingTookLittle}</p>
      ) : (
        <>
          <p>{labels.tookLittleWhy}</p>
          <Dense aria-label={labels.tookLittle} style={{ width: 'auto' }}>
            <thead>
              <tr>
                <th>{labels.fly}</th>
                <th className="number">{labels.onHand}</th>
                <th className="number">{labels.hours}</th>
                <th className="number">{labels.takesAnHour}</th>
              </tr>
            </thead>
            <tbody>
              {poor.map(({ line, fished, rate }) => (
                <tr key={line.variantId}>
                  <td>
                    <FlyLink line={line} />
                  </td>
                  <td className="number">{line.onHand}</td>
                  <td className="number">{(fished.minutes / 60).toFixed(1)}</td>
                  <td className="number">
                    {rate.value.toFixed(1)}{' '}
                    <Quiet>
                      {rate.low.toFixed(1)}–{rate.high.toFixed(1)}
                    </Quiet>
                  </td>
                </tr>
              ))}
            </tbody>
          </Dense>
        </>
      )}
    </Section>
  )
}

/** Flies that have lain in the boxes unfished, those that took little, and those that are lost most. */
export default function History() {
  const { data } = useHistoryQuery()
  const { data: frame } = useFrameQuery()
  const [months, setMonths] = useState('24')
  if (!data || !frame) return <p aria-busy="true">{labels.goingThroughTheLedger}</p>
  const before = monthsBefore(frame.today, Number(months))
  const dead = data.variants
    .filter(
      ({ onHand, lastFishedOn, sinceOn }) =>
        onHand > 0 && sinceOn < before && (lastFishedOn === null || lastFishedOn < before),
    )
    .sort((a, b) => b.onHand - a.onHand)
  const lost = data.variants
    .filter((line) => line.lost > 0)
    .sort((a, b) => b.lost - a.lost)
    .slice(0, MOST_LOST)
  const flies = dead.reduce((sum, { onHand }) => sum + onHand, 0)
  return (
    <>
      <Section aria-label={labels.notFishedSince}>
        <Heading>
          <h2>
            Not fished for {SPANS.find(({ id }) => id === months)?.name}{' '}
            <Quiet>
              · {dead.length} variants, {flies} flies
            </Quiet>
          </h2>
          <Select
            label={labels.howLong}
            hideLabel
            value={months}
            choices={SPANS}
            onChange={setMonths}
            width="130px"
          />
        </Heading>
        {dead.length === 0 ? (
          <p>{labels.everyFlyInYour}</p>
        ) : (
          <Dense aria-label={labels.fliesNotFishedSince} style={{ width: 'auto' }}>
            <thead>
              <tr>
                <th>{labels.fly}</th>
                <th className="number">{labels.onHand}</th>
                <th>{labels.lastFished}</th>
                <th>{labels.inTheBoxesSince}</th>
              </tr>
            </thead>
            <tbody>
              {dead.map((line) => (
                <tr key={line.variantId}>
                  <td>
                    <FlyLink line={line} />
                  </td>
                  <td className="number">{line.onHand}</td>
                  <td>{line.lastFishedOn === null ? 'never' : monthOf(line.lastFishedOn)}</td>
                  <td>{monthOf(line.sinceOn)}</td>
                </tr>
              ))}
            </tbody>
          </Dense>
        )}
      </Section>
      <TookLittle variants={data.variants} />
      <Section aria-label={labels.mostLost}>
        <h2>{labels.mostLost}</h2>
        {lost.length === 0 ? (
          <p>{labels.nothingIsWrittenDown}</p>
        ) : (
          <Dense aria-label={labels.fliesLostMost} style={{ width: 'auto' }}>
            <thead>
              <tr>
                <th>{labels.fly}</th>
                <th className="number">{labels.lost}</th>
                <th className="number">{labels.tied}</th>
                <th>{labels.mostlyTo}</th>
              </tr>
            </thead>
            <tbody>
              {lost.map((line) => (
                <tr key={line.variantId}>
                  <td>
                    <FlyLink line={line} />
                  </td>
                  <td className="number">{line.lost}</td>
                  <td className="number">{line.tied}</td>
                  <td>{line.mostlyTo ?? ''}</td>
                </tr>
              ))}
            </tbody>
          </Dense>
        )}
      </Section>
    </>
  )
}
