import { within } from '../../../contract/limits.ts'
import { isStillwater, wording } from '../../../core/index.ts'
import type { WatersView } from '../../../contract/index.ts'
import { useWording } from '../../words/useWording.ts'
import { TextField } from '../../ui/fields.tsx'
import { useTyped } from '../../ui/useTyped.ts'
import type { Saved } from '../../ui/useTyped.ts'
import { Row } from '../../ui/layout.tsx'
import { InPlace } from './InPlace.tsx'
import { useWaterSave } from './useWaterSave.ts'
import { labels } from '../../words/waters.ts'

type WaterLine = WatersView['waters'][number]

const MONTH_DAY = /^((0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01]))?$/

/** A day of the year or a count, saved on leaving the field; `wanted` says whether it may be left blank. */
function Blank({
  label,
  kept,
  wanted,
  fault,
  onSave,
}: {
  readonly label: string
  readonly kept: string
  readonly wanted: RegExp
  readonly fault: string
  readonly onSave: (text: string) => Saved
}) {
  const typed = useTyped(kept, (text) => onSave(text.trim()), {
    faultOf: (text) => (wanted.test(text.trim()) ? undefined : fault),
  })
  return <TextField label={label} {...typed} width="150px" maxLength={5} />
}

/** What is noted of a water besides its reaches: how clear and snaggy, when it is open, its ice, counts in its rules. */
export function WaterDetails({ line }: { readonly line: WaterLine }) {
  const { units, depth } = useWording()
  const { maxLeaderMm } = line.water.rules
  const { water } = line
  const { saveTyped: save } = useWaterSave(line.id)
  const day = (label: string, key: 'openFromMonthDay' | 'openToMonthDay' | 'iceOffMonthDay') => (
    <Blank
      label={label}
      kept={water[key] ?? ''}
      wanted={MONTH_DAY}
      fault="Month and day, as 04-02."
      onSave={(text) => save({ [key]: text === '' ? null : text })}
    />
  )
  const count = (label: string, key: 'maxFlies' | 'maxHookSize' | 'minHookSize', wanted: RegExp, fault: string) => (
    <Blank
      label={label}
      kept={water.rules[key]?.toString() ?? ''}
      wanted={wanted}
      fault={fault}
      onSave={(text) => save({ rules: { [key]: text === '' ? null : Number(text) } })}
    />
  ) // prettier-ignore
  return (
    <>
      <Row $align="start">
        <InPlace
          label={`How far one sees into ${water.name}`}
          named="Seen to"
          shown={depth(water.clarityMm)}
          quantity="length"
          unit={units.depth}
          {...within('clarityMm')}
          onSave={(clarityMm) => save({ clarityMm })}
        />
        <Blank
          label={labels.snags0NoneTo}
          kept={String(water.snagginess)}
          wanted={/^[0-3]([.,]\d)?$|^4$/}
          fault="From 0 to 4."
          onSave={(text) => save({ snagginess: Number(text.replace(',', '.')) })}
        />
        {day('Open from, month-day', 'openFromMonthDay')}
        {day('Open to, month-day', 'openToMonthDay')}
        {isStillwater(water.kind) ? day('Ice gone, month-day', 'iceOffMonthDay') : null}
      </Row>
      <Row $align="start">
        {count('Most flies', 'maxFlies', /^([1-9]|10)?$/, 'From 1 to 10.')}
        {count('Largest hook', 'maxHookSize', /^([1-9]|[12]\d|30)?$/, 'A hook size, 1 to 30.')}
        {count('Smallest hook', 'minHookSize', /^([1-9]|[12]\d|30)?$/, 'A hook size, 1 to 30.')}
        <InPlace
          label={`Longest leader that ${water.name} allows`}
          named="Longest leader"
          shown={maxLeaderMm === null ? '' : wording.rigLength(maxLeaderMm, units)}
          quantity="length"
          unit={units.depth}
          {...within('ruleLeaderMm')}
          onSave={(mm) => save({ rules: { maxLeaderMm: mm } })}
          onClear={() => save({ rules: { maxLeaderMm: null } })}
        />
      </Row>
    </>
  )
}
