import { useState } from 'react'
import { epochDayOf, parseQuantity, wording } from '../../../core/index.ts'
import { useWording } from '../../words/useWording.ts'
import { Button } from '../../ui/Button.tsx'
import { TextField } from '../../ui/fields.tsx'
import { Form } from '../../ui/Form.tsx'
import { Row } from '../../ui/layout.tsx'
import type { Rows } from './gauge.ts'
import { clockTime, parseClock } from '../../words/words.ts'
import { labels } from '../../words/waters.ts'

/** A temperature read by hand at an hour of a day. */
export function OneReading({
  today,
  nowMin,
  onTake,
}: {
  readonly today: string
  /** minute of the day that it is now */
  readonly nowMin: number
  readonly onTake: (rows: Rows) => Promise<boolean>
}) {
  const { units } = useWording()
  const [on, setOn] = useState(today)
  const [hour, setHour] = useState(clockTime(nowMin))
  const [text, setText] = useState('')
  const temp = parseQuantity(text, 'temperature', units.temperature, { min: -0.6, max: 32 })
  const onFault =
    /^\d{4}-\d{2}-\d{2}$/.test(on) && !Number.isNaN(Date.parse(on)) ? undefined : 'Write 2026-06-03.'
  const minute = parseClock(hour)
  const ready = temp.kind === 'quantity' && !onFault && minute !== null
  const take = async () => {
    if (temp.kind !== 'quantity' || minute === null) return
    const row: Rows[number] = [epochDayOf(on), minute, Math.round(Math.max(temp.value, 0) * 100), null, null]
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
          label={labels.atHour}
          value={hour}
          onChange={setHour}
          width="80px"
          fault={minute === null ? 'Write it as 13:00.' : undefined}
        />
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
