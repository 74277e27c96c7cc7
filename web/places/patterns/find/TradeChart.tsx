import { CartesianGrid, ResponsiveContainer, Scatter, ScatterChart, XAxis, YAxis } from 'recharts'
import type { Finalist, Wanted } from '../../../../core/index.ts'
import { labels } from '../../../words/patterns.ts'

/** The trade-off at one look: seconds, or for what floats the reserve, against splash; in the stores filled, others open. */
export default function TradeChart({
  few,
  wanted,
}: {
  readonly few: readonly Finalist[]
  readonly wanted: Wanted
}) {
  const floats = wanted.kind === 'posture'
  const most = wanted.kind === 'depthByTime' ? wanted.withinS : 'auto'
  const points = (inStores: boolean) =>
    few
      .map((finalist, i) => ({
        n: i + 1,
        x: finalist.splashMicroJ,
        y: floats ? (finalist.reserve ?? 0) : finalist.timeS,
        inStores: finalist.inStores,
      }))
      .filter((point) => point.inStores === inStores)
  const tick = { fill: 'var(--quiet)', fontSize: 12 }
  const mark = (filled: boolean) =>
    function Mark({ cx = 0, cy = 0, payload }: { cx?: number; cy?: number; payload?: { n: number } }) {
      return (
        <g>
          <circle
            cx={cx}
            cy={cy}
            r={9}
            fill={filled ? 'var(--thistle)' : 'var(--panel)'}
            stroke="var(--thistle)"
            strokeWidth={1.5}
          />
          <text
            x={cx}
            y={cy + 4}
            textAnchor="middle"
            fontSize={11}
            fill={filled ? 'var(--panel)' : 'var(--ink)'}
          >
            {payload?.n}
          </text>
        </g>
      )
    }
  return (
    <figure aria-label={floats ? 'Reserve against splash' : 'Seconds against splash'} style={{ maxWidth: 620 }}>
      <ResponsiveContainer width="100%" height={220}>
        <ScatterChart margin={{ top: 16, right: 20, bottom: 26, left: 8 }} accessibilityLayer>
          <CartesianGrid stroke="var(--rule)" />
          <XAxis
            dataKey="x"
            type="number"
            name="splash"
            domain={['auto', 'auto']}
            tick={tick}
            tickFormatter={(value: number) => value.toFixed(0)}
            label={{ value: 'splash, µJ', position: 'bottom', offset: 6, fill: 'var(--quiet)', fontSize: 12 }}
            stroke="var(--quiet)"
          />
          <YAxis
            dataKey="y"
            type="number"
            name={floats ? 'reserve' : 'seconds'}
            unit={floats ? ' ×' : ' s'}
            domain={['auto', most]}
            tick={tick}
            tickFormatter={(value: number) => value.toFixed(1)}
            stroke="var(--quiet)"
            width={56}
          />
          <Scatter data={points(true)} shape={mark(true)} isAnimationActive={false} />
          <Scatter data={points(false)} shape={mark(false)} isAnimationActive={false} />
        </ScatterChart>
      </ResponsiveContainer>
      <figcaption>{labels.filledAllOfIt}</figcaption>
    </figure>
  )
}
