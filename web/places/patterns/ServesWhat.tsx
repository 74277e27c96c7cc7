import { memo, useMemo } from 'react'
import {
  appearanceOf,
  bandIn,
  behaviourOf,
  choosyIn,
  epochDayOf,
  lengthOn,
  matchFly,
  monthsAt,
  wording,
} from '../../../core/index.ts'
import type { FlyMatch, MatchAspect, School, Technique, Verdict } from '../../../core/index.ts'
import type { MomentView, StageLine } from '../../../contract/index.ts'
import { useFrameQuery, useLarderQuery } from '../../wire/answers.ts'
import { useNow } from '../../moment/useNow.ts'
import { light } from '../../wire/state.ts'
import { useAppDispatch } from '../../wire/store.ts'
import { useMoment } from '../../moment/useMoment.ts'
import type { Moment } from '../../moment/useMoment.ts'
import { HooksFor } from '../../parts/HooksFor.tsx'
import { useWording } from '../../words/useWording.ts'
import { Dense, Quiet, Section } from '../../ui/layout.tsx'
import type { WorkedOut } from './useFlyReport.ts'
import { labels } from '../../words/patterns.ts'

interface Served {
  readonly stage: StageLine
  readonly onIt: number
  readonly lengthMm: readonly [low: number, high: number]
  readonly match: FlyMatch
  readonly meant: boolean
}

const MOST = 9
/** What is less likely about is not asked of a fly that is not meant for it. */
const LEAST_ABOUT = 0.08

/** What the tier says of the fly, and holds to matter. */
interface HowItIsMeant {
  readonly meantFor: readonly string[]
  readonly ways: readonly Technique[]
  readonly school: School
}

/** Foods of the season at the place, those it is meant for first, then by how many fish are on them and how well it does. */
function servedAt(
  worked: WorkedOut,
  stages: readonly StageLine[],
  now: MomentView,
  moment: Moment,
  { meantFor, ways, school }: HowItIsMeant,
): readonly Served[] {
  const { fly, report } = worked
  const { waterKind, typicalDepthMm: bedMm, surfaceSpeedMmPerS } = moment.reach
  const matched = { behaviour: behaviourOf(report), look: appearanceOf(fly), ways }
  const foods = new Map(now.foods.map((food) => [food.foodStageId, food]))
  const day = epochDayOf(moment.on)
  return stages
    .flatMap((stage): Served[] => {
      const food = foods.get(stage.id)
      const meant = meantFor.includes(stage.id)
      if (!bandIn(stage, waterKind) || ((food?.about ?? 0) < LEAST_ABOUT && !meant)) return []
      const [low, high] = lengthOn(monthsAt(stage, moment.reach.latitudeDeg), day)
      const lengthMmLow = food?.lengthMmLow ?? low
      const lengthMmHigh = food?.lengthMmHigh ?? high
      const match = matchFly(
        matched,
        { ...stage, choosy: choosyIn(moment.said?.clarity ?? null, stage.choosy) },
        { waterKind, bedMm, surfaceSpeedMmPerS, lengthMmLow, lengthMmHigh },
        { school, meant },
      )
      return [{ stage, onIt: food?.onIt ?? 0, lengthMm: [lengthMmLow, lengthMmHigh], match, meant }]
    })
    .sort((a, b) => Number(b.meant) - Number(a.meant) || b.match.score * b.onIt - a.match.score * a.onIt)
    .slice(0, MOST)
}

const DECIDING: ReadonlySet<string> = new Set(['size', 'depth', 'posture'])

/** Size, depth and posture always, of the rest what is off, and how to move it. */
const worthSaying = (aspects: readonly MatchAspect[]) =>
  aspects.filter(({ aspect, code, score }) => {
    const afloat =
      aspect === 'depth' && code === 'depthRight' && aspects.some((other) => other.aspect === 'posture')
    return !afloat && (DECIDING.has(aspect) || aspect === 'movement' || score < 0.9)
  })

const SCHOOL_WORDS: Readonly<Record<School, string>> = {
  sizeAndStage: 'size and stage first',
  exact: 'the natural in every part',
  bright: 'something bright first',
  presentation: 'how it is shown first',
}

const VERDICTS: Readonly<Record<Verdict, { readonly word: string; readonly colour: string }>> = {
  serves: { word: 'serves it', colour: 'var(--moss)' },
  couldPass: { word: 'could pass', colour: 'var(--quiet)' },
  doesNot: { word: 'does not serve it', colour: 'var(--madder)' },
}

/** Which of the season's foods the variant serves here, and where it is too slow, too fast, too large or too small. */
export const ServesWhat = memo(function ServesWhat({
  worked,
  meantFor,
  ways,
}: {
  readonly worked: WorkedOut
  readonly meantFor: readonly string[]
  readonly ways: readonly Technique[]
}) {
  const { data } = useLarderQuery()
  const school = useFrameQuery().data?.settings.school ?? 'sizeAndStage'
  const moment = useMoment()
  const now = useNow()
  const { units } = useWording()
  const dispatch = useAppDispatch()
  const rows = useMemo(
    () => (data && moment && now ? servedAt(worked, data.stages, now, moment, { meantFor, ways, school }) : []),
    [worked, data, now, moment, meantFor, ways, school],
  )
  if (!moment) return null
  return (
    <Section aria-label={labels.whatItServes}>
      <h2>
        What it serves at {moment.reach.reachName}{' '}
        <Quiet>· {SCHOOL_WORDS[school]}, at the moment in the Column</Quiet>
      </h2>
      <Dense aria-label={labels.foodsThatItServes}>
        <thead>
          <tr>
            <th>{labels.food}</th>
            <th className="number">{labels.fishOnIt}</th>
            <th>{labels.verdict}</th>
            <th>{labels.why}</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ stage, onIt, lengthMm: [low, high], match, meant }) => (
            <tr
              key={stage.id}
              onMouseEnter={() => dispatch(light(stage.id))}
              onMouseLeave={() => dispatch(light(null))}
            >
              <td>
                {stage.foodName}, {stage.stageName} {meant ? <Quiet>{labels.meantForIt}</Quiet> : null}
                <div>
                  <Quiet>{wording.smallSpan(low, high, units)}</Quiet>
                  <HooksFor stage={stage} lowMm={low} highMm={high} />
                </div>
              </td>
              <td className="number">{wording.fishOnIt(onIt)}</td>
              <td
                style={{
                  color: VERDICTS[match.verdict].colour,
                  whiteSpace: 'nowrap',
                }}
              >
                {VERDICTS[match.verdict].word}
              </td>
              <td>
                <Quiet>
                  {worthSaying(match.aspects)
                    .map((aspect) => wording.aspectSentence(aspect, units))
                    .join('; ')}
                </Quiet>
              </td>
            </tr>
          ))}
        </tbody>
      </Dense>
      {rows.length === 0 ? <p>{labels.nothingOfThisSeason}</p> : null}
    </Section>
  )
})
