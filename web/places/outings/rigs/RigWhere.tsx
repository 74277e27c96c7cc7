import { lazy, Suspense, useEffect, useMemo, useState } from 'react'
import type { RigLine } from '../../../../contract/index.ts'
import { within } from '../../../../contract/limits.ts'
import { USUAL_CAST_DEG, wording } from '../../../../core/index.ts'
import type { FishesRig, RigInWater, RigPart, RigWay } from '../../../../core/index.ts'
import type { Moment } from '../../../moment/useMoment.ts'
import { Button } from '../../../ui/Button.tsx'
import { Quiet, Row } from '../../../ui/layout.tsx'
import { MeasureField } from '../../../ui/MeasureField.tsx'
import { NumberField } from '../../../ui/NumberField.tsx'
import { labels } from '../../../words/rigs.ts'
import { useWording } from '../../../words/useWording.ts'
import { LineCounts } from './LineCounts.tsx'
import { useLineRate } from './useLineRate.ts'
import { useRigColumn } from './useRigColumn.ts'
import { inReach, USUAL_TIP_MM, usualLead } from '../../../parts/rigs/inReach.ts'
import { RigUnderWater } from '../../../parts/rigs/RigUnderWater.tsx'
import { useRigFishes } from '../../../parts/rigs/useRigFishes.ts'
import { fliesFrom, useFlyBook } from '../../../parts/rigs/useRigFlies.ts'
import type { FlyChoice } from '../../../parts/rigs/useRigFlies.ts'

const DragFree = lazy(() => import('./DragFree.tsx'))
const OtherFlies = lazy(() => import('./OtherFlies.tsx'))

const LONGEST_S = { counted: 60, swung: 30 }

const lineOf = (parts: readonly RigPart[]) => JSON.stringify(parts.filter(({ kind }) => kind === 'line'))

interface RigWhereProps {
  /** as it was saved; null for one that is being made */
  readonly rig: RigLine | null
  readonly parts: readonly RigPart[]
  readonly way: RigWay
  readonly flies: readonly FlyChoice[]
  readonly moment: Moment
  readonly isFixed: boolean
  readonly isDragging: boolean
  readonly isChanged: boolean
  readonly onPut: (parts: readonly RigPart[], isDragging: boolean) => void
  readonly onDrop: () => void
}

