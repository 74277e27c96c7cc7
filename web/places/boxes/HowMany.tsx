import { useState } from 'react'
import { Button } from '../../ui/Button.tsx'
import { Form } from '../../ui/Form.tsx'
import { Row } from '../../ui/layout.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import type { Dropped } from './usePlaceDrop.ts'
import { labels } from '../../words/boxes.ts'

/** How many of the flies that were dropped are moved: all of them unless told otherwise. */
export function HowMany({
  dropped,
  onMove,
  onLeave,
}: {
  readonly dropped: Dropped
  readonly onMove: (count: number) => void
  readonly onLeave: () => void
}) {
  const [count, setCount] = useState<number | null>(dropped.count)
  return (
    <Form
      label={`Move ${dropped.name}`}
      onSubmit={() => {
        if (count) onMove(count)
      }}
      onKeyDown={({ key }) => (key === 'Escape' ? onLeave() : undefined)}
    >
      <Row $align="end" $gap={6}>
        <NumberField
          label={`How many of ${dropped.count}`}
          value={count}
          min={1}
          max={dropped.count}
          onChange={setCount}
          autoFocus
        />
        <Button type="submit" look="main" isDisabled={!count}>
          {labels.move}
        </Button>
        <Button look="quiet" onPress={onLeave}>
          {labels.leaveThem}
        </Button>
      </Row>
    </Form>
  )
}
