import { useRef } from 'react'
import type { KeyboardEvent, PointerEvent } from 'react'
import styled from 'styled-components'
import { wording } from '../../../../core/index.ts'
import type { RigPart } from '../../../../core/index.ts'
import { FlyThumb } from '../../../drawing/FlyThumb.tsx'
import { useSketch } from '../../../drawing/useSketch.ts'
import { useTrueSize } from '../../../drawing/trueSize.ts'
import { Quiet } from '../../../ui/layout.tsx'
import { labels, PARTS } from '../../../words/rigs.ts'
import { useWording } from '../../../words/useWording.ts'
import { laidOut } from './rigScale.ts'
import { slidden } from './slidden.ts'
import type { FlyChoice } from '../../../parts/rigs/useRigFlies.ts'

const Drawn = styled.div`
  position: relative;
  min-width: 280px;
  margin-bottom: 44px;
  svg {
    display: block;
    overflow: visible;
  }
  text {
    font: 0.8125rem var(--mono);
    fill: var(--quiet);
  }
  .thread {
    fill: var(--ink);
  }
  .side {
    stroke: var(--ink);
    stroke-width: 1.2;
  }
  .on {
    position: absolute;
    display: flex;
    gap: 8px;
    align-items: center;
    font-size: 0.875rem;
    line-height: 1.15;
    transform: translateY(-50%);
  }
  .grip {
    cursor: ns-resize;
    touch-action: none;
    fill: var(--panel);
    stroke: var(--ink);
    stroke-width: 1.5;
    outline: none;
  }
  .grip:focus-visible {
    stroke: var(--thistle);
    stroke-width: 3;
  }
  .float {
    fill: var(--madder);
    stroke: var(--ink);
  }
`

/** Room of the drawing, px: as tall as a window leaves it; what is above the leader is a stub. */
const TALL_PX = 400
const STUB_PX = 26
const LINE_AT_PX = 84
/** Threads are drawn so many times as thick as they are to the same scale as lengths: else none would be seen. */
const THICKER = 9
const STEP_MM = { small: 10, large: 100 }

/** A fly as it hangs, at true size, with its name. */
function FlyOn({ fly, words }: { readonly fly: FlyChoice | undefined; readonly words: string }) {
  const sketch = useSketch(fly?.drawingKey ?? null)
  const pxPerMm = useTrueSize()
  return (
    <>
      {sketch ? <FlyThumb sketch={sketch} pxPerMm={pxPerMm} /> : null}
      <span>{words}</span>
    </>
  )
}

interface Sliding {
  readonly parts: readonly RigPart[]
  readonly isFixed: boolean
  readonly pxPerMm: number
  readonly onSlide: (parts: readonly RigPart[], isDragging: boolean) => void
}

/** Knots that slide along a rig, by pointer and by keys; those of one that was fished stay. */
function useSliding({ parts, isFixed, pxPerMm: scale, onSlide }: Sliding) {
  const dragged = useRef<{
    readonly from: readonly RigPart[]
    readonly to: readonly RigPart[]
    readonly y: number
  } | null>(null)
  /** how a handle slides; of a float + is a deeper setting, which lies further up */
  return (upper: number, isFloat: boolean) =>
    isFixed
      ? {}
      : {
          onPointerDown: (event: PointerEvent<SVGElement>) => {
            event.currentTarget.setPointerCapture(event.pointerId)
            dragged.current = { from: parts, to: parts, y: event.clientY }
          },
          onPointerMove: (event: PointerEvent<SVGElement>) => {
            const begun = dragged.current
            if (!begun) return
            const centimetres = Math.round((event.clientY - begun.y) / scale / STEP_MM.small)
            const to = slidden(begun.from, upper, centimetres * STEP_MM.small)
            dragged.current = { ...begun, to }
            onSlide(to, true)
          },
          onPointerUp: () => {
            // as it was slid last, though nothing of that may be drawn yet
            if (dragged.current) onSlide(dragged.current.to, false)
            dragged.current = null
          },
          onKeyDown: (event: KeyboardEvent) => {
            const step = event.shiftKey ? STEP_MM.large : STEP_MM.small
            const more = isFloat ? -STEP_MM.large : STEP_MM.large
            const by = { ArrowDown: step, ArrowUp: -step, '+': more, '-': -more }[event.key]
            if (by === undefined) return
            event.preventDefault()
            onSlide(slidden(parts, upper, by), false)
          },
        }
}

