import { within } from '../../../contract/limits.ts'
import { isStillwater, WATER_KINDS, wording } from '../../../core/index.ts'
import type { WaterKind } from '../../../core/index.ts'
import type { WatersView } from '../../../contract/index.ts'
import { useWatersQuery } from '../../wire/answers.ts'
import { TextField } from '../../ui/fields.tsx'
import { useTyped } from '../../ui/useTyped.ts'
import type { Saved } from '../../ui/useTyped.ts'
import { Select } from '../../ui/Select.tsx'
import { Quiet, Row } from '../../ui/layout.tsx'
import { labels } from '../../words/waters.ts'
import { useWaterSave } from './useWaterSave.ts'
import { DayLengths } from './DayLengths.tsx'

type WaterLine = WatersView['waters'][number]

/** A place on the earth in degrees, saved on leaving the field. */
function Degrees({
  label,
  kept,
  of,
  onSave,
}: {
  readonly label: string
  readonly kept: number
  readonly of: 'latitudeDeg' | 'longitudeDeg'
  readonly onSave: (degrees: number) => Saved
}) {
  const { min, max } = within(of)
  const read = (text: string) => (text.trim() === '' ? NaN : Number(text.replace(',', '.').replace('−', '-')))
  const typed = useTyped(String(kept), (text) => onSave(read(text)), {
    faultOf: (text) => (read(text) >= min && read(text) <= max ? undefined : `From −${-min} to ${max}.`),
  })
  return <TextField label={label} {...typed} width="110px" maxLength={9} />
}

/** What a water is called, of what kind it is, and where on the earth: by two figures, or like another. */
export function WaterPlace({ line }: { readonly line: WaterLine }) {
  const { data } = useWatersQuery()
  const { water } = line
  const { save, saveTyped } = useWaterSave(line.id)
  const name = useTyped(water.name, (text) => saveTyped({ name: text }), {
    isGood: (text) => text.trim() !== '',
  })
  const others = data?.waters.filter(({ id }) => id !== line.id) ?? []
  const alike = WATER_KINDS.filter((kind) => isStillwater(kind) === isStillwater(water.kind))
  return (
    <>
      <Row $align="start">
        <TextField label={labels.name} {...name} width="180px" />
        <Select
          label={labels.kind}
          value={water.kind}
          choices={alike.map((id) => ({ id, name: wording.waterKindName[id] }))}
          onChange={(kind) => save({ kind: kind as WaterKind })}
          width="180px"
        />
        <Degrees
          label={labels.latitude}
          kept={water.latitudeDeg}
          of="latitudeDeg"
          onSave={(latitudeDeg) => saveTyped({ latitudeDeg })}
        />
        <Degrees
          label={labels.longitude}
          kept={water.longitudeDeg}
          of="longitudeDeg"
          onSave={(longitudeDeg) => saveTyped({ longitudeDeg })}
        />
        {others.length > 0 ? (
          <Select
            label={labels.placedLike}
            value=""
            choices={[
              { id: '', name: '–' },
              ...others.map(({ id, water: other }) => ({ id, name: other.name })),
            ]}
            onChange={(id) => {
              const other = others.find((one) => one.id === id)?.water
              if (!other) return
              const { latitudeDeg, longitudeDeg, timeZone } = other
              save({ latitudeDeg, longitudeDeg, timeZone })
            }}
            width="170px"
          />
        ) : null}
      </Row>
      <Row>
        <DayLengths water={water} others={others.map(({ water: other }) => other)} />
        <Quiet>{labels.theSunTellsWhether}</Quiet>
      </Row>
    </>
  )
}
