import { Area, CartesianGrid, ComposedChart, Line, ResponsiveContainer, XAxis, YAxis } from 'recharts'
import { depthAtTime, fromCore } from '../../../core/index.ts'
import type { DisplayUnits } from '../../../core/index.ts'
import type { InTank } from './Tank.tsx'

const COLOURS = ['var(--thistle)', 'var(--moss)']
const POINTS = 40

/** Rows of depth by time, with the band as two ends; depth in the user's unit. */
function rowsOf(flies: readonly InTank[], units: DisplayUnits) {
  const last = Math.max(1, ...flies.map(({ descent }) => descent?.points.at(-1)?.timeS ?? 0))
  return Array.from({ length: POINTS + 1 }, (_, i) => {
    const timeS = (last * i) / POINTS
    const row: Record<string, number | readonly [number, number]> = { timeS }
    flies.forEach(({ descent, spread }, n) => {
      const end = descent?.points.at(-1)?.timeS ?? 0
      if (!descent || !spread || timeS > end) return
      const depth = fromCore(depthAtTime(descent, timeS), units.depth)
      row[`depth${n}`] = depth
      row[`band${n}`] = [depth * spread.low, depth * spread.high]
    })
    return row
  })
}

/** Curves of depth against time, downwards, each with the soft band in which 8 in 10 fall. */
export default function FallChart({
  flies,
  units,
}: {
  readonly flies: readonly InTank[]
  readonly units: DisplayUnits
}) {
  const rows = rowsOf(flies, units)
  const sinking = flies.filter(({ descent }) => descent)
  if (sinking.length === 0) return null
  const tick = { fill: 'var(--quiet)', fontSize: 12 }
  return (
    <figure aria-label="Depth against time" style={{ paddingTop: 8 }}>
      <ResponsiveContainer width="100%" height={300}>
        <ComposedChart data={rows} margin={{ top: 18, right: 18, bottom: 4, left: 4 }} accessibilityLayer>
          <CartesianGrid stroke="var(--rule)" />
          <XAxis
            dataKey="timeS"
            type="number"
            domain={[0, 'dataMax']}
            tickFormatter={(value: number) => value.toFixed(0)}
            unit=" s"
            tick={tick}
            orientation="top"
            stroke="var(--quiet)"
          />
          <YAxis
            reversed
            type="number"
            ticks={units.depth === 'm' ? [0, 0.5, 1, 1.5, 2, 2.5, 3] : [0, 2, 4, 6, 8]}
            domain={[0, fromCore(3000, units.depth)]}
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
              fill={COLOURS[n] ?? 'var(--ink)'}
              fillOpacity={0.14}
              isAnimationActive={false}
              connectNulls={false}
            />
          ))}
          {flies.map(({ id, name }, n) => (
            <Line
              key={id}
              dataKey={`depth${n}`}
              name={name}
              stroke={COLOURS[n] ?? 'var(--ink)'}
              strokeWidth={2}
              strokeDasharray={n === 1 ? '6 4' : '0'}
              dot={false}
              isAnimationActive={false}
            />
          ))}
        </ComposedChart>
      </ResponsiveContainer>
      <figcaption>
        {flies.map(({ id, name, descent }, n) =>
          descent ? (
            <span key={id} style={{ marginRight: 18 }}>
              <svg width={28} height={8} aria-hidden="true">
                <line
                  x1={0}
                  x2={28}
                  y1={4}
                  y2={4}
                  stroke={COLOURS[n]}
                  strokeWidth={2}
                  strokeDasharray={n === 1 ? '6 4' : '0'}
                />
              </svg>{' '}
              {name}
            </span>
          ) : null,
        )}
      </figcaption>
    </figure>
  )
}
