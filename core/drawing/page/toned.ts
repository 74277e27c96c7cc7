import { clamp } from '../../number/index.ts'
import type { Hair } from './hairs.ts'
import type { LayerName, Page } from './page.ts'
import { edgeOf, isPale, MIDDLE_TONE, tonesOf } from './tones.ts'

/** Hairs of one part and layer, gathered by tone: all of one tone are one path. */
export interface TonedHairs {
  /** tone counted from the middle one: below nought darker, above lighter */
  readonly add: (tone: number, hair: Hair) => void
  /** puts them down, dark ones first; pale ones get an edge, or white feather would be lost on paper */
  readonly put: (layer: LayerName, key: string, opacity?: number) => void
}

const EDGE = { mm: 0.03, opacity: 0.5 }

/** Hairs in given tones, dark to light. */
export function hairsIn(page: Page, tones: readonly string[]): TonedHairs {
  const paths = tones.map(() => '')
  const middle = tones[Math.floor(tones.length / 2)] ?? '#808080'
  return {
    add: (tone, hair) => {
      const i = clamp(Math.round(MIDDLE_TONE + tone), 0, tones.length - 1)
      paths[i] = (paths[i] ?? '') + page.hair(hair)
    },
    put: (layer, key, opacity = 1) => {
      if (isPale(middle))
        page.put(layer, key, paths.join(''), {
          stroke: edgeOf(middle),
          strokeMm: EDGE.mm * 2,
          opacity: EDGE.opacity,
        })
      paths.forEach((path, i) => page.put(layer, key, path, { fill: tones[i] as string, opacity }))
    },
  }
}

/** Hairs in five tones of one colour. */
export const hairsOf = (page: Page, hex: string, spread?: number): TonedHairs =>
  hairsIn(page, tonesOf(hex, spread))
