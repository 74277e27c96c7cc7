import { useEffect, useMemo, useRef, useState } from 'react'
import type { KeyboardEvent } from 'react'
import { useNavigate } from 'react-router'
import styled from 'styled-components'
import type { FrameView, MomentView } from '../../contract/index.ts'
import { useMomentQuery } from '../app/api.ts'
import { light, pin } from '../app/state.ts'
import { useAppDispatch, useAppSelector } from '../app/store.ts'
import { useMoment } from '../app/useMoment.ts'
import { shortDepth } from '../app/words.ts'
import type { ColumnContent, Mark } from './marks.ts'
import { MomentHead } from './MomentHead.tsx'
import { heightShare, spread } from './scale.ts'

const Strip = styled.aside`
  grid-area: column;
  display: flex;
  flex-direction: column;
  min-height: 0;
  border-left: 1px solid var(--rule);
  .water {
    position: relative;
    flex: 1;
    min-height: 260px;
    background: linear-gradient(var(--waterFilm), var(--waterDeep));
    overflow: hidden;
  }
  .line {
    position: absolute;
    left: 0;
    right: 0;
    border-top: 1px solid var(--quiet);
    pointer-events: none;
  }
  .line span {
    position: absolute;
    right: 3px;
    top: 1px;
    padding: 0 3px;
    font: 0.6875rem/1.3 var(--figures);
    color: var(--ink);
    background: color-mix(in srgb, var(--panel) 80%, transparent);
    border-radius: 3px;
  }
  .film {
    border-top: 2px solid var(--ink);
  }
  .crease {
    border-top-style: dashed;
  }
  .middle {
    position: absolute;
    top: 0;
    bottom: 0;
    left: 50%;
    border-left: 1px dotted var(--quiet);
  }
  .bar {
    position: absolute;
    pointer-events: none;
    border-radius: 3px;
  }
  button {
    position: absolute;
    width: calc(50% - 6px);
    min-height: 30px;
    padding: 1px 5px;
    font: 0.75rem/1.15 var(--text);
    text-align: left;
    color: var(--ink);
    background: color-mix(in srgb, var(--panel) 84%, transparent);
    border: 1px solid transparent;
    border-radius: 4px;
    cursor: pointer;
    overflow: hidden;
  }
  button.hole {
    border: 1px dashed var(--madder);
  }
  button[data-lit='true'] {
    border: 1px solid var(--thistle);
    background: var(--panel);
  }
  button[data-pinned='true']::before {
    content: '◆ ';
    color: var(--thistle);
  }
  button .name {
    display: block;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  button .words {
    color: var(--quiet);
    font-size: 0.6875rem;
  }
  .lanes {
    display: flex;
    justify-content: space-between;
    padding: 2px 8px;
    font-size: 0.75rem;
    color: var(--quiet);
  }
  @media (max-width: 1100px) {
    &:not([data-wide='true']) {
      .lanes,
      .head,
      button:not(.ruler),
      .line span {
        display: none;
      }
    }
    &[data-wide='true'] {
      position: fixed;
      right: 0;
      top: 0;
      bottom: 45px;
      width: min(320px, 88vw);
      z-index: 6;
      background: var(--ground);
    }
  }
  button.ruler {
    display: none;
  }
  @media (max-width: 1100px) {
    button.ruler {
      display: block;
      position: static;
      width: 100%;
      min-height: 48px;
      text-align: center;
      border-radius: 0;
      border-bottom: 1px solid var(--rule);
    }
  }
`

const LABEL_GAP_PX = 33
const MOST_FOODS = 12
const MOST_FLIES = 14

const TITLES: Readonly<Record<string, string>> = {
  bottom: 'near bed',
  midWater: 'mid-water',
  topHalfMetre: 'top half',
  inFilm: 'in film',
  onFilm: 'on film',
}

