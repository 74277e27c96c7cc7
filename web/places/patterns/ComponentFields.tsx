import { FIELD_LIMITS, KINDS } from '../../../core/index.ts'
import type { Component, Field, Limits, MaterialKind, Proportion } from '../../../core/index.ts'
import { Select } from '../../ui/Select.tsx'
import { Row } from '../../ui/layout.tsx'
import { MeasureField } from '../../ui/MeasureField.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { useWording } from '../../words/useWording.ts'
import { factorText } from '../../recipe/lineText.ts'
import { labels } from '../../words/patterns.ts'

type Of = 'shank' | 'gape' | 'hookLength' | 'bead' | 'mm'

const ofChoices = (smallLength: string) => [
  { id: 'shank', name: 'shanks' },
  { id: 'gape', name: 'gapes' },
  { id: 'hookLength', name: 'of the fly' },
  { id: 'bead', name: 'beads' },
  { id: 'mm', name: smallLength },
]

const SIDE_CHOICES = [
  { id: 'around', name: 'around' },
  { id: 'above', name: 'above' },
  { id: 'below', name: 'below' },
  { id: 'both', name: 'both sides' },
]

/** What a length is said in; one that refers to a component is shown in shanks. */
function unitOf(length: Proportion | undefined): Of {
  if (!length) return 'shank'
  if ('mm' in length) return 'mm'
  return length.of === 'component' ? 'shank' : length.of
}

interface FieldProps {
  readonly component: Component
  readonly onChange: (change: Partial<Component>) => void
}

function LengthFields({ component: { length }, onChange }: FieldProps) {
  const { units } = useWording()
  const of = unitOf(length)
  const value = !length ? null : 'mm' in length ? length.mm : length.factor
  const make = (amount: number | null, unit: Of) =>
    onChange({
      length: amount === null ? undefined : unit === 'mm' ? { mm: amount } : { factor: amount, of: unit },
    })
  return (
    <>
      {of === 'mm' ? (
        <MeasureField
          label={labels.length}
          unit={units.smallLength}
          value={value}
          {...FIELD_LIMITS.lengthMm}
          mayBeEmpty
          onChange={(amount) => make(amount, of)}
          width="92px"
        />
      ) : (
        <NumberField
          label={labels.length}
          value={value}
          {...FIELD_LIMITS.factor}
          mayBeEmpty
          shown={factorText}
          onChange={(amount) => make(amount, of)}
          width="80px"
        />
      )}
      <Select
        label={labels.inWord}
        value={of}
        choices={ofChoices(units.smallLength)}
        onChange={(unit) => make(value ?? 1, unit as Of)}
        width="112px"
      />
    </>
  )
}

function PinField({ component: { length }, onChange }: FieldProps) {
  const { units } = useWording()
  return (
    <MeasureField
      label={labels.pinBeforeTheEye}
      unit={units.smallLength}
      value={length && 'mm' in length ? length.mm : null}
      {...FIELD_LIMITS.pin}
      mayBeEmpty
      onChange={(mm) => onChange({ length: mm === null ? undefined : { mm } })}
      width="196px"
    />
  )
}

function WidthField({ component: { widthMm }, onChange }: FieldProps) {
  const { units } = useWording()
  return (
    <MeasureField
      label={labels.width}
      unit={units.smallLength}
      value={widthMm ?? null}
      {...FIELD_LIMITS.widthMm}
      mayBeEmpty
      onChange={(mm) => onChange({ widthMm: mm ?? undefined })}
      width="92px"
    />
  )
}

function SideField({ component: { place }, onChange }: FieldProps) {
  return (
    <Select
      label={labels.side}
      value={place.side}
      choices={SIDE_CHOICES}
      onChange={(side) => onChange({ place: { ...place, side: side as Component['place']['side'] } })}
      width="132px"
    />
  )
}

/** A field for an amount; what is left empty is worked out. */
const amountField = (
  name: Exclude<Field, 'length' | 'pin' | 'side' | 'widthMm'>,
  label: string,
  limits: Limits,
  width = '72px',
) =>
  function AmountField({ component, onChange }: FieldProps) {
    return (
      <NumberField
        label={label}
        value={component[name] ?? null}
        {...limits}
        mayBeEmpty
        shown={factorText}
        onChange={(value) => onChange({ [name]: value ?? undefined })}
        width={width}
      />
    )
  }

const FIELDS: Readonly<Record<Field, (props: FieldProps) => React.ReactNode>> = {
  turns: amountField('turns', 'Turns', FIELD_LIMITS.turns),
  fibreCount: amountField('fibreCount', 'Fibres', FIELD_LIMITS.fibreCount),
  strands: amountField('strands', 'Strands', FIELD_LIMITS.strands),
  layers: amountField('layers', 'Layers', FIELD_LIMITS.layers),
  bulk: amountField('bulk', 'Bulk, 0 to 1', FIELD_LIMITS.bulk, '92px'),
  clipped: amountField('clipped', 'Left below, 0 to 1', FIELD_LIMITS.clipped, '132px'),
  widthMm: WidthField,
  length: LengthFields,
  pin: PinField,
  side: SideField,
}
const ORDER: readonly Field[] = [
  'turns', 'fibreCount', 'strands', 'layers', 'bulk', 'widthMm', 'length', 'pin', 'clipped', 'side',
] // prettier-ignore

interface ComponentFieldsProps extends FieldProps {
  /** what it is made of, null while that is not known */
  readonly goods: MaterialKind | null
}

/** Amounts of a component, said relative to the hook: those that its kind asks for with such goods. */
export function ComponentFields({ component, goods, onChange }: ComponentFieldsProps) {
  const { kind, place } = component
  const asked = KINDS[kind].asks(goods ?? KINDS[kind].madeOf[0])
  return (
    <Row $align="start">
      {ORDER.filter((name) => asked.includes(name)).map((name) => {
        const FieldOf = FIELDS[name]
        return <FieldOf key={name} component={component} onChange={onChange} />
      })}
      <NumberField
        label={labels.fromEye0}
        value={place.from}
        min={0}
        max={place.to}
        onChange={(from) => onChange({ place: { ...place, from: from ?? 0 } })}
        width="92px"
      />
      <NumberField
        label={labels.toBend1}
        value={place.to}
        min={place.from}
        max={1}
        onChange={(to) => onChange({ place: { ...place, to: to ?? 1 } })}
        width="92px"
      />
    </Row>
  )
}
