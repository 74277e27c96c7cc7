import { chanceFor, hexOf, radiusUnder } from '../scene.ts'
import type { Painter, Scene } from '../scene.ts'
import type { LayerName } from '../page/page.ts'
import { ribbonOutline } from '../page/point.ts'
import type { Point } from '../page/point.ts'
import { hairsOf } from '../page/toned.ts'
import { edgeOf, shaded } from '../page/tones.ts'
import type { SketchPart } from '../sketch.ts'

/** The thread ties foam down behind the head: a waist there, so deep. */
const WAIST = { at: 0.31, deep: 0.32, wide: 0.05 }
const STEPS = 44
const PORES = 240

const superellipse = (value: number, power: number) => Math.sign(value) * Math.abs(value) ** power
const waisted = (share: number) => 1 - WAIST.deep * Math.exp(-(((share - WAIST.at) / WAIST.wide) ** 2))

/** A block of foam along a line: rounded ends, edges, light above, pores. */
function putBlock(scene: Scene, part: SketchPart, layer: LayerName, { upper, lower }: { readonly upper: (share: number, in_: number) => Point; readonly lower: (share: number, in_: number) => Point }): void {
  const { page } = scene
  const hex = hexOf(part, scene)
  const shares = Array.from({ length: STEPS + 1 }, (_, i) => i / STEPS)
  const shell = (in_: number) => page.closed([...shares.map((share) => upper(share, in_)), ...shares.toReversed().map((share) => lower(share, in_))])
  const between = (low: number, high: number) => {
    const at = (share: number, v: number): Point => {
      const [a, b] = [lower(share, 0), upper(share, 0)]
      return [a[0] + (b[0] - a[0]) * v, a[1] + (b[1] - a[1]) * v]
    }
    return page.closed([...shares.map((share) => at(share, high)), ...shares.toReversed().map((share) => at(share, low))])
  }
  page.put(layer, part.key, shell(0), { fill: shaded(hex, -0.12), stroke: edgeOf(hex), strokeMm: 0.06 })
  const { bands } = page.level
  for (let i = 0; i < bands; i += 1) {
    const t = (i + 0.5) / bands
    page.put(layer, part.key, between(0, 0.52 - 0.44 * t), { fill: shaded(hex, -0.75), opacity: 0.55 / bands })
    page.put(layer, part.key, between(0.42 + 0.3 * t, 0.98 - 0.12 * t), { fill: '#fffaf0', opacity: 0.42 / bands })
  }
  if (!page.level.fine) return
  for (const [in_, opacity] of [[0.05, 0.24], [0.12, 0.16], [0.2, 0.1]] as const) // prettier-ignore
    page.put(layer, part.key, shell(in_), { stroke: shaded(hex, -0.7), strokeMm: 0.12, opacity })
  const chance = chanceFor(part, 'pores')
  const [dark, light] = [hairsOf(page, shaded(hex, -0.6), 0.1), hairsOf(page, shaded(hex, 0.4), 0.1)]
  for (let i = 0; i < PORES; i += 1) {
    const share = chance.between(0.03, 0.97)
    const v = Math.sqrt(chance.share())
    const [a, b] = [lower(share, 0.15), upper(share, 0.15)]
    const pores = i % 2 === 0 ? dark : light
    pores.add(chance.about(), { root: [a[0] + (b[0] - a[0]) * v, a[1] + (b[1] - a[1]) * v], angle: chance.between(0, 6.28), lengthMm: 0.09, widthMm: 0.06, curl: 0 })
  }
  dark.put(layer, part.key, 0.4)
  light.put(layer, part.key, 0.45)
  const gleam = shares.filter((share) => share > 0.35 && share < 0.72).map((share): Point => {
    const [a, b] = [lower(share, 0), upper(share, 0)]
    return [a[0] + (b[0] - a[0]) * 0.84, a[1] + (b[1] - a[1]) * 0.84]
  })
  page.put(layer, part.key, page.closed(ribbonOutline(gleam, (t) => part.sizeMm * 0.11 * Math.sin(Math.PI * t))), { fill: '#ffffff', opacity: 0.34 })
} // prettier-ignore

/** Foam laid over the body as a shell, or round the shank as a block, tied down behind the head. */
export const paintFoam: Painter = (part, scene) => {
  const { line } = scene
  const length = part.toMm - part.fromMm
  const over = part.side === 'above'
  const thick = part.sizeMm
  const deepMm = over ? 0.12 * thick : Math.max(part.outerMm, part.widthMm) * 0.42
  const highMm = over ? thick : deepMm
  const place = (share: number) => part.fromMm + length * (0.5 + 0.5 * superellipse(-Math.cos(Math.PI * share), 1.02)) // prettier-ignore
  const round = (share: number, power: number) => Math.sin(Math.PI * Math.min(Math.max(share, 0), 1)) ** power
  const base = (x: number) => (over ? radiusUnder(scene, x) : 0)
  putBlock(scene, part, over ? 'over' : 'body', {
    upper: (share, in_) => line.off(place(share), base(place(share)) + Math.max(highMm * round(share, 0.82) * waisted(share) - in_, 0)), // prettier-ignore
    lower: (share, in_) => line.off(place(share), base(place(share)) * (over ? 0.45 : 1) - Math.max(deepMm * round(share, 0.6) * waisted(share) - in_, 0)), // prettier-ignore
  })
  if (over) return
  const radius = (x: number) => highMm * round((x - part.fromMm) / length, 0.5)
  scene.bodies.push({
    fromMm: part.fromMm,
    toMm: part.toMm,
    radiusAt: radius,
    on: (x, v) => line.off(x, v * radius(x)),
    stations: [],
    between: () => [],
    outline: () => [],
  })
}

/** Foam that stands up: a post or a wing. */
export function putUprightFoam(part: SketchPart, scene: Scene, root: Point, angle: number): void {
  const lengthMm = part.lengthMm ?? 4
  const half = Math.max(part.widthMm, part.sizeMm) / 2
  const at = (share: number, side: number): Point => [
    root[0] + Math.cos(angle) * lengthMm * share - Math.sin(angle) * half * side,
    root[1] + Math.sin(angle) * lengthMm * share + Math.cos(angle) * half * side,
  ]
  const grow = (share: number) => 0.6 + 0.4 * Math.min(share * 6, 1)
  putBlock(scene, part, 'over', {
    upper: (share, in_) => at(share, grow(share) - in_ / half),
    lower: (share, in_) => at(share, -grow(share) + in_ / half),
  })
}
