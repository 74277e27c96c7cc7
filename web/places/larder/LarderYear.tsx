import { useVirtualizer } from '@tanstack/react-virtual'
import { useMemo, useRef } from 'react'
import styled from 'styled-components'
import {
  bandIn,
  chanceOfDay,
  curveC,
  epochDayOf,
  MONTH_STARTS,
  newYearOf,
  yearOf,
} from '../../../core/index.ts'
import type { ReachState } from '../../../core/index.ts'
import type { ReachSeasonView, StageLine } from '../../../contract/index.ts'
import { MONTHS } from '../../app/days.ts'
import { Quiet } from '../../ui/layout.tsx'

const STEP_DAYS = 4
const ROW_PX = 40
const HIGH_PX = 30
const WIDTH = 365
/** Foods that never pass this chance here are left out. */
const LEAST = 0.05
/** What is there all year stands below what comes and goes. */
const ALL_YEAR = 1000

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

interface YearRow {
  readonly stage: StageLine
  readonly values: readonly { readonly value: number; readonly high: number }[]
  readonly best: number
  readonly peakAt: number
}

/** Each food's year on the reach, those that come first first. */
function yearRows(
  stages: readonly StageLine[],
  reach: ReachState,
  year: number,
  sought: string,
): readonly YearRow[] {
  const first = newYearOf(year)
  return stages
    .filter(
      (stage) =>
        bandIn(stage, reach.waterKind) !== null &&
        `${stage.foodName} ${stage.stageName} ${stage.groupKey}`.toLowerCase().includes(sought),
    )
    .map((stage): YearRow => {
      const values = Array.from({ length: Math.ceil(365 / STEP_DAYS) + 1 }, (_, i) =>
        chanceOfDay(stage, reach, first + Math.min(i * STEP_DAYS, 364)),
      )
      const best = Math.max(...values.map(({ value }) => value))
      const least = Math.min(...values.map(({ value }) => value))
      const peakAt = values.findIndex(({ value }) => value >= 0.7 * best)
      return { stage, values, best, peakAt: least > 0.3 * best ? ALL_YEAR : peakAt }
    })
    .filter(({ best }) => best >= LEAST)
    .sort((a, b) => a.peakAt - b.peakAt || b.best - a.best)
}

const outline = (heights: readonly number[]) =>
  `M0 ${HIGH_PX}${heights.map((height, i) => `L${Math.min(i * STEP_DAYS, 365)} ${(HIGH_PX * (1 - height)).toFixed(1)}`).join('')}L365 ${HIGH_PX}Z`

/** Day of the year of a date MM-DD. */
const dayOf = (monthDay: string) =>
  (MONTH_STARTS[Number(monthDay.slice(0, 2)) - 1] ?? 0) + Number(monthDay.slice(3, 5)) - 1

interface LarderYearProps {
  readonly stages: readonly StageLine[]
  readonly reach: ReachState
  readonly season: ReachSeasonView | undefined
  readonly on: string
  readonly sought: string
  readonly onOpen: (stageId: string) => void
}

/** The year of the reach: a band for each food, as high as it is likely, its soft edge the doubt; ticks where it was seen. */
export function LarderYear({ stages, reach, season, on, sought, onOpen }: LarderYearProps) {
  const today = epochDayOf(on)
  const year = yearOf(today)
  const rows = useMemo(() => yearRows(stages, reach, year, sought), [stages, reach, year, sought])
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
      <Scroll ref={scroll} tabIndex={0} role="region" aria-label="Foods through the year">
        <div className="months" aria-hidden="true">
          <span />
          <span className="year">
            {MONTH_STARTS.map((day, month) => (
              <span key={day}>
                {season ? `${curveC(season.warmth.model, day + 15).toFixed(0)}°` : ''}
                <small>{MONTHS[month]}</small>
              </span>
            ))}
          </span>
        </div>
        <div className="inner" style={{ height: virtual.getTotalSize() }}>
          {virtual.getVirtualItems().map(({ index, start }) => {
            const row = rows[index]
            if (!row) return null
            const { stage, values } = row
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
                  aria-label={`${stage.foodName}, ${stage.stageName}: at most ${Math.round(row.best * 10)} in 10${seen.length > 0 ? `; seen ${seen.join(', ')}` : ''}`}
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
                  <path d={outline(values.map(({ high }) => high))} fill="var(--thistle)" opacity={0.22} />
                  <path d={outline(values.map(({ value }) => value))} fill="var(--thistle)" opacity={0.65} />
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
