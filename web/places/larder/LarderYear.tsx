import { useVirtualizer } from '@tanstack/react-virtual'
import { useEffect, useMemo, useRef, useState } from 'react'
import styled from 'styled-components'
import {
  curveC,
  epochDayOf,
  MONTH_STARTS,
  newYearOf,
  wording,
  YEAR_STEP_DAYS,
  yearOf,
  isSought,
} from '../../../core/index.ts'
import type { ReachState, StageYear } from '../../../core/index.ts'
import type { ReachSeasonView, StageLine } from '../../../contract/index.ts'
import { useWording } from '../../words/useWording.ts'
import { MONTHS } from '../../words/days.ts'
import { Quiet } from '../../ui/layout.tsx'
import { runJob } from '../../workers/gateway.ts'
import { labels } from '../../words/larder.ts'

const ROW_PX = 40
const HIGH_PX = 30
const WIDTH = 365

const Scroll = styled.div`
  height: calc(100vh - 260px);
  min-height: 320px;
  overflow-y: auto;
  .inner {
    position: relative;
  }
  .row,
  .months {
    display: grid;
    grid-template-columns: 250px minmax(0, 1fr);
    gap: 10px;
    align-items: center;
  }
  .year {
    display: grid;
    grid-template-columns: repeat(12, minmax(0, 1fr));
    font: 0.8125rem/1.2 var(--figures);
    small {
      display: block;
      color: var(--quiet);
    }
  }
  .row {
    position: absolute;
    left: 0;
    right: 0;
    height: ${ROW_PX}px;
    border-bottom: 1px solid var(--rule);
  }
  button.name {
    min-height: 32px;
    padding: 0;
    overflow: hidden;
    font: inherit;
    text-align: left;
    text-overflow: ellipsis;
    white-space: nowrap;
    color: var(--thistle);
    background: none;
    border: 0;
    cursor: pointer;
  }
  svg {
    width: 100%;
    height: ${HIGH_PX}px;
    display: block;
  }
`

/** A food's year with its stage. */
export interface YearRow {
  readonly stage: StageLine
  readonly year: StageYear
}

/** Each food's year on the reach, worked out beside the page; null while it is. */
export function useYearRows(
  stages: readonly StageLine[] | undefined,
  reach: ReachState,
  on: string,
  wanted: boolean,
): readonly YearRow[] | null {
  const year = yearOf(epochDayOf(on))
  const [found, setFound] = useState<readonly StageYear[] | null>(null)
  useEffect(() => {
    if (!wanted || !stages) return
    const controller = new AbortController()
    const work = async () => {
      const result = await runJob(
        'yearOfStages',
        { stages, reach, year },
        { key: 'yearOfStages', signal: controller.signal },
      )
      if (!('kind' in result)) setFound(result)
    }
    void work()
    return () => controller.abort()
  }, [stages, reach, year, wanted])
  return useMemo(() => {
    const byId = new Map(stages?.map((stage) => [stage.id as string, stage]))
    return (
      found?.flatMap((of): YearRow[] => {
        const stage = byId.get(of.stageId)
        return stage ? [{ stage, year: of }] : []
      }) ?? null
    )
  }, [found, stages])
}

const outline = (heights: readonly number[]) =>
  `M0 ${HIGH_PX}${heights.map((height, i) => `L${Math.min(i * YEAR_STEP_DAYS, 365)} ${(HIGH_PX * (1 - height)).toFixed(1)}`).join('')}L365 ${HIGH_PX}Z`

/** Day of the year of a date MM-DD. */
export const dayOf = (monthDay: string) =>
  (MONTH_STARTS[Number(monthDay.slice(0, 2)) - 1] ?? 0) + Number(monthDay.slice(3, 5)) - 1

interface LarderYearProps {
  readonly rows: readonly YearRow[]
  readonly season: ReachSeasonView | undefined
  readonly on: string
  readonly sought: string
  readonly onOpen: (stageId: string) => void
}

/** The year of the reach: a band for each food, as high as it is likely, its soft edge the doubt; ticks where it was seen. */
export function LarderYear({ rows: all, season, on, sought, onOpen }: LarderYearProps) {
  const { units } = useWording()
  const today = epochDayOf(on)
  const year = yearOf(today)
  const rows = all.filter(({ stage }) => isSought(stage, sought))
  const scroll = useRef<HTMLDivElement>(null)
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroll.current,
    estimateSize: () => ROW_PX,
    overscan: 6,
  })
  const now = today - newYearOf(year)
  return (
    <>
      <Scroll ref={scroll} tabIndex={0} role="region" aria-label={labels.foodsThroughTheYear}>
        <div className="months" aria-hidden="true">
          <span />
          <span className="year">
            {MONTH_STARTS.map((day, month) => (
              <span key={day}>
                {season ? wording.degreesOnly(curveC(season.warmth.model, day + 15), units) : ''}
                <small>{MONTHS[month]}</small>
              </span>
            ))}
          </span>
        </div>
        <div className="inner" style={{ height: virtual.getTotalSize() }}>
          {virtual.getVirtualItems().map(({ index, start }) => {
            const row = rows[index]
            if (!row) return null
            const { stage } = row
            const { values, highs, best } = row.year
            const seen = season?.seenOn[stage.id] ?? []
            return (
              <div key={stage.id} className="row" style={{ top: start }}>
                <button type="button" className="name" onClick={() => onOpen(stage.id)}>
                  {stage.foodName}, {stage.stageName}
                </button>
                <svg
                  viewBox={`0 0 ${WIDTH} ${HIGH_PX}`}
                  preserveAspectRatio="none"
                  role="img"
                  aria-label={`${stage.foodName}, ${stage.stageName}: at most ${Math.round(best * 10)} in 10${seen.length > 0 ? `; seen ${seen.join(', ')}` : ''}`}
                >
                  {MONTH_STARTS.map((day) => (
                    <line
                      key={day}
                      x1={day}
                      x2={day}
                      y1={0}
                      y2={HIGH_PX}
                      stroke="var(--rule)"
                      strokeWidth={0.5}
                    />
                  ))}
                  <path d={outline(highs)} fill="var(--thistle)" opacity={0.22} />
                  <path d={outline(values)} fill="var(--thistle)" opacity={0.65} />
                  {seen.map((monthDay, i) => (
                    <line
                      key={i}
                      x1={dayOf(monthDay)}
                      x2={dayOf(monthDay)}
                      y1={0}
                      y2={HIGH_PX}
                      stroke="var(--ink)"
                      strokeWidth={1.4}
                    />
                  ))}
                  <line x1={now} x2={now} y1={0} y2={HIGH_PX} stroke="var(--madder)" strokeWidth={0.7} />
                </svg>
              </div>
            )
          })}
        </div>
      </Scroll>
      <Quiet>
        {rows.length} foods of this water, the earliest first, what is there all year last; above, the water’s
        usual warmth in °C. Dark: how likely; pale: how likely it may be. Black ticks: seen here. Red: the
        moment.
      </Quiet>
    </>
  )
}
