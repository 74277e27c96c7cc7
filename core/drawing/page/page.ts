import type { FlyDrawing, DrawingShape } from '../flyDrawing.ts'
import { bentBy } from './hairs.ts'
import type { Hair } from './hairs.ts'
import { levelAt } from './level.ts'
import type { Level } from './level.ts'
import { leaf, lineThrough } from './pen.ts'
import type { Spot } from './pen.ts'
import type { Point } from './point.ts'

/** What lies over what, from the back to the front. */
export const LAYERS = ['tail', 'far', 'hook', 'body', 'longHairs', 'over', 'near', 'head', 'eye'] as const
export type LayerName = (typeof LAYERS)[number]

/** How a shape is laid down. */
export interface Ink {
  readonly fill?: string
  readonly stroke?: string
  readonly strokeMm?: number
  readonly opacity?: number
}

/** Where shapes are put down, in mm; it keeps them as paths in dots of its scale and knows how far they reach. */
export interface Page {
  readonly pxPerMm: number
  readonly level: Level
  /** closed and open path through points */
  readonly closed: (points: readonly Point[]) => string
  readonly open: (points: readonly Point[]) => string
  readonly hair: (hair: Hair) => string
  readonly put: (layer: LayerName, key: string, path: string, ink: Ink) => void
  readonly finished: () => FlyDrawing
}

/** No hair is thinner than this on the screen, px: by level, as few hairs have to do for many. */
const THINNEST_PX = { outline: 0.8, row: 0.8, sheet: 0.55 } as const
const THINNEST_STROKE_PX = 0.3
const MARGIN_PX = 1.5

const tenths = (value: number) => Math.round(value * 10)

/** An empty page at a scale; one that keeps no paths only knows how far they would reach, and is much quicker. */
export function emptyPage(pxPerMm: number, keepsPaths = true): Page {
  const level = levelAt(pxPerMm)
  const shapes: Record<LayerName, DrawingShape[]> = {
    tail: [], far: [], hook: [], body: [], longHairs: [], over: [], near: [], head: [], eye: [],
  } // prettier-ignore
  // in tenths of a dot
  let [left, right, top, bottom] = [Infinity, -Infinity, Infinity, -Infinity]
  const spot = (x: number, y: number): Spot => {
    const [right10, down10] = [tenths(x * pxPerMm), tenths(-y * pxPerMm)]
    if (right10 < left) left = right10
    if (right10 > right) right = right10
    if (down10 < top) top = down10
    if (down10 > bottom) bottom = down10
    return [right10, down10]
  }
  const open = (points: readonly Point[]) => {
    const spots: Spot[] = []
    for (const [x, y] of points) spots.push(spot(x, y))
    return keepsPaths ? lineThrough(spots) : ''
  }
  const thinnestMm = THINNEST_PX[level.name] / pxPerMm
  return {
    pxPerMm,
    level,
    open,
    closed: (points) => {
      const path = open(points)
      return path && `${path}z`
    },
    hair: (hair) => {
      const [root, knee, tip] = bentBy(hair)
      const half = Math.max(hair.widthMm, thinnestMm) / 2
      const [nx, ny] = [-Math.sin(hair.angle) * half, Math.cos(hair.angle) * half]
      const [kx, ky] = [nx * 0.8, ny * 0.8]
      const spots = [
        spot(root[0] + nx, root[1] + ny),
        spot(knee[0] + kx, knee[1] + ky),
        spot(tip[0], tip[1]),
        spot(knee[0] - kx, knee[1] - ky),
        spot(root[0] - nx, root[1] - ny),
      ] as const
      return keepsPaths ? leaf(...spots) : ''
    },
    put: (layer, key, path, { fill = null, stroke = null, strokeMm = 0, opacity = 1 }: InkOrNone) => {
      if (path === '') return
      const strokePx = stroke ? Math.max(Math.round(strokeMm * pxPerMm * 100) / 100, THINNEST_STROKE_PX) : 0
      shapes[layer].push({ key, path, fill, stroke, strokePx, opacity: Math.round(opacity * 1000) / 1000 })
    },
    finished: () => {
      const leftPx = Math.floor(left / 10 - MARGIN_PX)
      const topPx = Math.floor(top / 10 - MARGIN_PX)
      return {
        pxPerMm,
        leftPx,
        topPx,
        widthPx: Math.ceil(right / 10 + MARGIN_PX) - leftPx,
        heightPx: Math.ceil(bottom / 10 + MARGIN_PX) - topPx,
        shapes: LAYERS.flatMap((layer) => shapes[layer]),
      }
    },
  }
}

interface InkOrNone {
  readonly fill?: string | null
  readonly stroke?: string | null
  readonly strokeMm?: number
  readonly opacity?: number
}
