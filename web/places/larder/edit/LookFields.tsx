import {
  DEPTH_BANDS,
  MOVEMENTS,
  SILHOUETTES,
  TRIGGER_LOOKS,
  WATER_KINDS,
  wording,
} from '../../../../core/index.ts'
import { Button } from '../../../ui/Button.tsx'
import { Checkbox, TextField } from '../../../ui/fields.tsx'
import { Select } from '../../../ui/Select.tsx'
import { Quiet, Row } from '../../../ui/layout.tsx'
import { NumberField } from '../../../ui/NumberField.tsx'
import type { ChangeStage, StageDraft } from './draft.ts'
import { labels } from '../../../words/larder.ts'

interface LookFieldsProps {
  readonly draft: StageDraft
  readonly onChange: ChangeStage
}

const NOWHERE = 'nowhere'
const BANDS = [
  { id: NOWHERE, name: 'not there' },
  ...DEPTH_BANDS.map((id) => ({ id, name: wording.depthBandName[id] })),
]
const HEX = /^#[0-9a-f]{6}$/i

/** Ticks for what of a list holds; the first ticked counts most. */
function Ticks({
  label,
  rows,
  ticked,
  onChange,
}: {
  readonly label: string
  readonly rows: readonly { readonly key: string; readonly name: string }[]
  readonly ticked: readonly string[]
  readonly onChange: (keys: string[]) => void
}) {
  return (
    <div role="group" aria-label={label}>
      <Quiet>{label}</Quiet>
      <Row>
        {rows.map(({ key, name }) => (
          <Checkbox
            key={key}
            isSelected={ticked.includes(key)}
            onChange={(on) => onChange(on ? [...ticked, key] : ticked.filter((other) => other !== key))}
          >
            {name}
          </Checkbox>
        ))}
      </Row>
    </div>
  )
}

/** Where a stage lives and how common it is there. */
export function HomeFields({ draft, onChange }: LookFieldsProps) {
  const band = (label: string, key: 'depthBandRiver' | 'depthBandStillwater') => (
    <Select
      label={label}
      value={draft[key] ?? NOWHERE}
      choices={BANDS}
      onChange={(id) =>
        onChange({ [key]: id === NOWHERE ? null : (id as NonNullable<StageDraft['depthBandRiver']>) })
      }
      width="180px"
    />
  )
  return (
    <>
      <Row $align="start">
        {band('In rivers', 'depthBandRiver')}
        {band('In stillwaters', 'depthBandStillwater')}
        <NumberField
          name="stage.importance"
          label={labels.weightForTroutOf}
          value={Math.round(draft.importance * 100) / 10}
          min={0}
          max={10}
          onChange={(value) => onChange({ importance: (value ?? 0) / 10 })}
          width="150px"
        />
      </Row>
      <Row $align="start" role="group" aria-label={labels.howCommonOf10}>
        {WATER_KINDS.map((kind) => (
          <NumberField
            key={kind}
            name={`stage.waterKinds.${kind}`}
            label={wording.waterKindName[kind]}
            value={Math.round((draft.waterKinds[kind] ?? 0) * 100) / 10}
            min={0}
            max={10}
            onChange={(value) => onChange({ waterKinds: { ...draft.waterKinds, [kind]: (value ?? 0) / 10 } })}
            width="118px"
          />
        ))}
      </Row>
    </>
  )
}

/** What a stage looks like and how it moves. */
export function LookFields({ draft, onChange }: LookFieldsProps) {
  const setColour = (at: number, change: Partial<StageDraft['colours'][number]>) =>
    onChange({ colours: draft.colours.map((old, i) => (i === at ? { ...old, ...change } : old)) })
  return (
    <>
      <Select
        label={labels.outline}
        value={draft.silhouette}
        choices={SILHOUETTES.map(({ key, name }) => ({ id: key, name }))}
        onChange={(silhouette) => onChange({ silhouette })}
        width="220px"
      />
      {draft.colours.map((colour, i) => (
        <Row key={i} $align="end">
          <TextField name={`stage.colours.${i}.name`} label={labels.colour} value={colour.name} onChange={(name) => setColour(i, { name })} width="150px" />
          {(['hexDry', 'hexWet'] as const).map((key) => (
            <TextField
              key={key}
              name={`stage.colours.${i}.${key}`}
              label={key === 'hexDry' ? 'dry' : 'wet'}
              value={colour[key]}
              onChange={(hex) => setColour(i, { [key]: hex })}
              fault={HEX.test(colour[key]) ? undefined : 'As #6d6a37.'}
              width="110px"
              maxLength={7}
            />
          ))}
          <span
            aria-hidden="true"
            style={{ width: 40, height: 32, background: HEX.test(colour.hexWet) ? colour.hexWet : 'none', border: '1px solid var(--quiet)' }}
          />
          <NumberField
            name={`stage.colours.${i}.share`}
            label={labels.of10}
            value={Math.round(colour.share * 100) / 10}
            min={0}
            max={10}
            onChange={(value) => setColour(i, { share: (value ?? 0) / 10 })}
            width="80px"
          />
          {draft.colours.length > 1 ? (
            <Button
              look="quiet"
              onPress={() => onChange({ colours: draft.colours.filter((_, other) => other !== i) })}
              aria-label={`Leave out ${colour.name}`}
            >
              {labels.leaveOut}
            </Button>
          ) : null}
        </Row>
      ))}
      <Button
        onPress={() =>
          onChange({
            colours: [...draft.colours, { name: 'another', hexDry: '#8a8060', hexWet: '#6d6a37', share: 0.2 }],
          })
        }
      >
        {labels.anotherColour}
      </Button>
      <Ticks label={labels.howItMoves} rows={MOVEMENTS} ticked={draft.movements} onChange={(movements) => onChange({ movements })} />
      <Ticks label={labels.whatTroutGoBy} rows={TRIGGER_LOOKS} ticked={draft.triggers} onChange={(triggers) => onChange({ triggers })} />
    </>
  )
} // prettier-ignore