function foodMarks(view: MomentView, content: ColumnContent): readonly Mark[] {
  return view.foods
    .filter(({ foodStageId }) => !content.foods || content.foods.includes(foodStageId))
    .slice(0, MOST_FOODS)
    .map((food) => ({
      id: food.foodStageId,
      label: food.name,
      fromMm: food.fromMm,
      toMm: food.toMm,
      weight: food.likelihood,
      softWeight: food.likelihoodHigh,
      words: `${Math.max(Math.round(food.likelihood * 10), 1)} in 10 · ${TITLES[food.band] ?? ''}`,
      look: 'food',
      to: `/larder?stage=${food.foodStageId}`,
    }))
}

/** The census: one mark a pattern's variant on hand or missing, at the depth where it fishes here. */
function censusMarks(view: MomentView): readonly Mark[] {
  const urgency = ({ onHand, par }: MomentView['flies'][number]) => (par > 0 ? (par - onHand) / par : 0)
  return [...view.flies]
    .sort((a, b) => urgency(b) - urgency(a))
    .slice(0, MOST_FLIES)
    .map((fly) => ({
      id: fly.variantId,
      label: fly.name,
      fromMm: Math.max(fly.depthMm - 40, 0),
      toMm: fly.depthMm,
      weight: fly.par > 0 ? Math.min(fly.onHand / fly.par, 1) : 1,
      softWeight: 1,
      words: fly.par > 0 ? `${fly.onHand} of ${fly.par}` : `${fly.onHand} on hand`,
      look: fly.onHand < fly.par ? 'hole' : 'fly',
      to: `/patterns/${fly.patternId}?variant=${fly.variantId}`,
    }))
}

interface LaneProps {
  readonly marks: readonly Mark[]
  readonly side: 'left' | 'right'
  readonly heightPx: number
  readonly bedMm: number
  readonly lane: 'foods' | 'flies'
}

/** One lane of marks, each a bar at its depth and a button that keeps clear of its neighbours. */
function Lane({ marks, side, heightPx, bedMm, lane }: LaneProps) {
  const dispatch = useAppDispatch()
  const navigate = useNavigate()
  const { lit, pinned } = useAppSelector((state) => state.view)
  const tops = spread(
    marks.map(({ fromMm }) => heightShare(fromMm, bedMm) * heightPx),
    LABEL_GAP_PX,
    heightPx - LABEL_GAP_PX,
  )
  return marks.map((mark, i) => {
    const top = heightShare(mark.fromMm, bedMm) * heightPx
    const tall = Math.max(heightShare(mark.toMm, bedMm) * heightPx - top, 3)
    const colour =
      mark.look === 'hole' ? 'var(--madder)' : mark.look === 'fly' ? 'var(--moss)' : 'var(--thistle)'
    const soft = `linear-gradient(to ${side}, ${colour} ${(100 * mark.weight) / Math.max(mark.softWeight, 0.01)}%, transparent)`
    return (
      <span key={mark.id}>
        <span
          className="bar"
          style={{
            [side === 'left' ? 'right' : 'left']: '50%',
            top,
            height: tall,
            width: `calc(${Math.max(mark.softWeight, 0.06)} * (50% - 8px))`,
            background: soft,
            opacity: lit === mark.id ? 0.75 : 0.32,
          }}
        />
        <button
          type="button"
          data-mark={lane}
          data-lit={lit === mark.id}
          data-pinned={pinned === mark.id}
          className={mark.look}
          style={{ [side]: 3, top: tops[i] }}
          onMouseEnter={() => dispatch(light(mark.id))}
          onMouseLeave={() => dispatch(light(null))}
          onFocus={() => dispatch(light(mark.id))}
          onBlur={() => dispatch(light(null))}
          onClick={() => (mark.to ? void navigate(mark.to) : undefined)}
          onKeyDown={(event) => {
            if (event.key.toLowerCase() === 'p') {
              event.preventDefault()
              event.stopPropagation()
              dispatch(pin(mark.id))
            }
          }}
        >
          <span className="name">{mark.label}</span>
          <span className="words">{mark.words}</span>
        </button>
      </span>
    )
  })
}

