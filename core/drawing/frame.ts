import { paintSketch } from './drawSketch.ts'
import { emptyPage } from './page/page.ts'
import type { BareSketch, FlyFrame } from './sketch.ts'

/** At this scale a fly is drawn in a moment and reaches as far as at any other, but for the tips of single hairs. */
const PX_PER_MM = 2.5

const to2 = (value: number) => Math.round(value * 100) / 100

/** How large a fly is with all that stands out of it: what decides at which scale it fits. */
export function frameOf(sketch: BareSketch): FlyFrame {
  const page = emptyPage(PX_PER_MM, false)
  paintSketch(page, sketch, 'dry')
  const { leftPx, topPx, widthPx, heightPx } = page.finished()
  return {
    leftMm: to2(leftPx / PX_PER_MM),
    topMm: to2(topPx / PX_PER_MM),
    widthMm: to2(widthPx / PX_PER_MM),
    heightMm: to2(heightPx / PX_PER_MM),
  }
}
