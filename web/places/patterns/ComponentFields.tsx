import { useState } from 'react'
import { parseDecimal, wording } from '../../../core/index.ts'
import type { Component, Proportion } from '../../../core/index.ts'
import { Select, TextField } from '../../ui/fields.tsx'
import { Row } from '../../ui/layout.tsx'
import { factorText } from './lineText.ts'

interface NumberFieldProps {
  readonly label: string
  readonly value: number | undefined
  readonly min: number
  readonly max: number
  readonly whole?: boolean
  readonly onChange: (value: number | undefined) => void
  readonly width?: string
  readonly hideLabel?: boolean
  readonly placeholder?: string
}

/** A figure in any notation; empty means derived. What is wrong stands at the field and the last good figure stays. */
export function NumberField({
  label,
  value,
  min,
  max,
  whole = false,
  onChange,
  width = '92px',
  hideLabel = false,
  placeholder,
}: NumberFieldProps) {
  const [text, setText] = useState<string | null>(null)
  const fault = faultOf(text, min, max, whole)
  return (
    <TextField
      label={label}
      hideLabel={hideLabel}
      placeholder={placeholder}
      value={text ?? (value === undefined ? '' : factorText(value))}
      onChange={(typed) => {
        setText(typed)
        if (typed.trim() === '') onChange(undefined)
        else if (!faultOf(typed, min, max, whole)) {
          const parsed = parseDecimal(typed)
          if (parsed.kind === 'number') onChange(parsed.value)
        }
      }}
      onBlur={() => (fault ? undefined : setText(null))}
      fault={fault}
      width={width}
    />
  )
}

function faultOf(text: string | null, min: number, max: number, whole: boolean): string | undefined {
  if (text === null || text.trim() === '') return undefined
  const parsed = parseDecimal(text)
  if (parsed.kind === 'unclear') return wording.unclearSentence(parsed.code, parsed.suggestions)
  if (parsed.value < 0) return wording.unclearSentence('negative', [])
  if (parsed.value < min || parsed.value > max) return `From ${min} to ${max}.`
  return whole && !Number.isInteger(parsed.value) ? 'Whole ones only.' : undefined
}

type Of = 'shank' | 'gape' | 'hookLength' | 'bead' | 'mm'

const OF_CHOICES = [
  { id: 'shank', name: 'shanks' },
  { id: 'gape', name: 'gapes' },
  { id: 'hookLength', name: 'of the fly' },
  { id: 'bead', name: 'beads' },
  { id: 'mm', name: 'mm' },
]

/** What a length is said in; one that refers to a component is shown in shanks. */
function unitOf(length: Proportion | undefined): Of {
  if (!length) return 'shank'
  if ('mm' in length) return 'mm'
  return length.of === 'component' ? 'shank' : length.of
}

function LengthFields({
  length,
  onChange,
}: {
  readonly length: Proportion | undefined
  readonly onChange: (length: Proportion | undefined) => void
}) {
  const of = unitOf(length)
  const value = !length ? undefined : 'mm' in length ? length.mm : length.factor
  const make = (amount: number | undefined, unit: Of) =>
    onChange(amount === undefined ? undefined : unit === 'mm' ? { mm: amount } : { factor: amount, of: unit })
  return (
    <>
      <NumberField
        label="Length"
        value={value}
        min={0}
        max={of === 'mm' ? 200 : 20}
        onChange={(amount) => make(amount, of)}
        width="80px"
      />
      <Select
        label="in"
        value={of}
        choices={OF_CHOICES}
        onChange={(unit) => make(value ?? 1, unit as Of)}
        width="112px"
      />
    </>
  )
}

