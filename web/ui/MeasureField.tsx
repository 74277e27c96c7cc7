import { asWritten, toCore } from '../../core/index.ts'
import type { Unit } from '../../core/index.ts'
import { NumberField } from './NumberField.tsx'
import type { NumberFieldProps } from './NumberField.tsx'

interface MeasureFieldProps extends Omit<NumberFieldProps, 'shown' | 'whole' | 'placeholder'> {
  /** what the user reads it in; value and limits are in core's own unit */
  readonly unit: Unit
}

/** A measure, written and read in the user's unit: the label says which. */
export function MeasureField({ label, unit, value, min, max, onChange, ...rest }: MeasureFieldProps) {
  return (
    <NumberField
      key={unit}
      {...rest}
      label={`${label}, ${unit}`}
      value={value === null ? null : asWritten(value, unit)}
      min={asWritten(min, unit)}
      max={asWritten(max, unit)}
      onChange={(written) => onChange(written === null ? null : toCore(written, unit))}
    />
  )
}
