import { useEffect, useState } from 'react'
import styled from 'styled-components'
import {
  appearanceOf,
  behaviourOf,
  epochDayOf,
  MONTH_STARTS,
  WEEK_DAYS,
  wording,
  yearOf,
} from '../../../core/index.ts'
import type { StageOfUse, Technique, YearOfUse as Year } from '../../../core/index.ts'
import type { ReachChoice, StageLine } from '../../../contract/index.ts'
import { useFrameQuery, useLarderQuery } from '../../wire/answers.ts'
import { api } from '../../wire/api.ts'
import { useAppDispatch } from '../../wire/store.ts'
import { useMoment } from '../../moment/useMoment.ts'
import { useWording } from '../../words/useWording.ts'
import { dayMonth, MONTHS } from '../../words/days.ts'
import { Button } from '../../ui/Button.tsx'
import { Quiet, Section } from '../../ui/layout.tsx'
import { runJob } from '../../workers/gateway.ts'
import type { WorkedOut } from './useFlyReport.ts'
import { labels } from '../../words/patterns.ts'

const HIGH_PX = 26
const MOST_FOODS = 3

const Rows = styled.div`
  display: grid;
  grid-template-columns: minmax(130px, 170px) minmax(200px, 1fr) minmax(0, 1.3fr);
  gap: 4px 12px;
  align-items: center;
  svg {
    width: 100%;
    height: ${HIGH_PX}px;
    display: block;
  }
  .months {
    display: flex;
    justify-content: space-between;
    padding: 0 2%;
    font: 0.75rem/1 var(--figures);
    color: var(--quiet);
  }
`

const outline = (use: readonly number[]) =>
  `M0 ${HIGH_PX}${use.map((value, i) => `L${Math.min(i * WEEK_DAYS, 365)} ${(HIGH_PX * (1 - value)).toFixed(1)}`).join('')}L365 ${HIGH_PX}Z`

/** What the fly is good for on each of the user's reaches; null while it is worked out. */
function useYears(worked: WorkedOut, meantFor: readonly string[], ways: readonly Technique[], asked: boolean) {
  const { data: frame } = useFrameQuery()
  const { data: larder } = useLarderQuery()
  const moment = useMoment()
  const dispatch = useAppDispatch()
  const [years, setYears] = useState<readonly Year[] | null>(null)
  useEffect(() => {
    if (!asked || !frame || !larder || !moment) return
    const controller = new AbortController()
    const year = yearOf(epochDayOf(moment.on))
    const reachOfUse = async (reach: ReachChoice) => {
      const asked = dispatch(api.endpoints.reachYear.initiate({ reachId: reach.reachId, year }))
      const { stages } = await asked.unwrap()
      asked.unsubscribe()
      return {
        key: reach.reachId,
        waterKind: reach.waterKind,
        latitudeDeg: reach.latitudeDeg,
        about: new Map(stages.map(({ stageId, about }) => [stageId as string, about])),
        bedMm: reach.typicalDepthMm,
        surfaceSpeedMmPerS: reach.surfaceSpeedMmPerS,
      }
    }
    const work = async () => {
      const result = await runJob(
        'yearOfUse',
        {
          fly: { behaviour: behaviourOf(worked.report), look: appearanceOf(worked.fly), ways },
          stages: larder.stages,
          meantFor,
          reaches: await Promise.all(frame.reaches.map(reachOfUse)),
          year,
          school: frame.settings.school,
        },
        { key: 'yearOfUse', signal: controller.signal },
      )
      if (!('kind' in result)) setYears(result)
    }
    void work()
    return () => controller.abort()
  }, [asked, frame, larder, moment, worked, meantFor, ways, dispatch])
  return years
}

function foodsInWords(found: readonly StageOfUse[], stages: ReadonlyMap<string, StageLine>): string {
  return found
    .slice(0, MOST_FOODS)
    .map(({ stageId, dayOfYear, band }) => {
      const stage = stages.get(stageId)
      const name = stage ? `${stage.foodName}, ${stage.stageName}` : ''
      return `${name} (${wording.depthBandName[band]}, about ${dayMonth(dayOfYear, false)})`
    })
    .join('; ')
}

function ReachRow({
  year,
  reach,
  stages,
  onTopOf,
}: {
  readonly year: Year
  readonly reach: ReachChoice
  readonly stages: ReadonlyMap<string, StageLine>
  readonly onTopOf: number
}) {
  const { units } = useWording()
  const [miss] = year.misses
  const rest = year.serves.length - MOST_FOODS
  return (
    <>
      <span>{reach.reachName}</span>
      <svg
        viewBox={`0 0 365 ${HIGH_PX}`}
        preserveAspectRatio="none"
        role="img"
        aria-label={`${reach.reachName}: of use at most ${wording.inTen(Math.max(...year.use))}`}
      >
        {MONTH_STARTS.map((day) => (
          <line key={day} x1={day} x2={day} y1={0} y2={HIGH_PX} stroke="var(--rule)" strokeWidth={0.6} />
        ))}
        <path d={outline(year.use)} fill="var(--thistle)" opacity={0.6} />
        <line x1={onTopOf} x2={onTopOf} y1={0} y2={HIGH_PX} stroke="var(--madder)" strokeWidth={0.9} />
      </svg>
      <Quiet>
        {year.serves.length > 0
          ? `${foodsInWords(year.serves, stages)}${rest > 0 ? `; ${rest} more` : ''}`
          : 'of no use here'}
        {miss?.worst
          ? `. Meant for ${stages.get(miss.stageId)?.foodName ?? ''}, but ${wording.aspectSentence(miss.worst, units)}`
          : ''}
      </Quiet>
    </>
  )
}

/** Where in the year, on which reaches and at which depth the variant is of use; worked out when it is asked for. */
export function YearOfUse({
  worked,
  meantFor,
  ways,
}: {
  readonly worked: WorkedOut
  readonly meantFor: readonly string[]
  readonly ways: readonly Technique[]
}) {
  const [asked, setAsked] = useState(false)
  const years = useYears(worked, meantFor, ways, asked)
  const { data: frame } = useFrameQuery()
  const { data: larder } = useLarderQuery()
  const moment = useMoment()
  if (!frame || !larder || !moment) return null
  const stages = new Map(larder.stages.map((stage) => [stage.id as string, stage]))
  const now = epochDayOf(moment.on) - epochDayOf(`${moment.on.slice(0, 4)}-01-01`)
  return (
    <Section aria-label={labels.throughTheYear}>
      <h2>{labels.throughTheYearOn}</h2>
      {asked ? null : <Button onPress={() => setAsked(true)}>{labels.showWhenAndWhere}</Button>}
      {asked && !years ? <p aria-busy="true">{labels.goingThroughTheYear}</p> : null}
      {years ? (
        <Rows>
          <span />
          <span className="months" aria-hidden="true">
            {MONTHS.map((month) => (
              <span key={month}>{month.charAt(0)}</span>
            ))}
          </span>
          <Quiet>{labels.whatItStandsFor}</Quiet>
          {years.map((year) => {
            const reach = frame.reaches.find(({ reachId }) => reachId === year.key)
            return reach ? (
              <ReachRow key={year.key} year={year} reach={reach} stages={stages} onTopOf={now} />
            ) : null
          })}
        </Rows>
      ) : null}
    </Section>
  )
}
