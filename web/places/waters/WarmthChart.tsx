import { memo } from 'react'
import { Area, CartesianGrid, ComposedChart, Line, ResponsiveContainer, XAxis, YAxis } from 'recharts'
import {
  curveC,
  curveSdOn,
  dateOf,
  epochDayOf,
  forecastC,
  fromCore,
  MONTH_STARTS,
  newYearOf,
  yearOf,
  Z_80,
} from '../../../core/index.ts'
import type { DisplayUnits } from '../../../core/index.ts'
import type { ReachSeasonView } from '../../../contract/index.ts'
import { MONTHS } from '../../words/days.ts'
import { Dense, Quiet } from '../../ui/layout.tsx'
import { labels } from '../../words/waters.ts'
import { dayAndMonth } from '../../words/words.ts'

const AHEAD_DAYS = 60
/** So many years before this one are drawn, and every other day: more is grey wool, and slow. */
const EARLIER_YEARS = 4
const STEP_DAYS = 2

type Row = Record<string, number | readonly [number, number] | null>

const drawnYears = (days: ReachSeasonView['days'], today: string) => {
  const first = yearOf(epochDayOf(today)) - EARLIER_YEARS
  return [...new Set(days.map(([day]) => yearOf(day)))].filter((year) => year >= first)
}

/** The year day by day: its curve with the spread of days and years, each year's readings, and the weeks to come. */
function rowsOf({ warmth, days }: ReachSeasonView, today: string, units: DisplayUnits): readonly Row[] {
  const { model, latest } = warmth
  const now = epochDayOf(today)
  const first = newYearOf(yearOf(now))
  const read = new Map(days)
  const years = drawnYears(days, today)
  const shown = (tempC: number) => fromCore(tempC, units.temperature)
  return Array.from({ length: Math.ceil(365 / STEP_DAYS) }, (_, i) => {
    const dayOfYear = i * STEP_DAYS
    const usual = curveC(model, dayOfYear)
    const spread = Z_80 * Math.hypot(model.noiseSdC, model.yearSdC, curveSdOn(model, dayOfYear))
    const row: Row = {
      dayOfYear,
      usual: shown(usual),
      band: [shown(Math.max(usual - spread, 0)), shown(usual + spread)],
    }
    for (const year of years) {
      const tempC = read.get(newYearOf(year) + dayOfYear)
      row[`y${year}`] = tempC === undefined ? null : shown(tempC)
    }
    const ahead = first + dayOfYear - now
    if (ahead >= 0 && ahead <= AHEAD_DAYS) {
      const { value, low, high } = forecastC(model, latest, first + dayOfYear)
      row.ahead = shown(value)
      row.aheadBand = [shown(low), shown(high)]
    }
    return row
  })
}

interface WarmthChartProps {
  readonly season: ReachSeasonView
  readonly today: string
  readonly units: DisplayUnits
}

/** Readings, fit and spread, this year against others, and sixty days ahead; the same for every other week as a table. */
export default memo(function WarmthChart({ season, today, units }: WarmthChartProps) {
  const rows = rowsOf(season, today, units)
  const thisYear = yearOf(epochDayOf(today))
  const years = drawnYears(season.days, today)
  const tick = { fill: 'var(--quiet)', fontSize: 12 }
  const ahead = [0, 7, 14, 28, 42, 60].map((days) => {
    const day = epochDayOf(today) + days
    return { day, ...forecastC(season.warmth.model, season.warmth.latest, day) }
  })
  const said = (tempC: number) => fromCore(tempC, units.temperature).toFixed(1)
  return (
    <>
      <figure aria-label={labels.waterTemperatureThroughThe}>
        <ResponsiveContainer width="100%" height={280}>
          <ComposedChart
            data={[...rows]}
            margin={{ top: 10, right: 14, bottom: 4, left: 0 }}
            accessibilityLayer
          >
            <CartesianGrid stroke="var(--rule)" vertical={false} />
            <XAxis
              dataKey="dayOfYear"
              type="number"
              domain={[0, 364]}
              ticks={MONTH_STARTS}
              tickFormatter={(day: number) => MONTHS[MONTH_STARTS.indexOf(day)] ?? ''}
              tick={tick}
              stroke="var(--quiet)"
            />
            <YAxis
              tick={tick}
              stroke="var(--quiet)"
              width={56}
              tickFormatter={(value: number) => `${value.toFixed(0)} ${units.temperature}`}
            />
            <Area
              dataKey="band"
              fill="var(--waterDeep)"
              stroke="none"
              fillOpacity={0.5}
              isAnimationActive={false}
            />
            <Line
              dataKey="usual"
              stroke="var(--quiet)"
              strokeDasharray="4 3"
              dot={false}
              isAnimationActive={false}
            />
            {years
              .filter((year) => year !== thisYear)
              .map((year) => (
                <Line
                  key={year}
                  dataKey={`y${year}`}
                  stroke="var(--moss)"
                  strokeWidth={1}
                  strokeOpacity={0.6}
                  dot={false}
                  isAnimationActive={false}
                />
              ))}
            <Line
              dataKey={`y${thisYear}`}
              stroke="var(--ink)"
              strokeWidth={1.6}
              dot={false}
              isAnimationActive={false}
            />
            <Area
              dataKey="aheadBand"
              fill="var(--thistle)"
              stroke="none"
              fillOpacity={0.18}
              isAnimationActive={false}
            />
            <Line
              dataKey="ahead"
              stroke="var(--thistle)"
              strokeWidth={2}
              dot={false}
              isAnimationActive={false}
            />
          </ComposedChart>
        </ResponsiveContainer>
        <figcaption>
          <Quiet>
            Dark: {thisYear}. {years.length > 1 ? `Green: at most ${EARLIER_YEARS} years before it. ` : ''}
            Dashed: the season, with the water in which 8 in 10 days fall. Thistle: what is likely in the next{' '}
            {AHEAD_DAYS} days.
          </Quiet>
        </figcaption>
      </figure>
      <Dense aria-label={labels.waterInTheWeeks} style={{ width: 'auto' }}>
        <tbody>
          <tr>
            <th scope="row">{labels.on2}</th>
            {ahead.map(({ day }) => (
              <td key={day} className="number">
                {dayAndMonth(dateOf(day))}
              </td>
            ))}
          </tr>
          <tr>
            <th scope="row">likely {units.temperature}</th>
            {ahead.map(({ day, value, low, high }) => (
              <td key={day} className="number">
                {said(value)}
                <br />
                <Quiet>{`${said(low)}–${said(high)}`}</Quiet>
              </td>
            ))}
          </tr>
        </tbody>
      </Dense>
    </>
  )
})
