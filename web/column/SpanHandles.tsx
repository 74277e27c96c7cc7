import type { KeyboardEvent, PointerEvent } from 'react'
import type { DepthSpan } from './marks.ts'
import { depthAtShare, heightShare } from './scale.ts'

interface SpanHandlesProps {
  readonly span: DepthSpan
  readonly bedMm: number
  readonly heightPx: number
}

/** Of the Column's height, what an arrow moves a handle by: fine in the lens, coarser below it. */
const KEY_STEP = 0.04

/** A handle says its depth on its outer side, so that it covers nothing that is looked at; at either end there is no room. */
const isOutside = (share: number) => share > KEY_STEP && share < 1 - KEY_STEP

/** Two handles that choose a stretch of depth, and a veil over what lies outside it. */
export default function SpanHandles({ span, bedMm, heightPx }: SpanHandlesProps) {
  const { fromMm, toMm, words, onChange } = span
  const share = (depthMm: number) => heightShare(depthMm, bedMm)
  const move = (end: 'from' | 'to', toShare: number) => {
    const depthMm = depthAtShare(toShare, bedMm)
    onChange(
      end === 'from' ? { fromMm: Math.min(depthMm, toMm), toMm } : { fromMm, toMm: Math.max(depthMm, fromMm) },
    )
  }
  const drag = (end: 'from' | 'to') => (event: PointerEvent<HTMLElement>) => {
    const water = event.currentTarget.parentElement?.getBoundingClientRect()
    if (!water || !event.currentTarget.hasPointerCapture(event.pointerId)) return
    move(end, (event.clientY - water.top) / water.height)
  }
  const press = (end: 'from' | 'to') => (event: KeyboardEvent<HTMLElement>) => {
    const step = event.key === 'ArrowDown' ? KEY_STEP : event.key === 'ArrowUp' ? -KEY_STEP : 0
    if (step === 0 || event.shiftKey) return
    event.preventDefault()
    event.stopPropagation()
    move(end, share(end === 'from' ? fromMm : toMm) + step)
  }
  const handle = (end: 'from' | 'to', depthMm: number) => (
    <div
      className="line grab span"
      data-end={end}
      role="slider"
      tabIndex={0}
      aria-label={end === 'from' ? 'Upper end of the depth looked at' : 'Lower end of the depth looked at'}
      aria-orientation="vertical"
      aria-valuemin={0}
      aria-valuemax={Math.round(bedMm)}
      aria-valuenow={Math.max(Math.round(depthMm), 0)}
      aria-valuetext={words(depthMm)}
      style={{ top: share(depthMm) * heightPx - (end === 'to' ? 14 : 0) }}
      onKeyDown={press(end)}
      onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
      onPointerMove={drag(end)}
    >
      <span data-outside={isOutside(share(depthMm))}>{words(depthMm)}</span>
    </div>
  )
  return (
    <>
      <span className="veil" style={{ top: 0, height: share(fromMm) * heightPx }} />
      <span className="veil" style={{ top: share(toMm) * heightPx, bottom: 0 }} />
      {handle('from', fromMm)}
      {handle('to', toMm)}
    </>
  )
}
