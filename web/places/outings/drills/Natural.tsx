import { SILHOUETTES } from '../../../../core/index.ts'

interface NaturalProps {
  readonly silhouette: string
  readonly hex: string
  readonly lengthMm: number
  readonly pxPerMm: number
}

/** A body along the x axis from 0 to 1, thickest where its kind is. */
function bodyPath(widestAt: number, slenderness: number): string {
  const half = 0.5 / slenderness
  return `M0 0 C${widestAt * 0.2} ${-half} ${widestAt * 0.7} ${-half} ${widestAt} ${-half} C${widestAt + 0.3} ${-half} 0.95 ${-half * 0.35} 1 0 C0.95 ${half * 0.35} ${widestAt + 0.3} ${half} ${widestAt} ${half} C${widestAt * 0.7} ${half} ${widestAt * 0.2} ${half} 0 0Z`
}

const WINGS: Readonly<Record<string, string>> = {
  upright: 'M0.22 -0.05 C0.2 -0.5 0.45 -0.85 0.7 -0.9 C0.72 -0.6 0.55 -0.2 0.4 -0.05Z',
  folded: 'M0.15 -0.06 C0.5 -0.22 0.9 -0.16 1.15 0.02 C0.9 0.06 0.5 0.04 0.2 0.02Z',
  spent: 'M0.15 -0.02 L0.5 -0.1 L0.52 0.06 L0.2 0.05Z',
  swept: 'M0.2 0.02 C0.4 0.14 0.6 0.2 0.75 0.22 C0.6 0.08 0.45 0.02 0.3 0Z',
  sunk: 'M0.15 -0.04 C0.5 -0.14 0.9 -0.12 1.05 0 C0.9 0.05 0.5 0.02 0.2 0Z',
  tuft: 'M0.18 -0.05 C0.15 -0.25 0.3 -0.32 0.42 -0.24 C0.44 -0.14 0.38 -0.06 0.32 -0.04Z',
  bushy: 'M0.1 -0.1 C0.1 -0.4 0.5 -0.45 0.8 -0.35 C0.9 -0.2 0.8 -0.1 0.7 -0.05Z',
}

/** A natural from the side at its true length: body, wing and tails of its kind, in its main colour when wet. */
export function Natural({ silhouette, hex, lengthMm, pxPerMm }: NaturalProps) {
  const kind = SILHOUETTES.find(({ key }) => key === silhouette)
  const { slenderness = 5, widestAt = 0.3, wing = 'none', tail = 'none', curved = false } = kind ?? {}
  const px = lengthMm * pxPerMm
  return (
    <svg width={px * 1.9} height={Math.max(px * 1.3, 40)} viewBox="-0.2 -1 1.9 1.3" role="img" aria-label={kind?.name ?? silhouette}>
      <g transform={curved ? 'rotate(8 0.5 0)' : undefined} stroke="var(--ink)" strokeWidth={1} style={{ vectorEffect: 'non-scaling-stroke' }}>
        {tail === 'none' ? null : (
          <path d="M1 0 L1.5 -0.12 M1 0 L1.52 0 M1 0 L1.5 0.1" fill="none" vectorEffect="non-scaling-stroke" />
        )}
        <path d={bodyPath(widestAt, slenderness)} fill={hex} vectorEffect="non-scaling-stroke" />
        {WINGS[wing] ? (
          <path d={WINGS[wing]} fill="var(--panel)" fillOpacity={0.7} vectorEffect="non-scaling-stroke" />
        ) : null}
      </g>
    </svg>
  )
} // prettier-ignore

interface MayflyFromBelowProps {
  readonly stage: 'emerger' | 'dun' | 'spinner'
  readonly hex: string
  readonly turnDeg: number
}

const FEET = [
  [-0.28, -0.24], [-0.3, 0], [-0.28, 0.24], [0.12, -0.2], [0.14, 0.02], [0.12, 0.22],
] as const // prettier-ignore

/** What lies in the film lets the sky through, by day and by night of the screen. */
const SKYLIGHT = '#f4f7f5'

/** A mayfly as it shows from under the film, large: what touches the film, what lies in it, what stands above it. */
export function MayflyFromBelow({ stage, hex, turnDeg }: MayflyFromBelowProps) {
  return (
    <svg width={220} height={220} viewBox="-1.1 -1.1 2.2 2.2" role="img" aria-label="A mayfly from below">
      <circle r={1.08} fill="var(--waterFilm)" stroke="var(--rule)" strokeWidth={0.02} />
      <g transform={`rotate(${turnDeg})`} stroke="var(--ink)" strokeWidth={0.012}>
        {stage === 'spinner' ? (
          <g fill={SKYLIGHT} fillOpacity={0.75}>
            <path d="M-0.2 0 C-0.4 -0.4 -0.35 -0.85 -0.1 -0.95 C0.05 -0.7 0 -0.3 -0.08 0Z" />
            <path d="M-0.2 0 C-0.4 0.4 -0.35 0.85 -0.1 0.95 C0.05 0.7 0 0.3 -0.08 0Z" />
            <path d="M-0.05 0 C0 -0.25 0.15 -0.45 0.2 -0.45 C0.22 -0.3 0.12 -0.1 0.05 0Z" />
            <path d="M-0.05 0 C0 0.25 0.15 0.45 0.2 0.45 C0.22 0.3 0.12 0.1 0.05 0Z" />
          </g>
        ) : null}
        {stage === 'dun' ? (
          <>
            {/* the wings stand above the film: their tips alone come in at the edge of the window */}
            <path d="M0.55 -0.06 C0.75 -0.1 0.95 -0.06 1.0 0 C0.95 0.06 0.75 0.1 0.55 0.06Z" fill="var(--quiet)" fillOpacity={0.35} stroke="none" />
            {FEET.map(([x, y]) => (
              <circle key={`${x} ${y}`} cx={x} cy={y} r={0.05} fill={SKYLIGHT} />
            ))}
          </>
        ) : null}
        {stage === 'emerger' ? (
          <>
            <path d="M0.2 0 C0.5 -0.1 0.8 -0.08 0.95 0.1 C0.8 0.12 0.5 0.1 0.2 0.04Z" fill={SKYLIGHT} fillOpacity={0.4} strokeDasharray="0.04 0.03" />
            {/* crumpled wings, and the horns of the split skin */}
            <path d="M-0.3 -0.07 C-0.32 -0.2 -0.16 -0.27 -0.06 -0.2 C0 -0.16 -0.04 -0.1 -0.1 -0.07Z" fill={SKYLIGHT} fillOpacity={0.8} />
            <path d="M-0.3 0.07 C-0.32 0.2 -0.16 0.27 -0.06 0.2 C0 0.16 -0.04 0.1 -0.1 0.07Z" fill={SKYLIGHT} fillOpacity={0.8} />
          </>
        ) : null}
        <g transform="translate(-0.45 0) scale(1 0.9)">
          <path d="M0 0 C0.05 -0.11 0.2 -0.12 0.3 -0.08 C0.6 -0.05 0.8 -0.03 0.9 0 C0.8 0.03 0.6 0.05 0.3 0.08 C0.2 0.12 0.05 0.11 0 0Z" fill={hex} fillOpacity={stage === 'dun' ? 0.55 : 0.9} />
        </g>
        {stage === 'emerger' ? null : <path d="M0.45 0 L0.85 -0.14 M0.45 0 L0.85 0.14" fill="none" />}
      </g>
    </svg>
  )
} // prettier-ignore
