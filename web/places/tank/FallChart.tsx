import { Area, CartesianGrid, ComposedChart, Line, ResponsiveContainer, XAxis, YAxis } from 'recharts'
import { depthAtTime, fromCore } from '../../../core/index.ts'
import type { DisplayUnits } from '../../../core/index.ts'
import { depthGone, LANE_COLOURS, LANE_DASHES } from './tankFlies.ts'
import type { InTank } from './tankFlies.ts'
import { labels } from '../../words/tank.ts'

const POINTS = 40

/** Rows of depth by time, with the band as two ends; depth in the user's unit. */
function rowsOf(flies: readonly InTank[], units: DisplayUnits) {
  const last = Math.max(1, ...flies.map(({ descent }) => descent?.points.at(-1)?.timeS ?? 0))
  return Array.from({ length: POINTS + 1 }, (_, i) => {
    const timeS = (last * i) / POINTS
    const row: Record<string, number | readonly [number, number]> = { timeS }
    flies.forEach((fly, n) => {
      const { descent, spread } = fly
      const end = descent?.points.at(-1)?.timeS ?? 0
      if (!descent || !spread || timeS > end) return
      const gone = depthAtTime(descent, timeS)
      const depth = (share: number) => fromCore(depthGone(fly, gone * share), units.depth)
      row[`depth${n}`] = depth(1)
      row[`band${n}`] = [depth(spread.low), depth(spread.high)]
    })
    return row
  })
}

function ticksTo(depthMm: number, units: DisplayUnits): readonly number[] {
  const deepest = fromCore(depthMm, units.depth)
  const step = units.depth === 'm' ? (deepest > 3 ? 1 : 0.5) : deepest > 10 ? 4 : 2
  return Array.from({ length: Math.floor(deepest / step + 1e-9) + 1 }, (_, i) => i * step)
}

interface FallChartProps {
  readonly flies: readonly InTank[]
  readonly units: DisplayUnits
  readonly depthMm: number
}

/** Curves of depth against time, downwards, each with the soft band in which 8 in 10 fall. */
export default function FallChart({ flies, units, depthMm }: FallChartProps) {
  if (!flies.some(({ descent }) => descent)) return null
  const tick = { fill: 'var(--quiet)', fontSize: 12 }
  return (
    <figure aria-label={labels.depthAgainstTime} style={{ paddingTop: 8 }}>
      <ResponsiveContainer width="100%" height={300}>
        <ComposedChart
          data={rowsOf(flies, units)}
          margin={{ top: 18, right: 18, bottom: 4, left: 4 }}
          accessibilityLayer
        >
          <CartesianGrid stroke="var(--rule)" />
          <XAxis
            dataKey="timeS"
            type="number"
            domain={[0, 'dataMax']}
            allowDecimals={false}
            unit=" s"
            tick={tick}
            orientation="top"
            stroke="var(--quiet)"
          />
          <YAxis
            reversed
            type="number"
            ticks={[...ticksTo(depthMm, units)]}
            domain={[0, fromCore(depthMm, units.depth)]}
            unit={` ${units.depth}`}
            tick={tick}
            width={56}
            stroke="var(--quiet)"
            allowDataOverflow
          />
          {flies.map(({ id }, n) => (
            <Area
              key={`band-${id}`}
              dataKey={`band${n}`}
              stroke="none"
              fill={LANE_COLOURS[n] ?? 'var(--ink)'}
              fillOpacity={0.12}
              isAnimationActive={false}
              connectNulls={false}
            />
          ))}
          {flies.map(({ id, name }, n) => (
            <Line
              key={id}
              dataKey={`depth${n}`}
              name={name}
              stroke={LANE_COLOURS[n] ?? 'var(--ink)'}
              strokeWidth={2}
              strokeDasharray={LANE_DASHES[n] ?? '0'}
              dot={false}
              isAnimationActive={false}
            />
          ))}
        </ComposedChart>
      </ResponsiveContainer>
      <figcaption>
        {flies.map(({ id, name, descent }, n) =>
          descent ? (
            <span key={id} style={{ marginRight: 18, whiteSpace: 'nowrap' }}>
              <LaneMark n={n} /> {name}
            </span>
          ) : null,
        )}
      </figcaption>
    </figure>
  )
}

/** The line by which a lane is known in all charts of the tank. */
export function LaneMark({ n }: { readonly n: number }) {
  return (
    <svg width={28} height={8} aria-hidden="true">
      <line
        x1={0}
        x2={28}
        y1={4}
        y2={4}
        stroke={LANE_COLOURS[n]}
        strokeWidth={2}
        strokeDasharray={LANE_DASHES[n]}
      />
    </svg>
  )
}
