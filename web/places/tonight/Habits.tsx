import { within } from '../../../contract/limits.ts'
import { useSettings } from '../../wire/useSettings.ts'
import { Checkbox } from '../../ui/fields.tsx'
import { Row } from '../../ui/layout.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { labels } from '../../words/ahead.ts'

const DAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun']

/** The time there is and how sure one wants to be: the only things that a plan asks for. */
export function Habits() {
  const { settings, change } = useSettings()
  if (!settings) return null
  const { minutes, weekdays } = settings.evenings
  return (
    <Row $align="end" role="group" aria-label={labels.timeAtTheBench}>
      <NumberField
        label={labels.minutesAnEvening}
        value={minutes}
        {...within('usualEvening')}
        width="130px"
        whole
        whenLeft
        onChange={(value) => (value === null ? undefined : change({ evenings: { minutes: value } }))}
      />
      {DAYS.map((day, i) => (
        <Checkbox
          key={day}
          isSelected={weekdays.includes(i + 1)}
          onChange={(on) => {
            const next = DAYS.flatMap((_, at) => ((at === i ? on : weekdays.includes(at + 1)) ? [at + 1] : []))
            if (next.length > 0) change({ evenings: { weekdays: next } })
          }}
        >
          {day}
        </Checkbox>
      ))}
      <NumberField
        label={labels.enoughInSoMany}
        value={Math.round(settings.serviceLevel * 100)}
        min={50}
        max={99}
        width="220px"
        whenLeft
        onChange={(value) => (value === null ? undefined : change({ serviceLevel: value / 100 }))}
      />
    </Row>
  )
}
