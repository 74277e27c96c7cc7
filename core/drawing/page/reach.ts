/** The smallest box round all that was put on a page, in whole dots with a margin. */
export interface Box {
  readonly leftPx: number
  readonly topPx: number
  readonly widthPx: number
  readonly heightPx: number
}

const MARGIN_PX = 1.5

const tenths = (px: number) => Math.round(px * 10)

/** Turns mm into tenths of a dot, and remembers how far they reach. */
export function reachAt(pxPerMm: number) {
  let [left, right, top, bottom] = [Infinity, -Infinity, Infinity, -Infinity]
  return {
    across: (xMm: number): number => {
      const tenth = tenths(xMm * pxPerMm)
      if (tenth < left) left = tenth
      if (tenth > right) right = tenth
      return tenth
    },
    /** downwards on the page, where y of a fly goes up */
    down: (yMm: number): number => {
      const tenth = tenths(-yMm * pxPerMm)
      if (tenth < top) top = tenth
      if (tenth > bottom) bottom = tenth
      return tenth
    },
    box: (): Box => {
      const leftPx = Math.floor(left / 10 - MARGIN_PX)
      const topPx = Math.floor(top / 10 - MARGIN_PX)
      return {
        leftPx,
        topPx,
        widthPx: Math.ceil(right / 10 + MARGIN_PX) - leftPx,
        heightPx: Math.ceil(bottom / 10 + MARGIN_PX) - topPx,
      }
    },
  }
}
