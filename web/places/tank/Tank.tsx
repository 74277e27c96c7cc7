import { lazy, Suspense, useMemo, useRef, useState } from 'react'
import { useSearchParams } from 'react-router'
import { inShort, parseQuantity, USUAL_LEADER, wording } from '../../../core/index.ts'
import type { Conditions, Current } from '../../../core/index.ts'
import { useMeasurementsQuery, usePatternsOfQuery, usePatternsQuery } from '../../wire/answers.ts'
import { NARROW, useColumn } from '../../column/marks.ts'
import { LEAST_HUNG } from '../../column/hung.ts'
import { useNow } from '../../moment/useNow.ts'
import { useMoment } from '../../moment/useMoment.ts'
import { useWording } from '../../words/useWording.ts'
import { Button } from '../../ui/Button.tsx'
import { Checkbox, TextField } from '../../ui/fields.tsx'
import { Select } from '../../ui/Select.tsx'
import { Heading, Quiet, Row, Section } from '../../ui/layout.tsx'
import { useMaterialBook } from '../../recipe/useMaterialBook.ts'
import { FallTables } from './FallTables.tsx'
import { MOST_FLIES, putInTank } from './tankFlies.ts'
import type { InTank } from './tankFlies.ts'
import { Meeting } from './Meeting.tsx'
import { TankLanes } from './TankLanes.tsx'
import { labels } from '../../words/tank.ts'

const FallChart = lazy(() => import('./FallChart.tsx'))
const TankRigs = lazy(() => import('./TankRigs.tsx'))
const Measured = lazy(() => import('./Measured.tsx'))

const LINES: readonly { readonly id: string; readonly name: string; readonly diameterMm: number | null }[] = [
  { id: 'none', name: 'none, free fall', diameterMm: null },
  { id: '0.10', name: '0.10 mm', diameterMm: 0.1 },
  { id: '0.13', name: '0.13 mm', diameterMm: 0.13 },
  { id: '0.15', name: '0.15 mm', diameterMm: 0.15 },
  { id: '0.18', name: '0.18 mm', diameterMm: 0.18 },
  { id: '0.23', name: '0.23 mm', diameterMm: 0.23 },
]
const STATES = [
  { id: 'dry', name: 'dry, from the vise' },
  { id: 'fresh', name: 'dipped and cast' },
  { id: 'soaked', name: 'soaked and squeezed' },
]
const USUAL_DEPTH_MM = 1000
const TANK_DEPTHS_MM = [500, 1000, 2000, 3000, 4000, 6000]

/** What the tank is filled with: temperature, line, wetness, depth, and whether it runs. */
function useTankWater() {
  const moment = useMoment()
  const { units, temperature, depth } = useWording()
  const [text, setText] = useState<string | null>(null)
  const [line, setLine] = useState('0.13')
  const [wet, setWet] = useState('fresh')
  const [chosenDepth, setDeep] = useState<number | null>(null)
  const [runs, setRuns] = useState(false)
  const shown = text ?? temperature(moment?.waterTempC ?? 10)
  const parsed = parseQuantity(shown, 'temperature', units.temperature, { min: 0, max: 30 })
  const waterTempC = parsed.kind === 'quantity' ? parsed.value : 10
  const diameterMm = LINES.find(({ id }) => id === line)?.diameterMm ?? null
  const conditions = useMemo<Conditions>(
    () => ({
      waterTempC,
      tippet: diameterMm === null ? null : { ...USUAL_LEADER, diameterMm },
      wet: wet as Conditions['wet'],
      filmTreatment: 'none',
    }),
    [waterTempC, diameterMm, wet],
  )
  const reach = moment?.reach
  const bedMm = reach?.typicalDepthMm ?? USUAL_DEPTH_MM
  const deep = chosenDepth ?? bedMm
  const current = useMemo<Current | null>(
    () =>
      runs && reach && reach.surfaceSpeedMmPerS > 0
        ? { depthMm: deep, surfaceMmPerS: reach.surfaceSpeedMmPerS, roughnessMm: 60 }
        : null,
    [runs, reach, deep],
  )
  const fields = (
    <Row $align="end">
      <TextField
        label={`Water, ${units.temperature}`}
        value={shown}
        onChange={setText}
        width="92px"
        fault={parsed.kind === 'unclear' ? wording.unclearSentence(parsed.code, parsed.suggestions) : undefined}
      />
      <Select
        label={labels.lineThatTrails}
        value={line}
        choices={LINES.map(({ id, name }) => ({ id, name }))}
        onChange={setLine}
        width="140px"
      />
      <Select label={labels.theFliesAre} value={wet} choices={STATES} onChange={setWet} width="180px" />
      <Select
        label={labels.depth}
        value={String(deep)}
        choices={[
          { id: String(bedMm), name: reach ? `${depth(bedMm)}, ${reach.reachName}` : depth(bedMm) },
          ...TANK_DEPTHS_MM.filter((mm) => mm !== bedMm).map((mm) => ({ id: String(mm), name: depth(mm) })),
        ]}
        onChange={(id) => setDeep(Number(id) === bedMm ? null : Number(id))}
        width="190px"
      />
      {reach && reach.surfaceSpeedMmPerS > 0 ? (
        <Checkbox isSelected={runs} onChange={setRuns}>
          In the current of {reach.reachName}
        </Checkbox>
      ) : null}
    </Row>
  )
  return { conditions, current, depthMm: deep, isHere: deep === bedMm, fields }
}

