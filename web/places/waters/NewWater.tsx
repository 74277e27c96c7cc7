import { useState } from 'react'
import {
  fromCore,
  HALF_YEAR_DAYS,
  isStillwater,
  parseQuantity,
  WATER_KINDS,
  wording,
} from '../../../core/index.ts'
import type { ParsedQuantity, Quantity, Unit, WaterKind } from '../../../core/index.ts'
import type { ReachBody, WaterId, ReachId } from '../../../contract/index.ts'
import { newId, useCommand } from '../../wire/useCommand.ts'
import { useFrameQuery } from '../../wire/api.ts'
import { useWording } from '../../words/useWording.ts'
import { Button } from '../../ui/Button.tsx'
import { Select, TextField } from '../../ui/fields.tsx'
import { Fault, Quiet, Row, Section } from '../../ui/layout.tsx'

const WARMEST_DAY = 209

/** A year between the coldest month's mean and the warmest met, as a cosine about the end of July. */
export function yearBetween(coldestC: number, warmestC: number, south: boolean): number[] {
  const [mean, amplitude] = [(coldestC + warmestC) / 2, (warmestC - coldestC) / 2]
  return Array.from({ length: 12 }, (_, month) => {
    const day = month * 30.4 + 15 + (south ? HALF_YEAR_DAYS : 0)
    const tempC = mean + amplitude * Math.cos((2 * Math.PI * (day - WARMEST_DAY)) / 365)
    return Math.round(Math.min(Math.max(tempC, 0), 30) * 10) / 10
  })
}

const fault = (parsed: ParsedQuantity) =>
  parsed.kind === 'unclear' && parsed.code !== 'empty'
    ? wording.unclearSentence(parsed.code, parsed.suggestions)
    : undefined

/** What the two temperatures start from. */
const USUAL_COLDEST_C = 3
const USUAL_WARMEST_C = 16

/** The first thing that is asked: name, kind, usual depth, coldest month, warmest met. */
export function NewWater({ onDone }: { readonly onDone: () => void }) {
  const { data: frame } = useFrameQuery()
  const { units } = useWording()
  const command = useCommand()
  const [name, setName] = useState('')
  const [kind, setKind] = useState<WaterKind>('freestone')
  const [texts, setTexts] = useState({
    depth: '',
    speed: '',
    latitude: '54',
    longitude: '-2',
  })
  const usual = (tempC: number) => String(Math.round(fromCore(tempC, units.temperature)))
  const [coldestText, setColdest] = useState<string | null>(null)
  const [warmestText, setWarmest] = useState<string | null>(null)
  const [refused, setRefused] = useState<string | null>(null)
  const set = (key: keyof typeof texts) => (text: string) => setTexts({ ...texts, [key]: text })
  const read = (text: string, quantity: Quantity, unit: Unit, min: number, max: number) =>
    parseQuantity(text, quantity, unit, { min, max })
  const still = isStillwater(kind)
  const depth = read(texts.depth, 'length', units.depth, 50, 60_000)
  const speed = read(still ? '0' : texts.speed, 'speed', `${units.depth}/s`, 0, 4000)
  const coldest = read(coldestText ?? usual(USUAL_COLDEST_C), 'temperature', units.temperature, 0, 30)
  const warmest = read(warmestText ?? usual(USUAL_WARMEST_C), 'temperature', units.temperature, 0, 30)
  const latitudeDeg = Number(texts.latitude.replace(',', '.'))
  const longitudeDeg = Number(texts.longitude.replace(',', '.'))
  const placed = Math.abs(latitudeDeg) <= 66 && Math.abs(longitudeDeg) <= 180

  const save = async () => {
    if (
      depth.kind !== 'quantity' ||
      speed.kind !== 'quantity' ||
      coldest.kind !== 'quantity' ||
      warmest.kind !== 'quantity' ||
      !placed
    ) {
      setRefused('Fill in name, depth, speed and both temperatures.')
      return
    }
    const reach: ReachBody & { id: ReachId } = {
      id: newId(),
      kind: still ? 'shoal' : 'reach',
      name,
      elevationM: 0,
      typicalDepthMm: Math.round(depth.value),
      surfaceSpeedMmPerS: Math.round(speed.value),
      thermoclineMm: null,
      defaultTempC: yearBetween(
        Math.min(coldest.value, warmest.value),
        Math.max(coldest.value, warmest.value),
        latitudeDeg < 0,
      ),
    }
    const delivery = await command(
      'waterCreate',
      {
        waterId: newId<WaterId>(),
        water: {
          name, kind, latitudeDeg, longitudeDeg, timeZone: frame?.settings.timeZone ?? 'UTC', clarityMm: 2000, snagginess: 1,
          openFromMonthDay: null, openToMonthDay: null, iceOffMonthDay: null, rulesNote: '',
          rules: { dryOnly: null, upstreamOnly: null, maxFlies: null, barbless: null, noLead: null, noAddedWeight: null, minHookSize: null, maxHookSize: null, noIndicator: null },
        },
        reaches: [reach],
      },
      { quietly: true },
    ) // prettier-ignore
    if (delivery.kind === 'refused') setRefused(delivery.problem.detail)
    else onDone()
  }
  return (
    <Section aria-label="New water">
      <Row $align="start">
        <TextField label="Name" value={name} onChange={setName} width="200px" autoFocus />
        <Select
          label="Kind"
          value={kind}
          choices={WATER_KINDS.map((id) => ({ id, name: wording.waterKindName[id] }))}
          onChange={(id) => setKind(id as WaterKind)}
          width="190px"
        />
        <TextField
          label={`Usual depth, ${units.depth}`}
          value={texts.depth}
          onChange={set('depth')}
          fault={fault(depth)}
          width="130px"
        />
        {still ? null : (
          <TextField
            label={`Surface speed, ${units.depth}/s`}
            value={texts.speed}
            onChange={set('speed')}
            fault={fault(speed)}
            width="140px"
          />
        )}
        <TextField
          label={`Coldest month, ${units.temperature}`}
          value={coldestText ?? usual(USUAL_COLDEST_C)}
          onChange={setColdest}
          fault={fault(coldest)}
          width="140px"
        />
        <TextField
          label={`Warmest met, ${units.temperature}`}
          value={warmestText ?? usual(USUAL_WARMEST_C)}
          onChange={setWarmest}
          fault={fault(warmest)}
          width="140px"
        />
        <TextField
          label="Latitude, °"
          value={texts.latitude}
          onChange={set('latitude')}
          width="100px"
          fault={placed ? undefined : 'From −66 to 66.'}
        />
        <TextField label="Longitude, °" value={texts.longitude} onChange={set('longitude')} width="100px" />
      </Row>
      <Quiet>The sun’s hours follow from latitude and longitude; a degree is near enough.</Quiet>
      {refused ? <Fault>{refused}</Fault> : null}
      <Row>
        <Button look="main" onPress={() => void save()}>
          Add the water
        </Button>
        <Button onPress={onDone}>Leave it</Button>
      </Row>
    </Section>
  )
}
