import { drawSketch, sketchOf } from '../core/index.ts'
import type { FlyDrawing } from '../core/index.ts'
import { sixteenFlies } from '../core/testing/sixteenFlies.ts'

const CELL = { wide: 390, high: 262 }
/** Room for the fly in its cell, px; the one at true size stands in the corner. */
const ROOM = { wide: 366, high: 196 }
const TRUE_PX_PER_MM = 96 / 25.4

const svgOf = ({ leftPx, topPx, widthPx, heightPx, shapes }: FlyDrawing): string =>
  `<svg viewBox="${leftPx} ${topPx} ${widthPx} ${heightPx}" width="${widthPx}" height="${heightPx}">${shapes
    .map(
      ({ path, fill, stroke, strokePx, opacity }) =>
        `<path d="${path}" fill="${fill ?? 'none'}" stroke="${stroke ?? 'none'}" stroke-width="${strokePx}" stroke-linecap="round" stroke-linejoin="round" opacity="${opacity}"/>`,
    )
    .join('')}</svg>`

/** Sixteen flies on one sheet as a page, large and at true size. */
export function flySheet(): string {
  const cells = sixteenFlies().map(({ name, fly }) => {
    const sketch = sketchOf(fly)
    const { widthMm, heightMm } = sketch.frame
    const large = drawSketch(sketch, { pxPerMm: Math.min(ROOM.wide / widthMm, ROOM.high / heightMm) })
    const small = drawSketch(sketch, { pxPerMm: TRUE_PX_PER_MM })
    return `<figure>${svgOf(large)}<figcaption>${name}</figcaption><span>${svgOf(small)}</span></figure>`
  })
  const style = `
    body { margin: 0; display: grid; grid-template-columns: repeat(4, ${CELL.wide}px); background: #fff; }
    figure { margin: 0; padding: 10px 12px; height: ${CELL.high - 20}px; position: relative; }
    figcaption { position: absolute; left: 12px; bottom: 12px; font: 600 14px sans-serif; color: #1c2325; }
    span { position: absolute; right: 10px; bottom: 8px; }`
  return `<!doctype html><title>Sixteen flies</title><style>${style}</style>${cells.join('')}`
}

/** How large the page is. */
export const FLY_SHEET = { width: 4 * CELL.wide, height: 4 * CELL.high }
