import { useMemo, useRef, useState } from 'react'
import type { RefObject } from 'react'
import styled from 'styled-components'
import { within } from '../../../contract/limits.ts'
import { isStillwater, STRIP_MM, wording } from '../../../core/index.ts'
import type { FishesRig, RigInWater, RigPart } from '../../../core/index.ts'
import type { RigLine } from '../../../contract/index.ts'
import { useMoment } from '../../moment/useMoment.ts'
import type { Moment } from '../../moment/useMoment.ts'
import { inReach, USUAL_TIP_MM } from '../../parts/rigs/inReach.ts'
import { RigUnderWater } from '../../parts/rigs/RigUnderWater.tsx'
import { useRigFishes } from '../../parts/rigs/useRigFishes.ts'
import { fliesFrom, useFlyBook, useFlyChoices } from '../../parts/rigs/useRigFlies.ts'
import type { Worked } from '../../parts/useJob.ts'
import { Working } from '../../parts/Working.tsx'
import { Button } from '../../ui/Button.tsx'
import { Dense, Quiet, Row, Section } from '../../ui/layout.tsx'
import { MeasureField } from '../../ui/MeasureField.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { numberIn } from '../../ui/said.ts'
import type { Said } from '../../ui/said.ts'
import { Select } from '../../ui/Select.tsx'
import { useRigsQuery } from '../../wire/answers.ts'
import { labels } from '../../words/tank.ts'
import { useWording } from '../../words/useWording.ts'
import type { RigInTank } from './rigsInTank.ts'

const Sides = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(340px, 100%), 1fr));
  gap: 14px 24px;
