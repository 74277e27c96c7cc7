import { memo, useMemo } from 'react'
import {
  bandIn,
  behaviourOf,
  bodyLengthMm,
  epochDayOf,
  matchFly,
  stageLikelihood,
  wording,
} from '../../../core/index.ts'
import type { FlyMatch, ReachState } from '../../../core/index.ts'
import type { StageLine } from '../../../contract/index.ts'
import { useLarderQuery } from '../../app/api.ts'
import { useReachState } from '../../app/useReachState.ts'
import { light } from '../../app/state.ts'
import { useAppDispatch } from '../../app/store.ts'
import { useMoment } from '../../app/useMoment.ts'
import type { Moment } from '../../app/useMoment.ts'
import { useWording } from '../../app/useWording.ts'
import { Dense, Quiet, Section } from '../../ui/layout.tsx'
import type { WorkedOut } from './useFlyReport.ts'

interface Served {
  readonly stage: StageLine
  readonly likelihood: number
  readonly match: FlyMatch
  readonly meant: boolean
}

const MOST = 9

/** Foods of the season at the place, those it is meant for first, then by likelihood and fit. */
function servedAt(
  worked: WorkedOut,
  stages: readonly StageLine[],
  moment: Moment,
  meantFor: ReadonlySet<string>,
  reach: ReachState,
): readonly Served[] {
  const { fly, report } = worked
  const body = fly.components.find(({ kind }) => kind === 'body' || kind === 'thorax' || kind === 'foam')
  const matched = {
    behaviour: behaviourOf(report),
    bodyLengthMm: bodyLengthMm(fly),
    bodyHexWet: body?.material.colourWetHex ?? null,
  }
  const day = epochDayOf(moment.on)
  return stages
    .flatMap((stage): Served[] => {
      const found = stageLikelihood(stage, reach, day, moment.localMin, 'any')
      const meant = meantFor.has(stage.id)
      if (
        !bandIn(stage, reach.waterKind) ||
        found.lengthMmHigh === 0 ||
        (found.likelihood.value < 0.08 && !meant)
      )
        return []
      const match = matchFly(matched, stage, {
        waterKind: reach.waterKind,
        bedMm: moment.reach.typicalDepthMm,
        surfaceSpeedMmPerS: moment.reach.surfaceSpeedMmPerS,
        lengthMmLow: found.lengthMmLow,
        lengthMmHigh: found.lengthMmHigh,
      })
      return [{ stage, likelihood: found.likelihood.value, match, meant }]
    })
    .sort(
      (a, b) =>
        Number(b.meant) - Number(a.meant) || b.match.score * b.likelihood - a.match.score * a.likelihood,
    )
    .slice(0, MOST)
}

type Verdict = 'serves it' | 'in part' | 'does not serve it'

/** It serves a food where nothing is wrong with size and depth; in part where one of them is off, but not by much. */
function verdictOf({ score, aspects }: FlyMatch): Verdict {
  const off = aspects.some(({ aspect, score: own }) => aspect !== 'colour' && own < 1)
  if (score < 0.4) return 'does not serve it'
  return off || score < 0.7 ? 'in part' : 'serves it'
}

const COLOURS: Readonly<Record<Verdict, string>> = {
  'serves it': 'var(--moss)',
  'in part': 'var(--brass)',
  'does not serve it': 'var(--madder)',
}

/** Which of the season's foods the variant serves here, and where it is too slow, too fast, too large or too small. */
export const ServesWhat = memo(function ServesWhat({
  worked,
  meantFor,
}: {
  readonly worked: WorkedOut
  readonly meantFor: readonly string[]
}) {
  const { data } = useLarderQuery()
  const moment = useMoment()
  const reach = useReachState()
  const { units } = useWording()
  const dispatch = useAppDispatch()
  const rows = useMemo(
    () => (data && moment ? servedAt(worked, data.stages, moment, new Set(meantFor), reach) : []),
    [worked, data, moment, meantFor, reach],
  )
  if (!moment) return null
  return (
    <Section aria-label="What it serves">
      <h2>
        What it serves at {moment.reach.reachName}{' '}
        <Quiet>
          · by size, depth and colour at the moment in the Column; movement and triggers are not weighed yet
        </Quiet>
      </h2>
      <Dense aria-label="Foods that it serves">
        <thead>
          <tr>
            <th>food</th>
            <th className="number">likely</th>
            <th>verdict</th>
            <th>why</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ stage, likelihood, match, meant }) => (
            <tr
              key={stage.id}
              onMouseEnter={() => dispatch(light(stage.id))}
              onMouseLeave={() => dispatch(light(null))}
            >
              <td>
                {stage.foodName}, {stage.stageName} {meant ? <Quiet>meant for it</Quiet> : null}
              </td>
              <td className="number">{wording.inTen(likelihood)}</td>
              <td
                style={{
                  color: COLOURS[verdictOf(match)],
                  whiteSpace: 'nowrap',
                }}
              >
                {verdictOf(match)}
              </td>
              <td>
                <Quiet>{match.aspects.map((aspect) => wording.aspectSentence(aspect, units)).join('; ')}</Quiet>
              </td>
            </tr>
          ))}
        </tbody>
      </Dense>
      {rows.length === 0 ? <p>Nothing of this season at this place comes near it.</p> : null}
    </Section>
  )
})
