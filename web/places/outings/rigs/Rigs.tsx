import { useMemo, useState } from 'react'
import {
  fliesOnRig,
  rigForbids,
  settingOf,
  wantsNewKnots,
  weakestOf,
  withPoint,
  wording,
} from '../../../../core/index.ts'
import type { BringTo } from '../../../../core/index.ts'
import type { RigId, RigLine } from '../../../../contract/index.ts'
import { Button } from '../../../ui/Button.tsx'
import { within } from '../../../../contract/limits.ts'
import { useMoment } from '../../../moment/useMoment.ts'
import { Caution, Dense, Heading, Quiet, Row } from '../../../ui/layout.tsx'
import { Working } from '../../../parts/Working.tsx'
import { MeasureField } from '../../../ui/MeasureField.tsx'
import { usePlaceActions } from '../../../ui/shortcuts.ts'
import { useFrameQuery, useRigsQuery } from '../../../wire/answers.ts'
import { labels } from '../../../words/rigs.ts'
import { useWording } from '../../../words/useWording.ts'
import { wornBy } from './Knots.tsx'
import { RigSheet } from './RigSheet.tsx'
import { useFlyChoices } from '../../../parts/rigs/useRigFlies.ts'
import { useWhichRigs } from './useWhichRigs.ts'
import type { Wanted } from './useWhichRigs.ts'
import type { FlyChoice } from '../../../parts/rigs/useRigFlies.ts'

const NEW = 'new'
const NO_RIGS: readonly RigLine[] = []
const NOWRAP = { whiteSpace: 'nowrap' } as const

interface RigsProps {
  /** which is open: its id, `new`, or empty for the list */
  readonly open: string
  /** of a new one: which it is like */
  readonly like: string | null
  /** a fly that is asked after, on the point of each; null where none is */
  readonly fly: string | null
  readonly onOpen: (id: string, like?: { readonly like: string; readonly fly: string }) => void
  /** depths between which flies are wanted, where another place asked for them */
  readonly wanted: Wanted | null
  readonly onOutings: () => void
}