/** Which flies are in the tank; the address keeps them. */
function useChosenFlies(choices: readonly { readonly id: string; readonly name: string }[]) {
  const [params, setParams] = useSearchParams()
  const asked = params.getAll('fly').filter((id) => choices.some((choice) => choice.id === id))
  const usual = choices.find(({ name }) => name.includes('W'))?.id ?? choices[0]?.id
  const ids = params.has('fly') || !usual ? asked : [usual]
  const set = (next: readonly string[]) =>
    setParams(
      next.map((id): [string, string] => ['fly', id]),
      { replace: true },
    )
  return {
    ids: ids.slice(0, MOST_FLIES),
    add: (id: string) => set([...ids.filter((other) => other !== id), id].slice(-MOST_FLIES)),
    takeOut: (id: string) => set(ids.filter((other) => other !== id)),
  }
}

function FlyLine({ fly, onTakeOut }: { readonly fly: InTank; readonly onTakeOut: (() => void) | null }) {
  const { units, fall: fallWords, speed, speedBand, depth } = useWording()
  const { report } = fly
  const end = fly.descent?.points.at(-1)
  const fall = report.kind === 'sinks' ? report.free.sinkSpeedMmPerS : null
  return (
    <Row $gap={8} style={{ paddingTop: 4 }}>
      <span>
        <strong>{fly.name}</strong>:{' '}
        {report.kind === 'hovers' ? wording.hoversWords(report, units) : fallWords(inShort(report))}
        {report.kind === 'sinks' && fall ? (
          <>
            {' '}
            free
            {end && report.trailing
              ? `, ${speed(end.speedMmPerS)} at ${depth(end.depthMm)} behind its line`
              : ''}
            , {wording.attitudeWords(report.attitude)}{' '}
            <Quiet>
              likely {speedBand(fall)}, {wording.provenance(fall.basis)}
            </Quiet>
          </>
        ) : null}
        {report.kind === 'floats' && !report.rise ? '. There is no fall to show.' : ''}
        {report.kind === 'floats' && report.rise
          ? `; let go on the bed it rises ${speed((report.rise.trailing ?? report.rise.free).sinkSpeedMmPerS.value)}${report.rise.trailing ? ' with its line' : ''}`
          : ''}
      </span>
      {onTakeOut ? (
        <Button look="quiet" onPress={onTakeOut} aria-label={`Take ${fly.name} out`}>
          {labels.takeOut}
        </Button>
      ) : null}
    </Row>
  )
}

