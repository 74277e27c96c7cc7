import { useMemo } from 'react'
import styled from 'styled-components'
import { bandIn, DEPTH_BANDS, wording } from '../../../core/index.ts'
import type { WaterKind } from '../../../core/index.ts'
import type { FeedingRowView, StageLine } from '../../../contract/index.ts'
import { foodNames } from '../../column/shortNames.ts'
import { textWidth, useFontLoaded } from '../../column/textWidth.ts'
import { useRoom } from '../../ui/useRoom.ts'
import { placeNames, stackOf } from './stack.ts'
import type { Area } from './stack.ts'
import { labels } from '../../words/larder.ts'

const Strip = styled.figure`
  margin: 8px 0 4px;
  svg {
    display: block;
    width: 100%;
    height: 240px;
    outline-offset: 2px;
    cursor: pointer;
  }
  text {
    font: 12px var(--text);
    fill: var(--ink);
    paint-order: stroke;
    stroke: var(--panel);
    stroke-width: 3px;
    stroke-linejoin: round;
  }
  figcaption {
    font-size: 0.875rem;
    color: var(--quiet);
    min-height: 1.4em;
  }
`

const WIDE = 720
const HIGH = 240
const MOST_AREAS = 10
const MOST_SAID = 3

const total = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0)

interface FeedingStripProps {
  readonly label: string
  readonly row: FeedingRowView
  readonly stages: readonly StageLine[]
  /** one area a food rather than a stage */
  readonly byFood?: boolean
  readonly waterKind: WaterKind
  /** marks below the strip: where along it, 0 to 1, and what it says */
  readonly marks: readonly { readonly at: number; readonly name: string }[]
  /** the moment that stands in the row, by its index */
  readonly chosen: number
  readonly onChoose: (index: number) => void
  /** what a moment of the row is called */
  readonly nameOf: (index: number) => string
}

/**
 * What trout are on through a row of moments, as areas that sum to one: what lives deepest at the foot, what floats on
 * top, whatever comes below all. Left and right go through it; each moment is said in words.
 */
