import { useEffect, useMemo, useState } from 'react'
import type { RigLine } from '../../../../contract/index.ts'
import { within } from '../../../../contract/limits.ts'
import { wording } from '../../../../core/index.ts'
import type { FishesRig, RigInWater, RigPart, RigWay } from '../../../../core/index.ts'
import { flyNames } from '../../../column/shortNames.ts'
import { EMPTY_CONTENT, useColumn } from '../../../column/marks.ts'
import type { ColumnContent } from '../../../column/marks.ts'
import type { Moment } from '../../../moment/useMoment.ts'
import { Quiet, Row } from '../../../ui/layout.tsx'
import { MeasureField } from '../../../ui/MeasureField.tsx'
import { labels } from '../../../words/rigs.ts'
import { useWording } from '../../../words/useWording.ts'
import { LineCounts } from './LineCounts.tsx'
import { useLineRate } from './useLineRate.ts'
import { inReach, USUAL_TIP_MM, usualLead } from '../../../parts/rigs/inReach.ts'
import { RigUnderWater } from '../../../parts/rigs/RigUnderWater.tsx'
import { useRigFishes } from '../../../parts/rigs/useRigFishes.ts'
import { fliesFrom, useFlyBook } from '../../../parts/rigs/useRigFlies.ts'
import type { FlyChoice } from '../../../parts/rigs/useRigFlies.ts'

const LONGEST_COUNT_S = 60

const lineOf = (parts: readonly RigPart[]) => JSON.stringify(parts.filter(({ kind }) => kind === 'line'))

interface RigWhereProps {
  /** as it was saved; null for one that is being made */
  readonly rig: RigLine | null
  readonly parts: readonly RigPart[]
  readonly way: RigWay
  readonly flies: readonly FlyChoice[]
  readonly moment: Moment
  readonly isDragging: boolean
  readonly isChanged: boolean
}

/** The flies of a rig in the Column, each where it fishes. */
function useRigColumn(found: FishesRig | null, atS: number, flies: readonly (FlyChoice | undefined)[]): void {
  const content = useMemo((): ColumnContent => {
    const there = found?.moments[Math.min(atS, found.moments.length - 1)]?.there
    if (!found || !there) return EMPTY_CONTENT
    return {
      ...EMPTY_CONTENT,
      flies: there.flatMap(({ depthMm, band }, i) => {
        const fly = flies[found.hung[i] ?? -1]
        if (!fly) return []
        const at = Math.max(depthMm, 0)
        const [fromMm, toMm] = band ? [band.lowMm, band.highMm] : [at, at]
        return {
          ...{
            id: `${fly.id}:${i}`,
            names: flyNames(fly.patternName, fly.label),
            words: '',
            depthMm: at,
            fromMm,
            toMm,
          },
          ...{ weight: 0, softWeight: 0, look: 'fly' as const, drawingKey: fly.drawingKey, rank: i, to: null },
        }
      }),
    }
  }, [found, atS, flies])
  useColumn(content)
}

/** Where the flies of a rig fish, in the water of the moment: drawn to scale, with bands, and what to set. */
export function RigWhere({ rig, parts, way, flies, moment, isDragging, isChanged }: RigWhereProps) {
  const { units } = useWording()
  const { reach, waterTempC } = moment
  const [tipMm, setTipMm] = useState<number | null>(USUAL_TIP_MM)
  const [ledMmPerS, setLed] = useState<number | null>(null)
  const [countS, setCount] = useState(15)
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
      isQuick: isDragging,
    }
  }, [parts, book, rate, way, moment, depthMm, tipMm, led, isDragging])
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
  useRigColumn(fishes, countS, chosen)
  const at = (one: FishesRig | null) => one?.moments[Math.min(countS, one.moments.length - 1)] ?? null
  const now = at(fishes)
  const names = (fishes?.hung ?? []).map((i) => chosen[i]?.name ?? '')
  const ghost = isChanged && base?.way === way ? at(base) : null
  const where =
    way === 'counted' ? `In still water of ${wording.fineDepth(depthMm, units)}` : `At ${reach.reachName}`
  return (
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
      {way === 'counted' ? (
        <label style={{ display: 'flex', gap: 10, alignItems: 'center', paddingBottom: 8 }}>
          {labels.count}
          <input
            type="range"
            min={0}
            max={LONGEST_COUNT_S}
            value={countS}
            onChange={({ target }) => setCount(Number(target.value))}
            style={{ flex: '0 1 260px', minWidth: 0, accentColor: 'var(--thistle)' }}
          />
          <span className="figures">{countS}</span>
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
      {way === 'counted' && rig ? <LineCounts rig={rig} rate={rate} waterTempC={waterTempC} /> : null}
      <p>
        <Quiet>
          {labels.doubts} {labels.reckonedWith}
        </Quiet>
      </p>
    </section>
  )
}
