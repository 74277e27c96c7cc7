import { KNOTS, LINE_SORTS, STUFFS } from '../../../../core/index.ts'
import type { RigPart, Stuff } from '../../../../core/index.ts'
import { within } from '../../../../contract/limits.ts'
import { MeasureField } from '../../../ui/MeasureField.tsx'
import { Select } from '../../../ui/Select.tsx'
import { labels } from '../../../words/rigs.ts'
import { useWording } from '../../../words/useWording.ts'
import type { FlyChoice } from '../../../parts/rigs/useRigFlies.ts'

const SINKS_MM_PER_S = 75
const NO_FLY = 'none'

interface FigureProps {
  readonly called: string
  readonly value: number
  readonly onSet: (value: number) => void
}

/** A figure of a part in the user's unit: what is no figure yet is not passed on. */
function Figure({
  label,
  called,
  value,
  onSet,
  limit,
  in: quantity,
}: FigureProps & {
  readonly label: string
  readonly limit: 'pieceMm' | 'threadMm' | 'floatMm' | 'pinchedMg' | 'lineRate'
  readonly in: 'depth' | 'smallLength' | 'mass' | 'speed'
}) {
  const { units } = useWording()
  return (
    <MeasureField
      label={`${label} (${called})`}
      hideLabel
      unit={units[quantity]}
      value={value}
      {...within(limit)}
      onChange={(next) => (next === null ? undefined : onSet(next))}
      width="92px"
    />
  )
}

const Length = (props: FigureProps) => <Figure label={labels.long} limit="pieceMm" in="depth" {...props} />
const Thick = ({ label = labels.thick, ...props }: FigureProps & { readonly label?: string }) => (
  <Figure label={label} limit="threadMm" in="smallLength" {...props} />
)
const Weight = (props: FigureProps) => <Figure label={labels.weighs} limit="pinchedMg" in="mass" {...props} />

/** One name of a few. */
function OneName<Name extends string>({
  label,
  called,
  value,
  names,
  onSet,
}: {
  readonly label: string
  readonly called: string
  readonly value: Name
  readonly names: readonly Name[]
  readonly onSet: (name: Name) => void
}) {
  return (
    <Select
      label={`${label} (${called})`}
      hideLabel
      value={value}
      choices={names.map((name) => ({ id: name, name }))}
      onChange={(id) => onSet(id as Name)}
      width="140px"
    />
  )
}

/** What a piece is drawn of. */
const DrawnOf = (props: {
  readonly called: string
  readonly value: Stuff
  readonly onSet: (stuff: Stuff) => void
}) => <OneName label={labels.of} names={STUFFS} {...props} />

interface PartFieldsProps {
  readonly part: RigPart
  /** what the fields are called by: the part and its place */
  readonly called: string
  readonly flies: readonly FlyChoice[]
  readonly onChange: (part: RigPart) => void
}

/** The fly of a part, of all that there are. */
function FlyOf({
  fly,
  called,
  flies,
  onSet,
}: Pick<PartFieldsProps, 'called' | 'flies'> & {
  readonly fly: string | null
  readonly onSet: (fly: string | null) => void
}) {
  return (
    <Select
      label={`${labels.fly} (${called})`}
      hideLabel
      value={fly ?? NO_FLY}
      choices={[{ id: NO_FLY, name: labels.noFly }, ...flies]}
      onChange={(chosen) => onSet(chosen === NO_FLY ? null : chosen)}
      width="220px"
    />
  )
}

type LinePart = Extract<RigPart, { readonly kind: 'line' }>

/** A fly line by its own figures. */
function LineFields({
  part,
  called,
  onChange,
}: {
  readonly part: LinePart
  readonly called: string
  readonly onChange: (part: RigPart) => void
}) {
  const at = { called }
  return (
    <>
      <Length {...at} value={part.lengthMm} onSet={(lengthMm) => onChange({ ...part, lengthMm })} />
      <Thick {...at} value={part.diameterMm} onSet={(diameterMm) => onChange({ ...part, diameterMm })} />
      <OneName
        {...at}
        label={labels.of}
        value={part.sort}
        names={LINE_SORTS}
        onSet={(sort) => onChange({ ...part, sort, rateMmPerS: sort === 'sinking' ? SINKS_MM_PER_S : null })}
      />
      {part.rateMmPerS === null ? null : (
        <Figure
          {...at}
          label={labels.rate}
          limit="lineRate"
          in="speed"
          value={part.rateMmPerS}
          onSet={(rateMmPerS) => onChange({ ...part, rateMmPerS })}
        />
      )}
    </>
  )
}

/** What a part is made of, in fields. */
export function PartFields({ part, called, flies, onChange }: PartFieldsProps) {
  const at = { called }
  switch (part.kind) {
    case 'line':
      return <LineFields part={part} called={called} onChange={onChange} />
    case 'leader':
      return (
        <>
          <Length {...at} value={part.lengthMm} onSet={(lengthMm) => onChange({ ...part, lengthMm })} />
          <Thick {...at} value={part.buttMm} onSet={(buttMm) => onChange({ ...part, buttMm })} />
          <Thick
            {...at}
            label={labels.thickEnd}
            value={part.tipMm}
            onSet={(tipMm) => onChange({ ...part, tipMm })}
          />
          <DrawnOf {...at} value={part.stuff} onSet={(stuff) => onChange({ ...part, stuff })} />
        </>
      )
    case 'tippet':
      return (
        <>
          <Length {...at} value={part.lengthMm} onSet={(lengthMm) => onChange({ ...part, lengthMm })} />
          <Thick {...at} value={part.diameterMm} onSet={(diameterMm) => onChange({ ...part, diameterMm })} />
          <DrawnOf {...at} value={part.stuff} onSet={(stuff) => onChange({ ...part, stuff })} />
        </>
      )
    case 'dropper':
      return (
        <>
          <Length {...at} value={part.lengthMm} onSet={(lengthMm) => onChange({ ...part, lengthMm })} />
          <FlyOf {...at} flies={flies} fly={part.fly} onSet={(fly) => onChange({ ...part, fly })} />
        </>
      )
    case 'float':
      return (
        <>
          <Figure
            {...at}
            label={labels.across}
            limit="floatMm"
            in="smallLength"
            value={part.diameterMm}
            onSet={(diameterMm) => onChange({ ...part, diameterMm })}
          />
          <Weight {...at} value={part.massMg} onSet={(massMg) => onChange({ ...part, massMg })} />
        </>
      )
    case 'knot':
      return (
        <OneName
          {...at}
          label={labels.knotBelow}
          value={part.knot}
          names={KNOTS}
          onSet={(knot) => onChange({ ...part, knot })}
        />
      )
    case 'dry':
    case 'point':
      return <FlyOf {...at} flies={flies} fly={part.fly} onSet={(fly) => onChange({ ...part, fly })} />
    default:
      return <Weight {...at} value={part.massMg} onSet={(massMg) => onChange({ ...part, massMg })} />
  }
}