/** Up to six flies side by side: falling in the tank, as curves, as a table; and what was measured of them. */
export default function Tank() {
  const { data } = usePatternsQuery()
  const { data: measurements } = useMeasurementsQuery()
  const book = useMaterialBook()
  const { units, depth } = useWording()
  const svgRef = useRef<SVGSVGElement>(null)
  const water = useTankWater()
  const { conditions, depthMm, current, isHere } = water
  const now = useNow()
  useColumn(NARROW)
  const choices = useMemo(
    () =>
      (data?.patterns ?? []).flatMap(({ name, variants }) =>
        variants.map(({ id, label }) => ({ id: id as string, name: `${name} ${label}` })),
      ),
    [data],
  )
  const { ids, add, takeOut } = useChosenFlies(choices)
  const key = ids.join(' ')
  const patternIds = useMemo(() => {
    const chosen = new Set(key.split(' '))
    return (data?.patterns ?? [])
      .filter(({ variants }) => variants.some(({ id }) => chosen.has(id)))
      .map(({ id }) => id)
  }, [data, key])
  const { data: recipes } = usePatternsOfQuery(patternIds, { skip: patternIds.length === 0 })
  const flies = useMemo(
    () =>
      recipes && book
        ? key
            .split(' ')
            .filter(Boolean)
            .flatMap((id) => putInTank(id, recipes, book, measurements, { conditions, depthMm }) ?? [])
        : [],
    [recipes, book, measurements, key, conditions, depthMm],
  )
  if (!data || !book) return <p aria-busy="true">{labels.fillingTheTank}</p>
  return (
    <>
      <Heading>
        <h1>{labels.tank}</h1>
        <Row $gap={8}>
          <Button
            onPress={() => void import('./exportTank.ts').then(({ saveCsv }) => saveCsv(flies))}
            isDisabled={flies.length === 0}
          >
            {labels.saveTheTable}
          </Button>
          <Button
            onPress={() =>
              void import('../../files/savePng.ts').then(
                ({ savePng }) => svgRef.current && savePng(svgRef.current, 'tank.png'),
              )
            }
            isDisabled={flies.length === 0}
          >
            {labels.saveThePicture}
          </Button>
        </Row>
      </Heading>
      {water.fields}
      {flies.map((fly) => (
        <FlyLine key={fly.id} fly={fly} onTakeOut={flies.length > 1 ? () => takeOut(fly.id) : null} />
      ))}
      <Row style={{ padding: '6px 0' }}>
        <Select
          label={labels.putAnotherFlyIn}
          hideLabel
          placeholder={flies.length < MOST_FLIES ? 'Put another fly in' : 'The tank holds six'}
          value={null}
          choices={choices.filter(({ id }) => !ids.includes(id))}
          onChange={add}
          isDisabled={flies.length >= MOST_FLIES}
          width="240px"
        />
      </Row>
      <TankLanes
        flies={flies}
        depthMm={depthMm}
        foods={isHere ? (now?.foods ?? []).filter(({ onIt }) => onIt >= LEAST_HUNG) : []}
        current={current}
        svgRef={svgRef}
      />
      <Suspense fallback={<p aria-busy="true">{labels.drawingTheCurves}</p>}>
        <FallChart flies={flies} units={units} depthMm={depthMm} />
      </Suspense>
      <Section>
        <h2>{labels.theSameAsA}</h2>
        <FallTables flies={flies} depthMm={depthMm} />
        <Quiet>
          With line the trailing length is the depth reached, so the fall slows as it goes; at the end of a
          leader of {depth(USUAL_LEADER.lengthMm)} the fly swings.
        </Quiet>
      </Section>
      <Suspense fallback={<p aria-busy="true">{labels.fillingTheTank}</p>}>
        <TankRigs />
      </Suspense>
      <Meeting flies={flies} depthMm={depthMm} />
      <Suspense fallback={<p aria-busy="true">{labels.openingTheMeasurements}</p>}>
        <Measured choices={choices} firstId={ids[0] ?? null} waterTempC={conditions.waterTempC} />
      </Suspense>
    </>
  )
}
