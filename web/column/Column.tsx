import { lazy, Suspense, useEffect, useMemo, useRef, useState } from 'react'
import type { KeyboardEvent } from 'react'
import styled from 'styled-components'
import type { FrameView, MomentView } from '../../contract/index.ts'
import { useNow } from '../moment/useNow.ts'
import { shortDepth } from '../words/words.ts'
import type { ColumnContent, Mark } from './marks.ts'
import { MomentHead } from './MomentHead.tsx'
import { Lane, Profile } from './Lane.tsx'
import { heightShare } from './scale.ts'
import { labels } from '../words/frame.ts'

// what only some places hang in the Column comes with them
const FallMarks = lazy(() => import('./FallMarks.tsx'))
const SectionMarks = lazy(() => import('./SectionMarks.tsx'))
const SpanHandles = lazy(() => import('./SpanHandles.tsx'))

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
    white-space: nowrap;
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
  .grab {
    pointer-events: auto;
    cursor: ns-resize;
    touch-action: none;
    height: 14px;
    z-index: 3;
  }
  .span {
    border-color: var(--thistle);
  }
  .span[data-end='to'] {
    border-top: 0;
    border-bottom: 1px solid var(--thistle);
  }
  .span span {
    left: 50%;
    right: auto;
    translate: -50%;
    border: 1px solid var(--thistle);
  }
  .span[data-end='from'] span[data-outside='true'],
  .span[data-end='to'] span {
    top: auto;
    bottom: 1px;
  }
  .span[data-end='from'] span[data-outside='true'] {
    bottom: 100%;
  }
  .span[data-end='to'] span[data-outside='true'] {
    top: 100%;
    bottom: auto;
  }
  .veil {
    position: absolute;
    left: 0;
    right: 0;
    background: color-mix(in srgb, var(--ground) 70%, transparent);
    pointer-events: none;
    z-index: 2;
  }
  .ice {
    background: color-mix(in srgb, var(--panel) 70%, transparent);
  }
  .section {
    position: absolute;
    inset: 0;
    background: color-mix(in srgb, var(--quiet) 22%, transparent);
    pointer-events: none;
  }
  .layer {
    white-space: nowrap;
    position: absolute;
    left: calc(50% + 6px);
    padding: 0 3px;
    font: 0.75rem/1.3 var(--figures);
    color: var(--ink);
    background: color-mix(in srgb, var(--panel) 84%, transparent);
    border-radius: 3px;
  }
  .middle {
    position: absolute;
    top: 0;
    bottom: 0;
    left: 50%;
    border-left: 1px dotted var(--quiet);
  }
  .grip {
    position: absolute;
    left: calc(50% + 16px);
    padding: 0 3px;
    font: 0.6875rem/1.3 var(--figures);
    color: var(--ink);
    background: color-mix(in srgb, var(--panel) 80%, transparent);
    border-radius: 3px;
    touch-action: none;
    z-index: 2;
  }
  .grip[data-drags='true'] {
    cursor: ns-resize;
    border: 1px solid var(--quiet);
  }
  .grip[data-ghost='true'] {
    left: calc(50% + 54px);
    border: 1px dashed var(--thistle);
  }
  .bar {
    opacity: 0.6;
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
        white-space: nowrap;
        z-index: 1;
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

const MOST_FOODS = 12
const MOST_FLIES = 14

function foodMarks(view: MomentView, content: ColumnContent): readonly Mark[] {
  return view.foods
    .filter(({ foodStageId }) => !content.foods || content.foods.includes(foodStageId))
    .slice(0, MOST_FOODS)
    .map((food) => ({
      id: food.foodStageId,
      label: food.name.replace(/, [^,]*$/, ''),
      fromMm: food.fromMm,
      toMm: food.toMm,
      weight: food.onIt,
      softWeight: food.onItIfAbout,
      words: `${food.name.replace(/^.*, /, '')} · ${food.onItWords}`,
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
  const { water, heightPx } = useHeight()
  const [wide, setWide] = useState(false)
  const data = useNow()
  const foods = useMemo(() => (data ? foodMarks(data, content) : []), [data, content])
  const flies = useMemo(() => content.flies ?? (data ? censusMarks(data) : []), [data, content])
  const bedMm = data?.bedMm ?? 1000
  const y = (depthMm: number) => heightShare(depthMm, bedMm) * heightPx
  return (
    <Strip aria-label={labels.waterColumn} data-wide={wide} onKeyDown={moveAmongMarks}>
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
        <span>{labels.food}</span>
        <span>{content.section?.title ?? 'flies'}</span>
      </div>
      <div className="water" ref={water}>
        <div className="line film" style={{ top: y(0) }}>
          <span>{labels.film}</span>
        </div>
        <div className="line crease" style={{ top: y(150) }}>
          <span>{shortDepth(150, frame.settings.units)}</span>
        </div>
        <div className="middle" />
        {[true, false].map((soft) => (
          <span key={String(soft)}>
            <Profile marks={foods} side="left" heightPx={heightPx} bedMm={bedMm} soft={soft} />
            {content.fall ? null : (
              <Profile
                marks={flies.filter(({ look }) => look === 'fly')}
                side="right"
                heightPx={heightPx}
                bedMm={bedMm}
                soft={soft}
              />
            )}
          </span>
        ))}
        <Lane marks={foods} side="left" heightPx={heightPx} bedMm={bedMm} lane="foods" />
        <Lane marks={flies} side="right" heightPx={heightPx} bedMm={bedMm} lane="flies" />
        <Suspense fallback={null}>
          {content.section ? (
            <SectionMarks section={content.section} bedMm={bedMm} heightPx={heightPx} />
          ) : null}
          {content.fall ? <FallMarks fall={content.fall} bedMm={bedMm} heightPx={heightPx} /> : null}
          {content.span ? <SpanHandles span={content.span} bedMm={bedMm} heightPx={heightPx} /> : null}
        </Suspense>
        <div className="line" style={{ bottom: 0 }}>
          <span style={{ top: 'auto', bottom: 2 }}>bed {shortDepth(bedMm, frame.settings.units)}</span>
        </div>
      </div>
    </Strip>
  )
}
