import { labels } from '../../../words/drills.ts'

const [WIDTH, HEIGHT] = [520, 56]

/** When a fish rose, as marks along a line, with the seconds between them. */
export function Gaps({ gapsS }: { readonly gapsS: readonly number[] }) {
  const all = gapsS.reduce((sum, gap) => sum + gap, 0)
  const rises = gapsS.reduce<number[]>((so, gap) => [...so, (so.at(-1) ?? 0) + gap], [0])
  const x = (s: number) => 10 + (s / all) * (WIDTH - 20)
  return (
    <figure style={{ margin: 0, overflowX: 'auto' }}>
      <svg width={WIDTH} height={HEIGHT} aria-hidden="true">
        <line x1={10} x2={WIDTH - 10} y1={30} y2={30} stroke="var(--rule)" />
        {rises.map((s) => (
          <ellipse key={s} cx={x(s)} cy={30} rx={9} ry={4} fill="none" stroke="var(--ink)" />
        ))}
      </svg>
      <figcaption>
        {labels.gaps}: {gapsS.map((gap) => (gap < 10 ? gap.toFixed(1) : gap.toFixed(0))).join(', ')} s
      </figcaption>
    </figure>
  )
}