/** Up and down from mark to mark, left and right between lanes, Esc back to the sheet. */
function moveAmongMarks(event: KeyboardEvent<HTMLElement>): void {
  const now = event.target instanceof HTMLElement ? event.target.closest<HTMLElement>('[data-mark]') : null
  if (!now) return
  const all = [...event.currentTarget.querySelectorAll<HTMLElement>('[data-mark]')]
  const byTop = (lane: string | undefined) =>
    all.filter((mark) => mark.dataset.mark === lane).sort((a, b) => a.offsetTop - b.offsetTop)
  const own = byTop(now.dataset.mark)
  const at = own.indexOf(now)
  const other = byTop(now.dataset.mark === 'foods' ? 'flies' : 'foods')
  const nearest = other.reduce<HTMLElement | undefined>(
    (best, mark) =>
      !best || Math.abs(mark.offsetTop - now.offsetTop) < Math.abs(best.offsetTop - now.offsetTop)
        ? mark
        : best,
    undefined,
  )
  if (event.key === 'ArrowDown') own[at + 1]?.focus()
  else if (event.key === 'ArrowUp') own[at - 1]?.focus()
  else if (event.key === 'ArrowLeft' || event.key === 'ArrowRight') nearest?.focus()
  else if (event.key === 'Escape') document.getElementById('sheet')?.focus()
  else return
  event.preventDefault()
}

function useHeight() {
  const water = useRef<HTMLDivElement>(null)
  const [heightPx, setHeightPx] = useState(500)
  useEffect(() => {
    const element = water.current
    if (!element) return
    const observer = new ResizeObserver(() => setHeightPx(element.clientHeight))
    observer.observe(element)
    return () => observer.disconnect()
  }, [])
  return { water, heightPx }
}

/** The water column: foods at the left, flies at the right, facing each other at one depth. */
export function Column({ frame, content }: { readonly frame: FrameView; readonly content: ColumnContent }) {
  const moment = useMoment()
  const { water, heightPx } = useHeight()
  const [wide, setWide] = useState(false)
  const { data } = useMomentQuery(
    { reachId: moment?.reachId ?? '', on: moment?.on ?? '', localMin: moment?.localMin ?? 0 },
    { skip: !moment },
  )
  const foods = useMemo(() => (data ? foodMarks(data, content) : []), [data, content])
  const flies = useMemo(() => content.flies ?? (data ? censusMarks(data) : []), [data, content])
  const bedMm = data?.bedMm ?? 1000
  const y = (depthMm: number) => heightShare(depthMm, bedMm) * heightPx
  return (
    <Strip aria-label="Water column" data-wide={wide} onKeyDown={moveAmongMarks}>
      <button
        type="button"
        className="ruler"
        onClick={() => setWide(!wide)}
        aria-expanded={wide}
        aria-label={wide ? 'Narrow the Column' : 'Widen the Column'}
      >
        {wide ? '× close' : '≋'}
      </button>
      <MomentHead frame={frame} />
      <div className="lanes" aria-hidden="true">
        <span>food</span>
        <span>flies</span>
      </div>
      <div className="water" ref={water}>
        <div className="line film" style={{ top: y(0) }}>
          <span>film</span>
        </div>
        <div className="line crease" style={{ top: y(150) }}>
          <span>{shortDepth(150, frame.settings.units)}</span>
        </div>
        <div className="middle" />
        <Lane marks={foods} side="left" heightPx={heightPx} bedMm={bedMm} lane="foods" />
        <Lane marks={flies} side="right" heightPx={heightPx} bedMm={bedMm} lane="flies" />
        {content.fall?.seconds.map(({ timeS, depthMm, lowMm, highMm }) => (
          <div key={timeS}>
            <span
              className="bar"
              style={{
                left: '50%',
                width: 10,
                top: y(lowMm),
                height: Math.max(y(highMm) - y(lowMm), 2),
                background: 'linear-gradient(transparent, var(--thistle), transparent)',
                opacity: 0.5,
              }}
            />
            <div className="line" style={{ top: y(depthMm), left: '50%' }}>
              <span>
                {timeS} s · {shortDepth(depthMm, frame.settings.units)}
              </span>
            </div>
          </div>
        ))}
        <div className="line" style={{ bottom: 0 }}>
          <span style={{ top: 'auto', bottom: 2 }}>bed {shortDepth(bedMm, frame.settings.units)}</span>
        </div>
      </div>
    </Strip>
  )
}