/** The threads of a rig, thicker than to scale, with how long and how thick they are. */
function Threads({
  pieces,
  y,
}: {
  readonly pieces: ReturnType<typeof laidOut>['pieces']
  readonly y: (mm: number) => number
}) {
  const { units } = useWording()
  return (
    <>
      {pieces.map(({ index, fromMm, toMm, topMm, endMm }) => {
        const [a, b] = [Math.max(topMm * THICKER, 1), Math.max(endMm * THICKER, 1)]
        return (
          <g key={index}>
            <polygon
              className="thread"
              points={`${LINE_AT_PX - a / 2},${y(fromMm)} ${LINE_AT_PX + a / 2},${y(fromMm)} ${LINE_AT_PX + b / 2},${y(toMm)} ${LINE_AT_PX - b / 2},${y(toMm)}`}
            />
            <text x={LINE_AT_PX - 12} y={(y(fromMm) + y(toMm)) / 2 + 4} textAnchor="end">
              {wording.rigLength(toMm - fromMm, units)}
            </text>
            <text x={LINE_AT_PX - 12} y={(y(fromMm) + y(toMm)) / 2 + 20} textAnchor="end">
              {wording.thickness(endMm, units)}
            </text>
          </g>
        )
      })}
    </>
  )
}

interface RigDrawnProps {
  readonly parts: readonly RigPart[]
  readonly flies: readonly FlyChoice[]
  readonly isFixed: boolean
  readonly onSlide: (parts: readonly RigPart[], isDragging: boolean) => void
}

/** A rig laid out to scale, with what is tied where and what the knots hold; knots slide along it. */
export function RigDrawn({ parts, flies, isFixed, onSlide }: RigDrawnProps) {
  const { units } = useWording()
  const { pieces, on, knots, wholeMm } = laidOut(parts)
  const scale = wholeMm > 0 ? (TALL_PX - STUB_PX) / wholeMm : 0
  const drag = useSliding({ parts, isFixed, pxPerMm: scale, onSlide })
  if (wholeMm === 0) return null
  const y = (mm: number) => STUB_PX + mm * scale
  const lineMm = parts.reduce((all, part) => all + (part.kind === 'line' ? part.lengthMm : 0), 0)
  const nameOf = (id: string) => flies.find((fly) => fly.id === id)?.name ?? ''
  const gripped = pieces.slice(0, -1)
  return (
    <Drawn style={{ height: TALL_PX + 18 }}>
      <svg width="100%" height={TALL_PX + 18} role="group" aria-label={labels.toScale}>
        <text x={LINE_AT_PX + 12} y={14}>
          {lineMm > 0 ? `${wording.rigLength(lineMm, units)} of line above` : ''}
        </text>
        <rect x={LINE_AT_PX - 2} y={0} width={4} height={STUB_PX} fill="var(--quiet)" />
        <Threads pieces={pieces} y={y} />
        {on.map(({ index, atMm, part }) =>
          part.kind === 'dropper' ? (
            <line
              key={index}
              className="side"
              x1={LINE_AT_PX}
              y1={y(atMm)}
              x2={LINE_AT_PX + Math.max(part.lengthMm * scale, 10)}
              y2={y(atMm)}
            />
          ) : part.kind === 'float' ? (
            <circle key={index} className="float" cx={LINE_AT_PX} cy={y(atMm)} r={7} />
          ) : null,
        )}
        {gripped.map(({ index, toMm }) => {
          const held = on.find(({ atMm, part }) => atMm === toMm && part.kind === 'float')
          const tied = knots.find(({ after }) => after === index)
          const name = held ? PARTS.float : tied ? wording.knotName(tied.knot) : PARTS.knot
          return (
            <circle
              key={index}
              className="grip"
              cx={LINE_AT_PX}
              cy={y(toMm)}
              r={held ? 7 : 5}
              fillOpacity={held ? 0 : 1}
              {...(isFixed
                ? {}
                : {
                    role: 'slider',
                    tabIndex: 0,
                    'aria-orientation': 'vertical' as const,
                    'aria-label': `${name}, ${wording.rigLength(toMm, units)} below the line’s end`,
                    'aria-valuemin': 0,
                    'aria-valuemax': Math.round(wholeMm),
                    'aria-valuenow': Math.round(toMm),
                    'aria-valuetext': wording.rigLength(toMm, units),
                  })}
              {...drag(index, held !== undefined)}
            />
          )
        })}
      </svg>
      {on.map(({ index, atMm, part }) => {
        const side = part.kind === 'dropper' ? Math.max(part.lengthMm * scale, 10) : 0
        const fly = 'fly' in part ? part.fly : null
        return (
          <div key={index} className="on" style={{ left: LINE_AT_PX + 14 + side, right: 0, top: y(atMm) }}>
            <FlyOn
              fly={flies.find(({ id }) => id === fly)}
              words={
                'fly' in part ? (fly ? nameOf(fly) : labels.noFly) : wording.rigPartWords(part, nameOf, units)
              }
            />
          </div>
        )
      })}
      {isFixed ? null : <Quiet>{labels.scaleHint}</Quiet>}
    </Drawn>
  )
}