export function FeedingStrip(props: FeedingStripProps) {
  const { label, row, stages, byFood = false, waterKind, marks, chosen, onChoose, nameOf } = props
  const areas = useMemo(() => {
    const byId = new Map(stages.map((stage) => [stage.id as string, stage]))
    const keyOf = (stageId: string) => (byFood ? (byId.get(stageId)?.foodId ?? stageId) : stageId)
    const first = new Map<string, StageLine>()
    for (const { stageId } of [...row.stages].sort((x1, x2) => total(x2.onIt) - total(x1.onIt))) {
      const stage = byId.get(stageId)
      if (stage && !first.has(keyOf(stageId))) first.set(keyOf(stageId), stage)
    }
    const depthOf = (key: string) => {
      const stage = first.get(key)
      const band = stage && bandIn(stage, waterKind)
      return band ? DEPTH_BANDS.indexOf(band) : 0
    }
    return stackOf(row, { keyOf, depthOf, most: MOST_AREAS }).map((area) => {
      const stage = first.get(area.key)
      return {
        ...area,
        names: stage
          ? foodNames(byFood ? stage.foodName : `${stage.foodName}, ${stage.stageName}`)
          : [labels[area.kind === 'others' ? 'otherFoods' : 'whateverComes']],
        fill: stage?.colours[0]?.hexWet ?? (area.kind === 'others' ? 'var(--rule)' : 'var(--ground)'),
      }
    })
  }, [row, stages, waterKind, byFood])
  const { ref, widthPx } = useRoom()
  const count = row.whatever.length
  const x = (index: number) => (count > 1 ? (index / (count - 1)) * WIDE : 0)
  const y = (share: number) => HIGH * (1 - share)
  const held = Math.min(Math.max(chosen, 0), count - 1)
  const said = [...areas]
    .map(({ names: [name = ''], shares }) => ({ name, share: shares[held] ?? 0 }))
    .sort((a, b) => b.share - a.share)
    .slice(0, MOST_SAID)
    .map(({ name, share }) => `${name}: ${wording.fishOnIt(share)}`)
    .join('; ')
  const step = (by: number) => onChoose(Math.min(Math.max(held + by, 0), count - 1))
  return (
    <Strip ref={ref}>
      <svg
        viewBox={`0 0 ${WIDE} ${HIGH}`}
        preserveAspectRatio="none"
        tabIndex={0}
        role="slider"
        aria-label={label}
        aria-valuemin={0}
        aria-valuemax={count - 1}
        aria-valuenow={held}
        aria-valuetext={`${nameOf(held)}. ${said}`}
        onKeyDown={(event) => {
          if (event.key !== 'ArrowLeft' && event.key !== 'ArrowRight') return
          event.preventDefault()
          step(event.key === 'ArrowLeft' ? -1 : 1)
        }}
        onClick={(event) => {
          const box = event.currentTarget.getBoundingClientRect()
          onChoose(Math.round(((event.clientX - box.left) / box.width) * (count - 1)))
        }}
      >
        {areas.map(({ key, fill, from, to }) => (
          <path
            key={key}
            d={`M${from.map((share, i) => `${x(i).toFixed(1)} ${y(share).toFixed(1)}`).join('L')}L${[...to]
              .map((share, i) => `${x(i).toFixed(1)} ${y(share).toFixed(1)}`)
              .reverse()
              .join('L')}Z`}
            fill={fill}
            stroke="var(--panel)"
            strokeWidth={1}
            vectorEffect="non-scaling-stroke"
          />
        ))}
        {marks.map(({ at }) => (
          <line
            key={at}
            x1={at * WIDE}
            x2={at * WIDE}
            y1={0}
            y2={HIGH}
            stroke="var(--panel)"
            strokeWidth={0.6}
            opacity={0.6}
          />
        ))}
        <line
          x1={x(held)}
          x2={x(held)}
          y1={0}
          y2={HIGH}
          stroke="var(--madder)"
          strokeWidth={1.6}
          vectorEffect="non-scaling-stroke"
        />
      </svg>
      <Names areas={areas} widthPx={widthPx} />
      <Marks marks={marks} widthPx={widthPx} />
      <figcaption>
        {nameOf(held)}: {said}.
      </figcaption>
    </Strip>
  )
}

const Over = styled.div`
  position: relative;
  height: 0;
  span {
    position: absolute;
    padding: 0 4px;
    font-size: 0.75rem;
    line-height: 1.25;
    color: var(--ink);
    background: var(--panel);
    border-radius: 4px;
    white-space: nowrap;
    transform: translate(-50%, -50%);
    pointer-events: none;
  }
`

/** Padding of a name at both ends, px. */
const NAME_PADDING = 8

/** Names stand in their areas, where these are thickest and no other name stands, and shorter where there is little room. */
function Names({
  areas,
  widthPx,
}: {
  readonly areas: readonly (Area & { readonly names: readonly string[] })[]
  readonly widthPx: number
}) {
  useFontLoaded()
  if (widthPx === 0) return null
  return (
    <Over aria-hidden="true">
      {placeNames(areas, (name) => (textWidth(name) + NAME_PADDING) / widthPx).map(
        ({ key, name, at, middle }) => (
          <span key={key} style={{ left: `${at * 100}%`, top: -middle * HIGH }}>
            {name}
          </span>
        ),
      )}
    </Over>
  )
}

const Scale = styled.div`
  position: relative;
  height: 1.3rem;
  font: 0.8125rem/1.3 var(--figures);
  color: var(--quiet);
  span {
    position: absolute;
    transform: translateX(-50%);
  }
`

/** Room that a mark takes with some air, px. */
const MARK_PX = 52

function Marks({ marks, widthPx }: Pick<FeedingStripProps, 'marks'> & { readonly widthPx: number }) {
  const each = Math.max(Math.ceil((marks.length * MARK_PX) / Math.max(widthPx, 1)), 1)
  return (
    <Scale aria-hidden="true">
      {(widthPx > 0 ? marks : [])
        .filter((_mark, i) => i % each === 0)
        .map(({ at, name }) => (
          <span key={at} style={{ left: `clamp(20px, ${at * 100}%, calc(100% - 20px))` }}>
            {name}
          </span>
        ))}
    </Scale>
  )
}