/** Where the flies of a rig fish, in the water of the moment: drawn to scale, with bands, and what to set. */
export function RigWhere({
  rig,
  parts,
  way,
  flies,
  moment,
  isFixed,
  isDragging,
  isChanged,
  onPut,
  onDrop,
}: RigWhereProps) {
  const { units } = useWording()
  const { reach, waterTempC } = moment
  const [tipMm, setTipMm] = useState<number | null>(USUAL_TIP_MM)
  const [ledMmPerS, setLed] = useState<number | null>(null)
  const [isLeading, setLeading] = useState(false)
  const [isAsking, setAsking] = useState(false)
  const [countS, setCount] = useState(15)
  const [castDeg, setCastDeg] = useState(USUAL_CAST_DEG)
  const [deepMm, setDeep] = useState<number | null>(null)
  const depthMm = deepMm ?? reach.typicalDepthMm
  const led = ledMmPerS ?? usualLead(moment)
  const book = useFlyBook(
    parts.flatMap((part) => ('fly' in part ? (part.fly ?? []) : [])),
    waterTempC,
  )
  // counts of another line say nothing of this one
  const rate = useLineRate(rig && lineOf(rig.parts) === lineOf(parts) ? rig : null, moment)
  const input = useMemo((): RigInWater | null => {
    if (!book || !tipMm) return null
    const water = inReach(moment, way, depthMm)
    return {
      ...water,
      ...(rate ? { lineRate: rate } : {}),
      parts,
      flies: fliesFrom(book, parts),
      tipHeightMm: tipMm,
      ledMmPerS: led,
      castDeg,
      isQuick: isDragging || isLeading,
    }
  }, [parts, book, rate, way, moment, depthMm, tipMm, led, castDeg, isDragging, isLeading])
  const { found, of, isOfThis } = useRigFishes(input)
  const fishes = found?.kind === 'fishes' && found.way === way ? found : null
  // what was saved stays behind what is being moved
  const [base, setBase] = useState<FishesRig | null>(null)
  useEffect(() => {
    if (fishes && isOfThis && !isChanged && !isDragging) setBase(fishes)
  }, [fishes, isOfThis, isChanged, isDragging])
  const chosen = useMemo(
    () => (of?.parts ?? []).flatMap((part) => ('fly' in part ? [flies.find(({ id }) => id === part.fly)] : [])),
    [of, flies],
  )
  const at = (one: FishesRig | null) => one?.moments[Math.min(countS, one.moments.length - 1)] ?? null
  const now = at(fishes)
  const names = (fishes?.hung ?? []).map((i) => chosen[i]?.name ?? '')
  const ghost = isChanged && base?.way === way ? at(base) : null
  const set = useMemo(
    () => ({
      put: onPut,
      lead: (mmPerS: number, dragging: boolean) => {
        setLed(mmPerS)
        setLeading(dragging)
      },
      count: setCount,
      drop: () => {
        setLeading(false)
        onDrop()
      },
    }),
    [onPut, onDrop],
  )
  // the Column ends at the bed of the reach: what is reckoned in other water has no place in it
  const isThere = depthMm === reach.typicalDepthMm
  useRigColumn({
    ...{ fishes: isThere ? fishes : null, of, asked: input, now, ghost, countS, chosen, isFixed, set },
  })
  const where =
    way === 'counted' ? `In still water of ${wording.fineDepth(depthMm, units)}` : `At ${reach.reachName}`
  return (
    <div>
      <section aria-label={labels.whereItFishes}>
        <h2>{labels.whereItFishes}</h2>
        <Row $gap={10} $align="end" style={{ paddingBottom: 8 }}>
          <MeasureField
            label={labels.waterDeep}
            unit={units.depth}
            value={depthMm}
            {...within('waterDepthMm')}
            onChange={setDeep}
            width="120px"
          />
          {way === 'tight' ? (
            <>
              <MeasureField
                label={labels.tipAbove}
                unit={units.depth}
                value={tipMm}
                min={200}
                max={5000}
                onChange={setTipMm}
                width="150px"
              />
              <MeasureField
                label={labels.ledAt}
                unit={units.speed}
                value={led}
                min={10}
                max={4000}
                onChange={setLed}
                width="120px"
              />
            </>
          ) : null}
        </Row>
        {way === 'swung' ? (
          <div style={{ paddingBottom: 8 }}>
            <NumberField
              label={labels.castAt}
              value={castDeg}
              min={10}
              max={120}
              onChange={(next) => setCastDeg(next ?? USUAL_CAST_DEG)}
              width="170px"
            />
          </div>
        ) : null}
        {way === 'counted' || way === 'swung' ? (
          <label style={{ display: 'flex', gap: 10, alignItems: 'center', paddingBottom: 8 }}>
            {way === 'counted' ? labels.count : labels.afterTheCast}
            <input
              type="range"
              min={0}
              max={LONGEST_S[way]}
              value={Math.min(countS, LONGEST_S[way])}
              onChange={({ target }) => setCount(Number(target.value))}
              style={{ flex: '0 1 260px', minWidth: 0, accentColor: 'var(--thistle)' }}
            />
            <span className="figures">{Math.min(countS, LONGEST_S[way])}</span>
          </label>
        ) : null}
        <p role="status">
          {found?.kind === 'not' && isOfThis
            ? wording.rigNotSentence(found)
            : now && fishes && of
              ? `${where}: ${[...wording.rigFlySentences(now, names, units), ...wording.rigSentences(fishes, of, units)].join(' ')}`
              : labels.reckons}
        </p>
        {now && !(found?.kind === 'not' && isOfThis) ? (
          <RigUnderWater
            now={now}
            ghost={ghost}
            names={names}
            bedMm={depthMm}
            isCarried={way === 'carried'}
            title={`${labels.whereItFishes}: ${wording.rigFlySentences(now, names, units).join(' ')}`}
          />
        ) : null}
        {way === 'carried' || way === 'tight' ? (
          isAsking && input ? (
            <Suspense fallback={<p>{labels.reckons}</p>}>
              <OtherFlies rig={input} flies={flies} moment={moment} />
            </Suspense>
          ) : (
            <Button onPress={() => setAsking(true)}>{labels.whichWouldDo}</Button>
          )
        ) : null}
        {way === 'counted' && rig ? <LineCounts rig={rig} rate={rate} waterTempC={waterTempC} /> : null}
        <p>
          <Quiet>
            {labels.doubts} {labels.reckonedWith}
          </Quiet>
        </p>
      </section>
      {way === 'carried' && reach.surfaceSpeedMmPerS > 0 && parts.some(({ kind }) => kind === 'line') ? (
        <Suspense fallback={<p>{labels.reckons}</p>}>
          <DragFree parts={parts} moment={moment} />
        </Suspense>
      ) : null}
    </div>
  )
}
