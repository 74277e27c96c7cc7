import { lazy, memo, Suspense, useMemo, useRef } from 'react'
import type { FocusEvent, KeyboardEvent } from 'react'
import type { FrameView } from '../../contract/index.ts'
import { useMoment } from '../moment/useMoment.ts'
import { useNow } from '../moment/useNow.ts'
import { useRoom } from '../ui/useRoom.ts'
import { openWater } from '../wire/state.ts'
import { useAppDispatch, useAppSelector } from '../wire/store.ts'
import { useStandings } from '../wire/useStandings.ts'
import { creaseDepth, shortDepth } from '../words/words.ts'
import { labels } from '../words/frame.ts'
import { censusMarks, foodMarks, holeMarks } from './hung.ts'
import { Lane } from './Lane.tsx'
import type { ColumnContent, Mark } from './marks.ts'
import { MomentHead } from './MomentHead.tsx'
import { Profile } from './Profile.tsx'
import { heightShare, LENS_BOTTOM_MM } from './scale.ts'
import { Strip } from './Strip.ts'

// what only some places hang in the Column, and what only the opened water shows, comes with them
const DayHours = lazy(() => import('./DayHours.tsx'))
const FallMarks = lazy(() => import('./FallMarks.tsx'))
const RigMarks = lazy(() => import('./RigMarks.tsx'))
const SectionMarks = lazy(() => import('./SectionMarks.tsx'))
const SpanHandles = lazy(() => import('./SpanHandles.tsx'))
const TrimMarks = lazy(() => import('./TrimMarks.tsx'))

/** Up and down from mark to mark of a lane, left and right to the nearest of the other. */
function moveAmongMarks(event: KeyboardEvent<HTMLElement>): boolean {
  const now = document.activeElement
  if (!(now instanceof HTMLElement) || !now.dataset.mark) return false
  const own = [...event.currentTarget.querySelectorAll<HTMLElement>(`[data-mark="${now.dataset.mark}"]`)]
  const other = now.dataset.mark === 'foods' ? 'flies' : 'foods'
  const at = own.indexOf(now)
  const nearest = [...event.currentTarget.querySelectorAll<HTMLElement>(`[data-mark="${other}"]`)].reduce<
    HTMLElement | undefined
  >(
    (best, mark) =>
      !best || Math.abs(mark.offsetTop - now.offsetTop) < Math.abs(best.offsetTop - now.offsetTop)
        ? mark
        : best,
    undefined,
  )
  if (event.key === 'ArrowDown') own[at + 1]?.focus()
  else if (event.key === 'ArrowUp') own[at - 1]?.focus()
  else if (event.key === 'ArrowLeft' || event.key === 'ArrowRight') nearest?.focus()
  else return false
  return true
}

/** Esc closes the opened water, and else goes back to where the focus came from. */
function useKeys(opened: boolean) {
  const dispatch = useAppDispatch()
  const cameFrom = useRef<HTMLElement | null>(null)
  return {
    onFocus: ({ relatedTarget, currentTarget }: FocusEvent<HTMLElement>) => {
      if (relatedTarget instanceof HTMLElement && !currentTarget.contains(relatedTarget))
        cameFrom.current = relatedTarget
    },
    onKeyDown: (event: KeyboardEvent<HTMLElement>) => {
      if (event.defaultPrevented) return
      if (event.key === 'Escape') {
        if (opened) dispatch(openWater(false))
        else (cameFrom.current?.isConnected ? cameFrom.current : document.getElementById('sheet'))?.focus()
      } else if (!moveAmongMarks(event)) return
      event.preventDefault()
    },
  }
}

function useMarks(content: ColumnContent): {
  readonly foods: readonly Mark[]
  readonly flies: readonly Mark[]
} {
  const data = useNow()
  const standings = useStandings()
  const reachName = useMoment()?.reach.reachName ?? ''
  const foods = useMemo(() => (data ? foodMarks(data, content) : []), [data, content])
  const flies = useMemo(
    () => content.flies ?? (data ? [...holeMarks(data, standings, reachName), ...censusMarks(data)] : []),
    [data, standings, reachName, content],
  )
  return { foods, flies }
}

interface ColumnProps {
  readonly frame: FrameView
  readonly content: ColumnContent
}

/** The water column: foods at the left, flies at the right, facing each other at one depth. */
export const Column = memo(function Column({ frame, content }: ColumnProps) {
  const { ref: water, widthPx, heightPx } = useRoom()
  const opened = useAppSelector((state) => state.view.waterOpen)
  const dispatch = useAppDispatch()
  const data = useNow()
  const { foods, flies } = useMarks(content)
  const keys = useKeys(opened)
  const bedMm = data?.bedMm ?? 1000
  const { units } = frame.settings
  const y = (depthMm: number) => heightShare(depthMm, bedMm) * heightPx
  const laneOf = { widthPx: widthPx / 2, heightPx, bedMm, opened }
  const openOrClose = () => dispatch(openWater(!opened))
  return (
    <Strip
      aria-label={labels.waterColumn}
      data-look={opened ? 'open' : content.narrow ? 'ruler' : 'strip'}
      {...keys}
    >
      <button
        type="button"
        className="edge"
        tabIndex={-1}
        title={opened ? labels.closeTheWater : labels.openTheWater}
        aria-label={opened ? labels.closeTheWater : labels.openTheWater}
        onClick={openOrClose}
      />
      <button
        type="button"
        className="ruler"
        onClick={openOrClose}
        aria-expanded={opened}
        aria-label={opened ? 'Narrow the Column' : 'Widen the Column'}
      >
        {opened ? '× close' : '≋'}
      </button>
      <MomentHead frame={frame} />
      {opened ? (
        <Suspense fallback={null}>
          <DayHours />
        </Suspense>
      ) : null}
      {content.section ? <div className="heading">{content.section.title}</div> : null}
      <div className="water" ref={water}>
        <div className="line film" style={{ top: y(0) }}>
          <span>{labels.film}</span>
        </div>
        <div className="line crease" style={{ top: y(LENS_BOTTOM_MM) }}>
          <span>{creaseDepth(LENS_BOTTOM_MM, units)}</span>
        </div>
        <div className="middle" />
        <Profile marks={foods} widthPx={widthPx / 2} heightPx={heightPx} bedMm={bedMm} />
        <Suspense fallback={null}>
          {content.rig ? (
            <RigMarks rig={content.rig} bedMm={bedMm} widthPx={widthPx} heightPx={heightPx} opened={opened} />
          ) : null}
        </Suspense>
        <Lane marks={foods} side="left" {...laneOf} />
        <Lane marks={flies} side="right" {...laneOf} />
        <Suspense fallback={null}>
          {content.section ? (
            <SectionMarks section={content.section} bedMm={bedMm} heightPx={heightPx} />
          ) : null}
          {content.fall ? <FallMarks fall={content.fall} bedMm={bedMm} heightPx={heightPx} /> : null}
          {content.trim ? <TrimMarks trim={content.trim} bedMm={bedMm} heightPx={heightPx} /> : null}
          {content.span ? <SpanHandles span={content.span} bedMm={bedMm} heightPx={heightPx} /> : null}
        </Suspense>
        <div className="line" style={{ bottom: 0 }}>
          <span>bed {shortDepth(bedMm, units)}</span>
        </div>
      </div>
      <div className="key" aria-hidden="true">
        <span>{labels.food}</span>
        <span className="keyFly">{labels.flies}</span>
        <span className="keyDoubt">{labels.doubt}</span>
      </div>
    </Strip>
  )
})
