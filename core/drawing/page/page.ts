import type { FlyDrawing, DrawingShape } from '../flyDrawing.ts'
import { KNEE } from './hairs.ts'
import type { Hair } from './hairs.ts'
import { levelAt } from './level.ts'
import type { Level } from './level.ts'
import { started, step } from './pen.ts'
import type { Point } from './point.ts'
import { reachAt } from './reach.ts'

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

/** An empty page at a scale; one that keeps no paths only knows how far they would reach, and is much quicker. */
export function emptyPage(pxPerMm: number, keepsPaths = true): Page {
  // bands of light lie within what they light
  const level = keepsPaths ? levelAt(pxPerMm) : { ...levelAt(pxPerMm), bands: 0 }
  const shapes: Record<LayerName, DrawingShape[]> = {
    tail: [], far: [], hook: [], body: [], longHairs: [], over: [], near: [], head: [], eye: [],
  } // prettier-ignore
  const { across, down, box } = reachAt(pxPerMm)
  const open = (points: readonly Point[]) => {
    let path = ''
    let [x, y] = [0, 0]
    for (let i = 0; i < points.length; i += 1) {
      const point = points[i] as Point
      const [toX, toY] = [across(point[0]), down(point[1])]
      if (keepsPaths) path += i === 0 ? started(toX, toY) : (i === 1 ? 'l' : '') + step(toX - x, toY - y)
      x = toX
      y = toY
    }
    return path
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
    // the same as bentBy has it, in numbers alone: there are thousands
    hair: ({ root: [x, y], angle, lengthMm, widthMm, curl }) => {
      const [cos, sin] = [Math.cos(angle), Math.sin(angle)]
      const half = Math.max(widthMm, thinnestMm) / 2
      const [nx, ny] = [-sin * half, cos * half]
      const [kx, ky] = [nx * 0.8, ny * 0.8]
      const [kneeX, kneeY] = [x + KNEE * lengthMm * cos, y + KNEE * lengthMm * sin]
      const [rootX, rootY] = [across(x + nx), down(y + ny)]
      const [bendX, bendY] = [across(kneeX + kx), down(kneeY + ky)]
      const [tipX, tipY] = [
        across(x + lengthMm * Math.cos(angle + curl)),
        down(y + lengthMm * Math.sin(angle + curl)),
      ]
      const [bendBackX, bendBackY] = [across(kneeX - kx), down(kneeY - ky)]
      const [rootBackX, rootBackY] = [across(x - nx), down(y - ny)]
      if (!keepsPaths) return ''
      const there = step(bendX - rootX, bendY - rootY) + step(tipX - rootX, tipY - rootY)
      const back = step(bendBackX - tipX, bendBackY - tipY) + step(rootBackX - tipX, rootBackY - tipY)
      return `${started(rootX, rootY)}q${there}${back}z`
    },
    put: (layer, key, path, { fill = null, stroke = null, strokeMm = 0, opacity = 1 }: InkOrNone) => {
      if (path === '') return
      const strokePx = stroke ? Math.max(Math.round(strokeMm * pxPerMm * 100) / 100, THINNEST_STROKE_PX) : 0
      shapes[layer].push({ key, path, fill, stroke, strokePx, opacity: Math.round(opacity * 1000) / 1000 })
    },
    finished: () => ({ pxPerMm, ...box(), shapes: LAYERS.flatMap((layer) => shapes[layer]) }),
  }
}

interface InkOrNone {
  readonly fill?: string | null
  readonly stroke?: string | null
  readonly strokeMm?: number
  readonly opacity?: number
}