const LONG: ReadonlySet<string> = new Set([
  'tail',
  'shuck',
  'legs',
  'gills',
  'wing',
  'post',
  'hackle',
  'collar',
  'strip',
])
const TURNED: ReadonlySet<string> = new Set(['wire', 'rib', 'hackle', 'collar', 'hotSpot'])
const FIBROUS: ReadonlySet<string> = new Set(['tail', 'legs', 'gills', 'wing'])
const LAYERED: ReadonlySet<string> = new Set(['thread', 'coat', 'wire'])
const SIDED: ReadonlySet<string> = new Set(['wing', 'eyes', 'foam', 'hackle', 'legs', 'back', 'wingCase'])
const SIDE_CHOICES = [
  { id: 'around', name: 'around' },
  { id: 'above', name: 'above' },
  { id: 'below', name: 'below' },
  { id: 'both', name: 'both sides' },
]
const THREAD_LIKE: ReadonlySet<string> = new Set(['thread', 'floss'])
const STRANDED: ReadonlySet<string> = new Set(['shuck', 'post', 'wing', 'legs', 'gills'])

interface ComponentFieldsProps {
  readonly component: Component
  readonly materialKind: string
  readonly onChange: (change: Partial<Component>) => void
}

/** Amounts of a component, said relative to the hook; what is left empty is derived. */
export function ComponentFields({ component, materialKind, onChange }: ComponentFieldsProps) {
  const { kind, place } = component
  const dubbed = materialKind === 'dubbing' || materialKind === 'herl'
  return (
    <Row $align="start">
      {TURNED.has(kind) && !(kind === 'collar' && dubbed) ? (
        <NumberField
          label="Turns"
          value={component.turns}
          min={0}
          max={200}
          onChange={(turns) => onChange({ turns })}
          width="72px"
        />
      ) : null}
      {FIBROUS.has(kind) ? (
        <NumberField
          label="Fibres"
          value={component.fibreCount}
          min={0}
          max={500}
          whole
          onChange={(fibreCount) => onChange({ fibreCount })}
          width="72px"
        />
      ) : null}
      {STRANDED.has(kind) ? (
        <NumberField
          label="Strands"
          value={component.strands}
          min={0}
          max={200}
          whole
          onChange={(strands) => onChange({ strands })}
          width="72px"
        />
      ) : null}
      {LAYERED.has(kind) || (kind === 'body' && THREAD_LIKE.has(materialKind)) ? (
        <NumberField
          label="Layers"
          value={component.layers}
          min={1}
          max={20}
          whole
          onChange={(layers) => onChange({ layers })}
          width="72px"
        />
      ) : null}
      {(kind === 'body' || kind === 'thorax' || kind === 'collar') && dubbed ? (
        <NumberField
          label="Bulk, 0 to 1"
          value={component.bulk}
          min={0}
          max={1}
          onChange={(bulk) => onChange({ bulk })}
          width="92px"
        />
      ) : null}
      {LONG.has(kind) && !(kind === 'collar' && dubbed) ? (
        <LengthFields length={component.length} onChange={(length) => onChange({ length })} />
      ) : null}
      {kind === 'bead' ? (
        <NumberField
          label="On a pin, mm before the eye"
          value={component.length && 'mm' in component.length ? component.length.mm : undefined}
          min={0}
          max={30}
          onChange={(mm) => onChange({ length: mm === undefined ? undefined : { mm } })}
          width="196px"
        />
      ) : null}
      {kind === 'hackle' ? (
        <NumberField
          label="Left below, 0 to 1"
          value={component.clipped}
          min={0}
          max={1}
          onChange={(clipped) => onChange({ clipped })}
          width="132px"
        />
      ) : null}
      {SIDED.has(kind) ? (
        <Select
          label="Side"
          value={place.side}
          choices={SIDE_CHOICES}
          onChange={(side) => onChange({ place: { ...place, side: side as Component['place']['side'] } })}
          width="132px"
        />
      ) : null}
      <NumberField
        label="From (eye 0)"
        value={place.from}
        min={0}
        max={place.to}
        onChange={(from) => onChange({ place: { ...place, from: from ?? 0 } })}
        width="92px"
      />
      <NumberField
        label="to (bend 1)"
        value={place.to}
        min={place.from}
        max={1}
        onChange={(to) => onChange({ place: { ...place, to: to ?? 1 } })}
        width="92px"
      />
    </Row>
  )
}
