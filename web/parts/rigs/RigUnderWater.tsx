import type { RefObject } from 'react'
import { wording } from '../../../core/index.ts'
import type { RigThere } from '../../../core/index.ts'
import { useRoom } from '../../ui/useRoom.ts'
import { labels } from '../../words/rigs.ts'
import { useWording } from '../../words/useWording.ts'

const TEXT = { fontFamily: 'Atkinson Hyperlegible Mono, monospace', fontSize: 13, fill: 'var(--ink)' } as const
const MOST_TALL_PX = 270
const LEAST_TALL_PX = 140
const AIR_PX = 34
const MARGIN_PX = 26

/** How wide a letter is, and how far apart two names stand, px. */
const LETTER_PX = 8.2
const APART_PX = 17

/** Flies as they are marked: names stand beside them, one above the other where they crowd, none on the bed. */
function marksOf(now: RigThere, x: (mm: number) => number, y: (mm: number) => number, bedPx: number) {
  const marks = now.flies.map(({ xMm }, i) => {
    const { depthMm, band, onBed } = now.there[i] ?? { depthMm: 0, band: null, onBed: false }
    return { at: { x: x(xMm), y: y(Math.max(depthMm, 0)) }, depthMm, band, onBed, labelY: 0 }
  })
  let free = bedPx - 7
  for (const mark of [...marks].sort((a, b) => b.at.y - a.at.y)) {
    mark.labelY = Math.min(mark.at.y + 4, free)
    free = mark.labelY - APART_PX
  }
  return marks
}

interface RigUnderWaterProps {
  readonly now: RigThere
  /** as it was saved, pale; null where it is the same */
  readonly ghost: RigThere | null
  readonly names: readonly string[]
  readonly bedMm: number
  readonly isCarried: boolean
  readonly title: string
  readonly svgRef?: RefObject<SVGSVGElement | null>
}

/** A rig seen from the side in its water, lengths and depths to one scale; the current runs to the right. */
export function RigUnderWater({ now, ghost, names, bedMm, isCarried, title, svgRef }: RigUnderWaterProps) {
  const { ref, widthPx } = useRoom()
  const { units } = useWording()
  const all = [...now.points, ...now.flies, ...(ghost?.points ?? [])].filter(({ zMm }) => zMm >= -1)
  const [left, right] = [Math.min(...all.map(({ xMm }) => xMm)), Math.max(...all.map(({ xMm }) => xMm))]
  const wide = Math.max(widthPx - 2 * MARGIN_PX, 100)
  // a long line is seen from its end, where the flies are: whole it would be a thread without depth
  const whole = wide / Math.max(right - left, bedMm * 0.6)
  const scale = Math.min(Math.max(whole, LEAST_TALL_PX / bedMm), (MOST_TALL_PX - AIR_PX) / bedMm)
  const spare = wide - (right - left) * scale
  const x = (mm: number) => MARGIN_PX + (spare > 0 ? spare / 2 : spare) + (mm - left) * scale
  const y = (mm: number) => AIR_PX + mm * scale
  const tall = y(bedMm) + 16
  const path = ({ points }: RigThere) =>
    points.map(({ xMm, zMm }) => `${x(xMm).toFixed(1)},${Math.max(y(zMm), 2).toFixed(1)}`).join(' ')
  const [first] = now.points
  return (
    <div ref={ref}>
      {widthPx > 0 ? (
        <svg
          {...(svgRef ? { ref: svgRef } : {})}
          viewBox={`0 0 ${widthPx} ${tall}`}
          width={widthPx}
          height={tall}
          role="img"
          aria-label={title}
          style={{ display: 'block', borderRadius: 6 }}
        >
          <rect x={0} y={AIR_PX} width={widthPx} height={tall - AIR_PX} fill="var(--waterFilm)" />
          <line x1={0} x2={widthPx} y1={y(bedMm)} y2={y(bedMm)} stroke="var(--ink)" strokeWidth={2} />
          <text {...TEXT} x={widthPx - 8} y={y(bedMm) + 13} textAnchor="end">
            bed {wording.fineDepth(bedMm, units)}
          </text>
          {ghost ? (
            <polyline
              points={path(ghost)}
              fill="none"
              stroke="var(--quiet)"
              strokeWidth={1.4}
              strokeDasharray="5 4"
            />
          ) : null}
          <polyline points={path(now)} fill="none" stroke="var(--ink)" strokeWidth={1.6} />
          {isCarried && first ? (
            <circle cx={x(first.xMm)} cy={y(0)} r={6} fill="var(--madder)" stroke="var(--ink)" />
          ) : null}
          {marksOf(now, x, y, y(bedMm)).map(({ at, labelY, band, depthMm, onBed }, i) => {
            const where = onBed ? labels.onTheBed : wording.fineDepth(Math.max(depthMm, 0), units)
            const name = `${names[i] ?? ''} ${where}`
            const isRight = at.x + name.length * LETTER_PX > widthPx
            const [fly, knot] = [now.flies[i], now.knots[i]]
            return (
              <g key={i}>
                {fly && knot ? (
                  <line
                    x1={x(knot.xMm)}
                    y1={y(knot.zMm)}
                    x2={x(fly.xMm)}
                    y2={y(fly.zMm)}
                    stroke="var(--ink)"
                    strokeWidth={1.2}
                  />
                ) : null}
                {band ? (
                  <line
                    x1={at.x}
                    x2={at.x}
                    y1={y(band.lowMm)}
                    y2={y(band.highMm)}
                    stroke="var(--thistle)"
                    strokeWidth={9}
                    strokeLinecap="round"
                    opacity={0.28}
                  />
                ) : null}
                <circle cx={at.x} cy={at.y} r={4.5} fill="var(--thistle)" stroke="var(--panel)" />
                <text {...TEXT} x={at.x + (isRight ? -9 : 9)} y={labelY} textAnchor={isRight ? 'end' : 'start'}>
                  {name}
                </text>
              </g>
            )
          })}
        </svg>
      ) : null}
      {ghost ? <small>{labels.savedRig}</small> : null}
    </div>
  )
}