`

const NONE = 'none'
const LONGEST_S = 60
/** Of a stillwater of which nothing else is said. */
const USUAL_DEPTH_MM = 6000
const TABLE_S = [0, 5, 10, 15, 20, 30, 45, 60]

/** How both are fished: counted so long, then pulled at a speed with a pause between strips. */
interface FishedSo {
  readonly depthMm: number | null
  readonly countS: number | null
  readonly pullMmPerS: number | null
  readonly pauseS: number | null
}

/** A rig on its way down and home; null while it is not known. */
function useSinking(
  rig: RigLine | undefined,
  moment: Moment | null,
  key: string,
  { depthMm, countS, pullMmPerS, pauseS }: FishedSo,
) {
  const flies = useFlyChoices()
  const parts = rig?.parts
  const book = useFlyBook(
    (parts ?? []).flatMap((part) => ('fly' in part ? (part.fly ?? []) : [])),
    moment?.waterTempC ?? null,
  )
  const isUnsaid = depthMm === null || countS === null || pullMmPerS === null || pauseS === null
  const input = useMemo((): RigInWater | null => {
    if (!parts || !book || !moment || isUnsaid) return null
    return {
      ...inReach(moment, 'counted', depthMm),
      ...{ parts, flies: fliesFrom(book, parts), tipHeightMm: USUAL_TIP_MM, ledMmPerS: 0 },
      retrieved: { countS, retrieve: { mmPerS: pullMmPerS, stripMm: STRIP_MM, pauseS } },
    }
  }, [parts, book, moment, depthMm, isUnsaid, countS, pullMmPerS, pauseS])
  const worked = useRigFishes(input, key)
  const { found, of, isOfThis } = worked
  const nameOf = (part: RigPart) =>
    'fly' in part ? [flies?.find(({ id }) => id === part.fly)?.name ?? ''] : []
  const names = (of?.parts ?? []).flatMap(nameOf)
  const fishes = found?.kind === 'fishes' ? found : null
  return {
    worked,
    fishes,
    why: isUnsaid ? labels.sayAll : found?.kind === 'not' && isOfThis ? wording.rigNotSentence(found) : null,
    names: (fishes?.hung ?? []).map((i) => names[i] ?? ''),
  }
}

/** Depths by the second of a rig's flies, in a table. */
function BySeconds({ name, flies, fishes }: RigInTank) {
  const { units } = useWording()
  return (
    <Dense aria-label={`${labels.depthBySecond} ${name}`} style={{ width: 'auto' }}>
      <thead>
        <tr>
          <th className="figures">s</th>
          {flies.map((fly, i) => (
            <th key={i} className="figures">
              {fly}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {TABLE_S.map((s) => (
          <tr key={s}>
            <td className="figures">{s}</td>
            {fishes.moments[s]?.there.map(({ depthMm, band, onBed }, i) => (
              <td key={i} className="figures">
                {onBed ? labels.onTheBed : wording.fineDepth(Math.max(depthMm, 0), units)}{' '}
                {band && !onBed && s > 0 ? (
                  <Quiet>
                    {wording.fineDepth(band.lowMm, units)}–{wording.fineDepth(band.highMm, units)}
                  </Quiet>
                ) : null}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </Dense>
  )
}

interface OneRigProps {
  readonly rig: RigLine
  readonly sinking: {
    readonly worked: Pick<Worked<unknown>, 'isBroken' | 'again'>
    readonly fishes: FishesRig | null
    readonly why: string | null
    readonly names: readonly string[]
  }
  readonly timeS: number
  readonly depthMm: number | null
  readonly svgRef: RefObject<SVGSVGElement | null>
}

/** One rig from the side at a second of its way. */
function OneRig({ rig, sinking, timeS, depthMm, svgRef }: OneRigProps) {
  const { worked, fishes, why, names } = sinking
  const now = fishes?.moments[timeS]
  return (
    <div>
      <h3>{rig.name}</h3>
      {now && fishes && depthMm !== null && !why ? (
        <>
          <RigUnderWater
            now={now}
            ghost={null}
            names={names}
            bedMm={depthMm}
            isCarried={false}
            title={`${rig.name}, ${timeS} s`}
            svgRef={svgRef}
          />
          <BySeconds name={rig.name} flies={names} fishes={fishes} />
        </>
      ) : why ? (
        <p role="status">{why}</p>
      ) : null}
      <Working of={worked} label={fishes || why ? null : labels.reckons} />
    </div>
  )
}

interface SaveThemProps {
  readonly inTank: readonly RigInTank[]
  readonly rigs: readonly (RigLine | undefined)[]
  readonly pictures: readonly RefObject<SVGSVGElement | null>[]
}

/** Saves what is reckoned as a table, and each rig as a picture. */
function SaveThem({ inTank, rigs, pictures }: SaveThemProps) {
  return (
    <Row $gap={8}>
      <Button
        isDisabled={inTank.length === 0}
        onPress={() => void import('./rigsInTank.ts').then(({ saveRigsCsv }) => saveRigsCsv(inTank))}
      >
        {labels.saveTheTable}
      </Button>
      {pictures.map((picture, i) =>
        rigs[i] ? (
          <Button
            key={i}
            onPress={() =>
              void import('../../files/savePng.ts').then(
                ({ savePng }) => picture.current && savePng(picture.current, 'rig.png'),
              )
            }
          >
            {labels.saveThePicture}: {rigs[i]?.name}
          </Button>
        ) : null,
      )}
    </Row>
  )
}

/** Whole rigs on their way down in still water and home again: up to two side by side, by the second. */
export default function TankRigs() {
  const { data } = useRigsQuery()
  const moment = useMoment()
  const { units } = useWording()
  const [[first, second], choose] = useState<readonly [string, string]>([NONE, NONE])
  const [deep, setDeep] = useState<Said | null>(null)
  const reach = moment?.reach
  const usualMm = reach && isStillwater(reach.waterKind) ? reach.typicalDepthMm : USUAL_DEPTH_MM
  const depthMm = numberIn(deep ?? usualMm)
  const [timeS, setTime] = useState(20)
  const [countS, setCount] = useState<number | null>(20)
  const [pullMmPerS, setPull] = useState<number | null>(200)
  const [pauseS, setPause] = useState<number | null>(1)
  const pictures = [useRef<SVGSVGElement>(null), useRef<SVGSVGElement>(null)] as const
  const rigOf = (id: string) => data?.rigs.find((rig) => rig.id === id)
  const fished = { depthMm, countS, pullMmPerS, pauseS }
  const rigs = [rigOf(first), rigOf(second)] as const
  const sinking = [
    useSinking(rigs[0], moment, 'tank rig 1', fished),
    useSinking(rigs[1], moment, 'tank rig 2', fished),
  ] as const
  if (!data || data.rigs.length === 0) return null
  const choices = [{ id: NONE, name: labels.noRig }, ...data.rigs]
  const inTank = rigs.flatMap((rig, i): RigInTank[] => {
    const fishes = sinking[i]?.fishes
    return rig && fishes ? [{ name: rig.name, flies: sinking[i]?.names ?? [], fishes }] : []
  })
  return (
    <Section aria-label={labels.wholeRigs}>
      <h2>{labels.wholeRigs}</h2>
      <Row $gap={10} $align="end" style={{ paddingBottom: 8 }}>
        <Select
          label={labels.aRig}
          value={first}
          choices={choices}
          onChange={(id) => choose([id, second])}
          width="220px"
        />
        <Select
          label={labels.besideIt}
          value={second}
          choices={choices}
          onChange={(id) => choose([first, id])}
          width="220px"
        />
        <MeasureField
          label={labels.waterDeep}
          unit={units.depth}
          value={depthMm}
          {...within('waterDepthMm')}
          onChange={(next) => setDeep(next ?? 'unclear')}
          onUnclear={() => setDeep('unclear')}
          width="110px"
        />
        <NumberField
          label={labels.countedTo}
          value={countS}
          min={0}
          max={LONGEST_S}
          onChange={setCount}
          onUnclear={() => setCount(null)}
          width="90px"
        />
        <MeasureField
          label={labels.pulledAt}
          unit={units.speed}
          value={pullMmPerS}
          min={0}
          max={2000}
          onChange={setPull}
          onUnclear={() => setPull(null)}
          width="140px"
        />
        <NumberField
          label={labels.pauseAfter}
          value={pauseS}
          min={0}
          max={20}
          onChange={setPause}
          onUnclear={() => setPause(null)}
          width="90px"
        />
      </Row>
      {rigs.some(Boolean) ? (
        <>
          <label style={{ display: 'flex', gap: 10, alignItems: 'center', paddingBottom: 8 }}>
            {labels.afterSeconds}
            <input
              type="range"
              min={0}
              max={LONGEST_S}
              value={timeS}
              onChange={({ target }) => setTime(Number(target.value))}
              style={{ flex: '0 1 320px', minWidth: 0, accentColor: 'var(--thistle)' }}
            />
            <span className="figures">{timeS}</span>
          </label>
          <Sides>
            {rigs.map((rig, i) => {
              const [one, svgRef] = [sinking[i], pictures[i]]
              return rig && one && svgRef ? (
                <OneRig key={i} rig={rig} sinking={one} timeS={timeS} depthMm={depthMm} svgRef={svgRef} />
              ) : null
            })}
          </Sides>
          <SaveThem inTank={inTank} rigs={rigs} pictures={pictures} />
        </>
      ) : null}
      <Quiet>
        {labels.castStraight} {wording.cutLength(STRIP_MM, units)}.
      </Quiet>
    </Section>
  )
}
