import { useVirtualizer } from '@tanstack/react-virtual'
import { useRef } from 'react'
import styled from 'styled-components'
import {
  curveC,
  dateOf,
  epochDayOf,
  isSought,
  MONTH_STARTS,
  newYearOf,
  WEEK_DAYS,
  wording,
  yearOf,
} from '../../../core/index.ts'
import type { WaterKind } from '../../../core/index.ts'
import type { FeedingRowView, ReachSeasonView, StageLine } from '../../../contract/index.ts'
import { useWording } from '../../words/useWording.ts'
import { dayMonth, MONTHS } from '../../words/days.ts'
import { Quiet } from '../../ui/layout.tsx'
import { FeedingStrip } from './FeedingStrip.tsx'
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
  @media (max-width: 700px) {
    .row,
    .months {
      grid-template-columns: 118px minmax(0, 1fr);
      gap: 6px;
    }
    .year {
      font-size: 0.5625rem;
      text-align: center;
    }
    .year small {
      overflow: hidden;
    }
    button.name {
      white-space: normal;
      font-size: 0.75rem;
      line-height: 1.1;
    }
  }
`

/** A food's year with its stage, week by week. */
export interface YearRow {
  readonly stage: StageLine
  readonly about: readonly number[]
  readonly onIt: readonly number[]
}

const NEARLY = 0.7
/** A stage that never falls below this share of its best is there all year. */
const ALL_YEAR = 0.3

/** Week in which a stage has nearly come to its best; none for what is there all year. */
function risesAt(about: readonly number[]): number {
  const best = Math.max(...about)
  return Math.min(...about) > ALL_YEAR * best ? Infinity : about.findIndex((value) => value >= NEARLY * best)
}

/** Each food's year on a reach, those that come and go first, in the order in which they come. */
export function yearRows(row: FeedingRowView, stages: readonly StageLine[]): readonly YearRow[] {
  const byId = new Map(stages.map((stage) => [stage.id as string, stage]))
  return row.stages
    .flatMap(({ stageId, about, onIt }): YearRow[] => {
      const stage = byId.get(stageId)
      return stage ? [{ stage, about, onIt }] : []
    })
    .sort((a, b) => {
      const [first, second] = [risesAt(a.about), risesAt(b.about)]
      return first === second ? Math.max(...b.about) - Math.max(...a.about) : first - second
    })
}

const outline = (heights: readonly number[]) =>
  `M0 ${HIGH_PX}${heights.map((height, i) => `L${Math.min(i * WEEK_DAYS, 365)} ${(HIGH_PX * (1 - height)).toFixed(1)}`).join('')}L365 ${HIGH_PX}Z`

/** Day of the year of a date MM-DD. */
export const dayOf = (monthDay: string) =>
  (MONTH_STARTS[Number(monthDay.slice(0, 2)) - 1] ?? 0) + Number(monthDay.slice(3, 5)) - 1

interface LarderYearProps {
  readonly row: FeedingRowView
  readonly rows: readonly YearRow[]
  readonly stages: readonly StageLine[]
  readonly waterKind: WaterKind
  readonly onDay: (on: string) => void
  readonly season: ReachSeasonView | undefined
  readonly on: string
  readonly sought: string
  readonly onOpen: (stageId: string) => void
}

/** The year of the reach: what trout are on as areas that sum to one, then each food as high as it is about; ticks where it was seen. */
export function LarderYear(props: LarderYearProps) {
  const { row, rows: all, stages, waterKind, season, on, sought, onOpen, onDay } = props
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
      <FeedingStrip
        label={labels.whatTroutAreOnThroughTheYear}
        row={row}
        stages={stages}
        byFood
        waterKind={waterKind}
        marks={MONTH_STARTS.map((day, month) => ({ at: (day + 15) / 365, name: MONTHS[month] ?? '' }))}
        chosen={Math.floor(now / WEEK_DAYS)}
        onChoose={(week) => onDay(dateOf(newYearOf(year) + Math.min(week * WEEK_DAYS + 3, 364)))}
        nameOf={(week) => `the week of ${dayMonth(week * WEEK_DAYS, false)}`}
      />
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
            const one = rows[index]
            if (!one) return null
            const { stage, about, onIt } = one
            const best = Math.max(...about)
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
                  aria-label={`${stage.foodName}, ${stage.stageName}: about at most ${Math.round(best * 10)} in 10, on it at most ${wording.fishOnIt(Math.max(...onIt))}${seen.length > 0 ? `; seen ${seen.join(', ')}` : ''}`}
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
                  <path d={outline(about)} fill="var(--thistle)" opacity={0.25} />
                  <path d={outline(onIt)} fill="var(--thistle)" opacity={0.75} />
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
        usual warmth in °C. Pale: how likely it is about at its best hour; dark: the share of fish on it over
        the day. Black ticks: seen here. Red: the moment.
      </Quiet>
    </>
  )
}
