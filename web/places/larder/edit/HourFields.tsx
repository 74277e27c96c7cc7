import { Button } from '../../../ui/Button.tsx'
import { Checkbox } from '../../../ui/fields.tsx'
import { Select } from '../../../ui/Select.tsx'
import { Quiet, Row } from '../../../ui/layout.tsx'
import { NumberField } from '../../../ui/NumberField.tsx'
import type { ChangeStage, StageDraft } from './draft.ts'
import { labels } from '../../../words/larder.ts'

type Hours = StageDraft['hours'][number]

const ANCHORS: readonly { readonly id: Hours['anchor']; readonly name: string }[] = [
  { id: 'sunrise', name: 'sunrise' },
  { id: 'solarNoon', name: 'noon of the sun' },
  { id: 'sunset', name: 'sunset' },
]
const WEATHERS: readonly Hours['weather'][] = ['any', 'bright', 'dull', 'windy', 'calm', 'rain']
const SEASONS: readonly Hours['seasons'][number][] = ['winter', 'spring', 'summer', 'autumn']
const USUAL: Hours = { anchor: 'solarNoon', fromMin: -120, toMin: 180, weight: 1, seasons: [...SEASONS], weather: 'any' } // prettier-ignore

/** Hours of the day at which a stage is about, from the sun, by season and weather; none of them: all day. */
export function HourFields({ draft, onChange }: { readonly draft: StageDraft; readonly onChange: ChangeStage }) {
  const set = (at: number, change: Partial<Hours>) =>
    onChange({ hours: draft.hours.map((old, i) => (i === at ? { ...old, ...change } : old)) })
  return (
    <>
      {draft.hours.length === 0 ? <p>{labels.aboutAtAllHours}</p> : null}
      {draft.hours.map((hours, i) => (
        <Row key={i} $align="end" role="group" aria-label={`Hours ${i + 1}`}>
          <Select label={labels.around} value={hours.anchor} choices={ANCHORS} onChange={(id) => set(i, { anchor: id as Hours['anchor'] })} width="150px" />
          <NumberField name={`stage.hours.${i}.fromMin`} label={labels.fromHours} value={Math.round(hours.fromMin / 6) / 10} min={-24} max={24} onChange={(value) => set(i, { fromMin: Math.round((value ?? 0) * 60) })} width="100px" />
          <NumberField name={`stage.hours.${i}.toMin`} label={labels.toHours} value={Math.round(hours.toMin / 6) / 10} min={-24} max={24} onChange={(value) => set(i, { toMin: Math.round((value ?? 0) * 60) })} width="100px" />
          <NumberField name={`stage.hours.${i}.weight`} label={labels.of10} value={Math.round(hours.weight * 100) / 10} min={0} max={10} onChange={(value) => set(i, { weight: (value ?? 0) / 10 })} width="80px" />
          <Select label={labels.weather2} value={hours.weather} choices={WEATHERS.map((id) => ({ id, name: id }))} onChange={(id) => set(i, { weather: id as Hours['weather'] })} width="110px" />
          {SEASONS.map((season) => (
            <Checkbox key={season} isSelected={hours.seasons.includes(season)} onChange={(on) => set(i, { seasons: SEASONS.filter((other) => (other === season ? on : hours.seasons.includes(other))) })}>
              {season}
            </Checkbox>
          ))}
          <Button look="quiet" onPress={() => onChange({ hours: draft.hours.filter((_, other) => other !== i) })} aria-label={`Leave out hours ${i + 1}`}>
            {labels.leaveOut}
          </Button>
        </Row>
      ))}
      <Row>
        <Button onPress={() => onChange({ hours: [...draft.hours, USUAL] })}>{labels.otherHours}</Button>
        <Quiet>{labels.beforeTheSunsHour}</Quiet>
      </Row>
    </>
  )
} // prettier-ignore
