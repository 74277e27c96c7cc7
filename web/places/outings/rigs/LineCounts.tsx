import { useState } from 'react'
import { wording } from '../../../../core/index.ts'
import type { LineRate } from '../../../../core/index.ts'
import type { RigLine } from '../../../../contract/index.ts'
import { within } from '../../../../contract/limits.ts'
import { Button } from '../../../ui/Button.tsx'
import { Fault, Row } from '../../../ui/layout.tsx'
import { MeasureField } from '../../../ui/MeasureField.tsx'
import { NumberField } from '../../../ui/NumberField.tsx'
import { newId, useCommand } from '../../../wire/useCommand.ts'
import { labels } from '../../../words/rigs.ts'
import { useWording } from '../../../words/useWording.ts'

interface LineCountsProps {
  readonly rig: RigLine
  readonly rate: LineRate | null
  readonly waterTempC: number
}

/** Counts that were made with a rig, what they say of its line, and another one to keep. */
export function LineCounts({ rig, rate, waterTempC }: LineCountsProps) {
  const { units, temperature } = useWording()
  const command = useCommand()
  const [depthMm, setDepth] = useState<number | null>(null)
  const [countS, setCount] = useState<number | null>(null)
  const [fault, setFault] = useState<string | null>(null)
  const keep = async () => {
    if (depthMm === null || countS === null) return setFault(labels.sayDepthAndCount)
    const count = { rigId: rig.id, depthMm, countS, waterTempC }
    const delivery = await command('lineCountSave', { lineCountId: newId(), count }, { quietly: true })
    if (delivery.kind === 'refused') return setFault(delivery.problem.detail)
    setFault(null)
    setDepth(null)
    return setCount(null)
  }
  return (
    <section aria-label={labels.countsMade}>
      <h3>{labels.countsMade}</h3>
      {rig.counts.map((count, i) => (
        <p key={count.id}>
          {wording.fineDepth(count.depthMm, units)}: {labels.countedS} {Math.round(count.countS)}
          {rate?.reckonedS[i] ? `, ${labels.bySpool} ${Math.round(rate.reckonedS[i])}` : ''} (
          {temperature(count.waterTempC)}){' '}
          <Button
            look="quiet"
            aria-label={`${labels.putAway}: ${wording.fineDepth(count.depthMm, units)}, ${Math.round(count.countS)} s`}
            onPress={() =>
              void command('measurementArchive', { kind: 'lineCount', id: count.id, version: count.version })
            }
          >
            {labels.putAway}
          </Button>
        </p>
      ))}
      {rate && rig.counts.length > 0 ? (
        <p role="status">{wording.lineRateSentence(rate, rig.counts.length)}</p>
      ) : null}
      <Row $gap={10} $align="end">
        <MeasureField
          label={labels.touchedAt}
          unit={units.depth}
          value={depthMm}
          {...within('waterDepthMm')}
          mayBeEmpty
          onChange={setDepth}
          width="140px"
        />
        <NumberField
          label={labels.after}
          value={countS}
          {...within('countS')}
          mayBeEmpty
          onChange={setCount}
          width="100px"
        />
        <Button onPress={() => void keep()}>{labels.keepTheCount}</Button>
      </Row>
      {fault ? <Fault role="alert">{fault}</Fault> : null}
    </section>
  )
}
