import type { KeyboardEvent, PointerEvent } from 'react'
import type { WaterSection } from './marks.ts'
import { depthAtShare, heightShare } from './scale.ts'
import { labels } from '../words/frame.ts'

interface SectionMarksProps {
  readonly section: WaterSection
  readonly bedMm: number
  readonly heightPx: number
}

const KEY_STEP_MM = 250

/** A section of the water: how fast and how warm it is by depth, its ice and its thermocline, which can be dragged. */
export default function SectionMarks({ section, bedMm, heightPx }: SectionMarksProps) {
  const y = (depthMm: number) => heightShare(depthMm, bedMm) * heightPx
  const { layers, thermocline, ice } = section
  const fast = layers.map(({ depthMm, speedShare }) => `${50 + 46 * speedShare}% ${y(depthMm)}px`)
  const drag = (event: PointerEvent<HTMLElement>) => {
    const water = event.currentTarget.parentElement?.getBoundingClientRect()
    if (!water || !event.currentTarget.hasPointerCapture(event.pointerId)) return
    thermocline?.onMove(depthAtShare((event.clientY - water.top) / water.height, bedMm))
  }
  const press = (event: KeyboardEvent<HTMLElement>) => {
    const step = event.key === 'ArrowDown' ? KEY_STEP_MM : event.key === 'ArrowUp' ? -KEY_STEP_MM : 0
    if (step === 0 || !thermocline) return
    event.preventDefault()
    event.stopPropagation()
    thermocline.onMove(thermocline.depthMm + step)
    thermocline.onDrop()
  }
  return (
    <>
      <span
        className="section"
        aria-hidden="true"
        style={{ clipPath: `polygon(50% ${y(0)}px, ${fast.join(', ')}, 50% ${y(bedMm)}px)` }}
      />
      {ice ? (
        <div className="line ice" style={{ top: 0, height: y(0) }}>
          <span>{labels.ice}</span>
        </div>
      ) : null}
      {layers.map(({ depthMm, words }) => (
        <span key={depthMm} className="layer" style={{ top: Math.min(y(depthMm) + 2, heightPx - 34) }}>
          {words}
        </span>
      ))}
      {thermocline ? (
        <div
          className="line crease grab"
          role="slider"
          tabIndex={0}
          aria-label={labels.depthOfTheThermocline}
          aria-orientation="vertical"
          aria-valuemin={500}
          aria-valuemax={Math.round(bedMm)}
          aria-valuenow={Math.round(thermocline.depthMm)}
          aria-valuetext={thermocline.words}
          style={{ top: y(thermocline.depthMm) }}
          onKeyDown={press}
          onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
          onPointerMove={drag}
          onPointerUp={thermocline.onDrop}
        >
          <span>{thermocline.words}</span>
        </div>
      ) : null}
    </>
  )
}
