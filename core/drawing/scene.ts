import { chanceOf } from './page/chance.ts'
import type { Chance } from './page/chance.ts'
import type { HookLine } from './hook/hookLine.ts'
import type { Page } from './page/page.ts'
import type { BareSketch, SketchPart } from './sketch.ts'
import type { Body } from './parts/body.ts'

/** Whether colours are those of dry or of wet goods. */
export type Wetness = 'dry' | 'wet'

/** What a painter of a part has at hand. */
export interface Scene {
  readonly page: Page
  readonly sketch: BareSketch
  readonly line: HookLine
  readonly wetness: Wetness
  /** bodies wound so far, in tying order */
  readonly bodies: Body[]
}

/** Paints one part. */
export type Painter = (part: SketchPart, scene: Scene) => void

export const hexOf = ({ dryHex, wetHex }: SketchPart, { wetness }: Scene): string =>
  wetness === 'dry' ? dryHex : wetHex

/** Chance for one layer of one part of one fly: by what the fly is, not by where it stands in a list. */
export const chanceFor = (part: SketchPart, layer: string): Chance => chanceOf(part.key, part.goods, layer)

/** Radius of all that is wound at a place of the shank so far, mm. */
export function radiusUnder({ bodies, sketch }: Scene, xMm: number): number {
  let radius = sketch.hook.wireMm / 2
  for (const { fromMm, toMm, radiusAt } of bodies)
    if (xMm >= fromMm && xMm <= toMm) radius = Math.max(radius, radiusAt(xMm))
  return radius
}
