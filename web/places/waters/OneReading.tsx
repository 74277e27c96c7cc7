import { useState } from 'react'
import { epochDayOf, parseQuantity, wording } from '../../../core/index.ts'
import { useWording } from '../../words/useWording.ts'
import { Button } from '../../ui/Button.tsx'
import { TextField } from '../../ui/fields.tsx'
import { Form } from '../../ui/Form.tsx'
import { Row } from '../../ui/layout.tsx'
import type { Rows } from './gauge.ts'
import { labels } from '../../words/waters.ts'

const NOON_MIN = 720

/** A temperature read by hand on a day. */
export function OneReading({
  today,
  onTake,
}: {
  readonly today: string
  readonly onTake: (rows: Rows) => Promise<boolean>
}) {
  const { units } = useWording()
  const [on, setOn] = useState(today)
  const [text, setText] = useState('')
  const temp = parseQuantity(text, 'temperature', units.temperature, { min: -0.6, max: 32 })
  const onFault =
    /^\d{4}-\d{2}-\d{2}$/.test(on) && !Number.isNaN(Date.parse(on)) ? undefined : 'Write 2026-06-03.'
  const ready = temp.kind === 'quantity' && !onFault
  const take = async () => {
    if (temp.kind !== 'quantity') return
    const row: Rows[number] = [epochDayOf(on), NOON_MIN, Math.round(Math.max(temp.value, 0) * 100), null, null]
    if (await onTake([row])) setText('')
  }
  return (
    <Form
      label={labels.oneReading}
      onSubmit={() => {
        if (ready) void take()
      }}
    >
      <Row $align="start">
        <TextField label={labels.on} value={on} onChange={setOn} width="130px" fault={onFault} />
        <TextField
          label={`Water, ${units.temperature}`}
          value={text}
          onChange={setText}
          width="120px"
          fault={
            text !== '' && temp.kind === 'unclear'
              ? wording.unclearSentence(temp.code, temp.suggestions)
              : undefined
          }
        />
        <div style={{ paddingTop: 20 }}>
          <Button type="submit" isDisabled={!ready}>
            {labels.keepTheReading}
          </Button>
        </div>
      </Row>
    </Form>
  )
}
