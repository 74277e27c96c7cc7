import { LIST_CONDITIONS } from '../../../core/index.ts'
import type { BenchView, DropTestLine } from '../../../contract/index.ts'
import { useMeasurementsQuery } from '../../wire/answers.ts'
import { useWording } from '../../words/useWording.ts'
import { Quiet } from '../../ui/layout.tsx'
import { labels } from '../../words/bench.ts'

type Figure = NonNullable<BenchView['onVise']>['figure']

const WIDE = 300
const HIGH = 22
/** Room beyond the band and the drops, share of what is shown. */
const MARGIN = 0.25

/** Falls that were timed free and dipped, as the gauge speaks of: what trailed a line or went in dry is another fall. */
export const comparable = (tests: readonly DropTestLine[], variantId: string): readonly number[] =>
  tests.flatMap(({ variantId: of, wet, tippetDiameterMm, olderRecipe, reading }) =>
    of === variantId && wet === 'fresh' && tippetDiameterMm === null && !olderRecipe && reading
      ? [reading.seenMmPerS]
      : [],
  )

/** How fast the fly on the vise should fall, as a soft band, and the user's own drops of it as ticks. */
export function Gauge({ figure, variantId }: { readonly figure: Figure; readonly variantId: string }) {
  const { speed, speedBand, wholeTemperature } = useWording()
  const { data } = useMeasurementsQuery()
  const { kind, sinkSpeedMmPerS: value, low, high } = figure
  if (kind !== 'sinks' || value === null || low === null || high === null) return null
  const drops = comparable(data?.tests ?? [], variantId)
  const [least, most] = [Math.min(low, ...drops), Math.max(high, ...drops)]
  const room = (most - least) * MARGIN
  const x = (mmPerS: number) => ((mmPerS - least + room) / (most - least + 2 * room)) * WIDE
  const said = drops.length > 0 ? `; ${labels.yourDrops} ${drops.map((drop) => speed(drop)).join(', ')}` : ''
  const words = `${labels.shouldFall} ${speed(value)}, likely ${speedBand({ low, high })}${said}`
  return (
    <figure style={{ margin: '8px 0' }}>
      <svg
        width={WIDE}
        height={HIGH}
        role="img"
        aria-label={words}
        style={{ display: 'block', maxWidth: '100%' }}
      >
        <defs>
          <linearGradient id="gauge-band">
            <stop offset={0} stopColor="var(--thistle)" stopOpacity={0} />
            <stop
              offset={(x(value) - x(low)) / (x(high) - x(low))}
              stopColor="var(--thistle)"
              stopOpacity={0.8}
            />
            <stop offset={1} stopColor="var(--thistle)" stopOpacity={0} />
          </linearGradient>
        </defs>
        <line x1={0} x2={WIDE} y1={HIGH - 1} y2={HIGH - 1} stroke="var(--quiet)" />
        <rect x={x(low)} y={4} width={x(high) - x(low)} height={HIGH - 5} fill="url(#gauge-band)" />
        {drops.map((drop, i) => (
          <line key={i} x1={x(drop)} x2={x(drop)} y1={0} y2={HIGH} stroke="var(--ink)" strokeWidth={2} />
        ))}
      </svg>
      <figcaption>
        {words} <Quiet>free, dipped, {wholeTemperature(LIST_CONDITIONS.waterTempC)}</Quiet>
      </figcaption>
    </figure>
  )
}
