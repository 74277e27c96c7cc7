import { useState } from 'react'
import { useNavigate } from 'react-router'
import { within } from '../../../contract/limits.ts'
import type { BoxesView, CompartmentId, VariantLine } from '../../../contract/index.ts'
import { newId, useCommand } from '../../wire/useCommand.ts'
import { placeChoices } from '../../parts/placeChoices.ts'
import { Button } from '../../ui/Button.tsx'
import { Select } from '../../ui/Select.tsx'
import { Row } from '../../ui/layout.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { labels } from '../../words/patterns.ts'
import { FirstPlace } from './FirstPlace.tsx'

interface StartBatchProps {
  readonly patternName: string
  readonly variant: VariantLine | undefined
  readonly boxes: BoxesView | undefined
}

/** Puts a batch of the chosen variant on the vise, into its home or another compartment. */
export function StartBatch({ patternName, variant, boxes }: StartBatchProps) {
  const [count, setCount] = useState<number | null>(6)
  const [place, setPlace] = useState<string | null>(null)
  const command = useCommand()
  const navigate = useNavigate()
  const places = placeChoices(boxes?.boxes ?? [])
  const target = place ?? variant?.homeCompartmentId ?? places.at(-1)?.id ?? null
  if (!variant || !target || !boxes) return null
  if (variant.homeCompartmentId === null && variant.onHand === 0)
    return <FirstPlace key={variant.id} patternName={patternName} variant={variant} boxes={boxes} />
  const start = async (onVise: boolean) => {
    if (!count) return
    const delivery = await command('batchPlan', {
      batchId: newId(),
      variantId: variant.id,
      plannedCount: count,
      compartmentId: target as CompartmentId,
      onVise,
    })
    if (delivery.kind === 'done' && onVise) void navigate('/bench')
  }
  return (
    <Row style={{ paddingTop: 10 }} $align="end">
      <NumberField
        label={labels.tie}
        value={count}
        {...within('flies')}
        mayBeEmpty
        onChange={setCount}
        onUnclear={() => setCount(null)}
        width="64px"
      />
      <Select
        label={`of ${patternName} ${variant.label}, into`}
        value={target}
        choices={places}
        onChange={setPlace}
        width="240px"
      />
      <Button look="main" onPress={() => void start(true)} isDisabled={!count}>
        {labels.putOnTheVise}
      </Button>
      <Button onPress={() => void start(false)} isDisabled={!count}>
        {labels.queue}
      </Button>
    </Row>
  )
}
