import { useState } from 'react'
import { isTimeZone } from '../../../contract/timeZone.ts'
import { TextField } from '../../ui/fields.tsx'
import { labels } from '../../words/settings.ts'

interface ZoneFieldProps {
  readonly zone: string
  /** the zone that was chosen where this machine does not know it */
  readonly unknown: string | null
  readonly onChange: (zone: string) => void
}

/** The zone in which days begin and times are told. */
export function ZoneField({ zone, unknown, onChange }: ZoneFieldProps) {
  const [text, setText] = useState(unknown ?? zone)
  const known = isTimeZone(text.trim())
  return (
    <TextField
      label={labels.timeZone}
      value={text}
      onChange={setText}
      onBlur={() => (known && text.trim() !== zone ? onChange(text.trim()) : undefined)}
      width="210px"
      maxLength={60}
      fault={known ? undefined : labels.timeZoneFault}
    />
  )
}
