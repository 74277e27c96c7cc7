import { useState } from 'react'
import type { BenchView } from '../../../contract/index.ts'
import { useWording } from '../../words/useWording.ts'
import { Checkbox } from '../../ui/fields.tsx'
import { Dense, Heading, Section } from '../../ui/layout.tsx'
import { labels } from '../../words/bench.ts'

type Lines = BenchView['eveningCutList']

/** What to count out, cut and pick before the first fly: for the batch on the vise, or for all that waits tonight. */
export function CutList({ data }: { readonly data: BenchView }) {
  const { stock } = useWording()
  const [evening, setEvening] = useState(false)
  const [laid, setLaid] = useState<ReadonlySet<string>>(new Set())
  const { onVise, queue, eveningCutList } = data
  const several = onVise !== null && queue.length > 0
  const whole = evening || onVise === null
  const lines: Lines = whole ? eveningCutList : (onVise?.cutList ?? [])
  if (lines.length === 0) return null
  const perFly = new Map(onVise?.cutList.map((line) => [line.materialId as string, line.perFly]))
  const tick = (id: string) => (on: boolean) =>
    setLaid((before) => new Set(on ? [...before, id] : [...before].filter((known) => known !== id)))
  return (
    <Section>
      <Heading>
        <h2>{labels.toLayOut}</h2>
        {several ? (
          <Checkbox isSelected={evening} onChange={setEvening}>
            for all {queue.length + 1} batches that wait
          </Checkbox>
        ) : null}
      </Heading>
      <Dense aria-label={whole ? 'To lay out for the evening' : 'To lay out for the batch'}>
        <thead>
          <tr>
            <th>{labels.material}</th>
            {whole ? null : <th className="number">{labels.aFly}</th>}
            <th className="number">{whole ? 'the evening' : `the batch of ${onVise?.batch.planned ?? 0}`}</th>
            <th className="number">{labels.onHand}</th>
          </tr>
        </thead>
        <tbody>
          {lines.map(({ materialId, name, forBatch, onHand, stockUnit }) => (
            <tr key={materialId}>
              <td>
                <Checkbox isSelected={laid.has(materialId)} onChange={tick(materialId)}>
                  {name}
                </Checkbox>
              </td>
              {whole ? null : <td className="number">{stock(perFly.get(materialId) ?? 0, stockUnit)}</td>}
              <td className="number">{stock(forBatch, stockUnit)}</td>
              <td
                className="number"
                style={{ color: onHand !== null && onHand < forBatch ? 'var(--madder)' : undefined }}
              >
                {onHand === null ? 'not counted' : stock(onHand, stockUnit)}
              </td>
            </tr>
          ))}
        </tbody>
      </Dense>
    </Section>
  )
}