/** All rigs by name, or one of them open. */
export default function Rigs({ open, like, fly, onOpen, wanted, onOutings }: RigsProps) {
  const { data } = useRigsQuery()
  const { data: frame } = useFrameQuery()
  const moment = useMoment()
  const [fromMm, setFrom] = useState(wanted?.fromMm ?? null)
  const [toMm, setTo] = useState(wanted?.toMm ?? null)
  const between = useMemo(
    () => (fromMm !== null && toMm !== null && open === '' ? { fromMm, toMm } : null),
    [fromMm, toMm, open],
  )
  const flies = useFlyChoices()
  const asked = flies?.find(({ id }) => id === fly) ?? null
  const rigs = useMemo(
    () => (data ? (asked ? onPoints(data.rigs, asked.id) : data.rigs) : NO_RIGS),
    [data, asked],
  )
  const { brought, isBroken, again } = useWhichRigs(rigs, moment, between, asked?.id ?? null)
  const { units } = useWording()
  usePlaceActions(open ? [] : [{ key: 'n', what: labels.newRig, go: () => onOpen(NEW) }])
  if (!data || !flies) return <p aria-busy="true">{labels.turningThePages}</p>
  const opened = data.rigs.find(({ id }) => id === open)
  const show = (id: RigId | null) => onOpen(id ?? '')
  if (opened)
    return <RigSheet key={`${opened.id} ${opened.version}`} rig={opened} flies={flies} onOpen={show} />
  const model = rigs.find(({ id }) => id === like)
  const begin = model && asked ? { ...model, name: `${model.name}, ${asked.patternName}`, note: '' } : null
  if (open === NEW) return <RigSheet key={NEW} rig={null} like={begin} flies={flies} onOpen={show} />
  const nameOf = (id: string) => flies.find((fly) => fly.id === id)?.name ?? ''
  return (
    <>
      <Heading>
        <h1>{labels.rigs}</h1>
        <Button look="main" large onPress={() => onOpen(NEW)}>
          {labels.newRig}
        </Button>
        <Button look="quiet" onPress={onOutings}>
          {labels.outings}
        </Button>
      </Heading>
      {asked ? (
        <p>
          {labels.onThePoint} {asked.name}, {labels.onEachRig}{' '}
          <Button look="quiet" onPress={() => onOpen('')}>
            {labels.asTheyAre}
          </Button>
        </p>
      ) : null}
      {rigs.length > 0 && moment ? (
        <Row $gap={10} $align="end" style={{ padding: '4px 0 10px' }}>
          <span>{labels.whichFishes}</span>
          <MeasureField
            label={labels.fromDepth}
            unit={units.depth}
            value={fromMm}
            {...within('waterDepthMm')}
            mayBeEmpty
            onChange={setFrom}
            onUnclear={() => setFrom(null)}
            width="100px"
          />
          <MeasureField
            label={labels.toDepth}
            unit={units.depth}
            value={toMm}
            {...within('waterDepthMm')}
            mayBeEmpty
            onChange={setTo}
            onUnclear={() => setTo(null)}
            width="100px"
          />
          <span>at {moment.reach.reachName}?</span>
        </Row>
      ) : null}
      <Working of={{ isBroken, again }} />
      {data.rigs.length === 0 ? <p>{labels.noRigYet}</p> : null}
      <Dense aria-label={labels.rigs}>
        <tbody>
          {rigs.map((rig) => {
            const { id, name, way, parts, spells } = rig
            const setMm = settingOf(parts)
            const weakest = weakestOf(parts)
            const worn = frame ? wornBy(rig, frame.today) : null
            const carried = parts.flatMap((part) => ('fly' in part && part.fly ? [nameOf(part.fly)] : []))
            return (
              <tr key={id}>
                <td>
                  <Button
                    look="quiet"
                    onPress={() => (asked ? onOpen(NEW, { like: id, fly: asked.id }) : onOpen(id))}
                  >
                    {name}
                  </Button>
                </td>
                <td>
                  {carried.join(' · ')} <Quiet>{labels[way]}</Quiet>
                </td>
                <td>
                  {between ? (
                    <BroughtTo rig={rig} found={brought.get(rig.id)} isBroken={isBroken} flies={flies} />
                  ) : (
                    <span className="figures" style={NOWRAP}>
                      {setMm ? `set to ${wording.rigLength(setMm, units)}` : ''}
                    </span>
                  )}
                </td>
                <td className="figures" style={NOWRAP}>
                  {weakest ? `weakest ${wording.holds(weakest.holdsKg)}` : ''}
                </td>
                <td>
                  {spells > 0 ? `fished ${spells === 1 ? 'once' : `${spells} times`}` : ''}{' '}
                  {worn && wantsNewKnots(worn) ? <Caution>{labels.wantsKnots}</Caution> : null}
                </td>
              </tr>
            )
          })}
        </tbody>
      </Dense>
    </>
  )
}

/** Rigs with a fly on the point of each that has one. */
const onPoints = (rigs: readonly RigLine[], fly: string): readonly RigLine[] =>
  rigs.flatMap((rig) => {
    const parts = withPoint(rig.parts, fly)
    return parts ? [{ ...rig, parts: parts as RigLine['parts'] }] : []
  })

/** How a rig is brought between the depths that are wanted; what the water's note forbids is not proposed. */
function BroughtTo({
  rig,
  found,
  isBroken,
  flies,
}: {
  readonly rig: RigLine
  readonly found: BringTo | undefined
  readonly isBroken: boolean
  readonly flies: readonly FlyChoice[]
}) {
  const { units } = useWording()
  const moment = useMoment()
  if (!moment) return null
  const choiceOf = (id: string | null) => flies.find((fly) => fly.id === id)
  const against = rigForbids(rig.parts, moment.reach.rules, (fly) => choiceOf(fly)?.sinks ?? false)
  if (against.length > 0) return <Quiet>{wording.rigForbidsSentence(moment.reach.waterName, against)}</Quiet>
  if (rig.way === 'counted' && moment.reach.surfaceSpeedMmPerS > 0) return <Quiet>{labels.notInARun}</Quiet>
  if (!found) return isBroken ? null : <Quiet>{labels.reckons}</Quiet>
  const nameOf = (fly: number) => choiceOf(fliesOnRig(rig.parts)[fly] ?? null)?.name ?? ''
  const said = wording.bringToSentence(found, nameOf, units)
  return found.kind === 'no' || found.kind === 'not' ? <Quiet>{said}</Quiet> : <span>{said}</span>
}
