import { hexOf, radiusUnder } from '../scene.ts'
import type { Painter, Scene } from '../scene.ts'
import type { LayerName, Page } from '../page/page.ts'
import { ellipse } from '../page/point.ts'
import type { Point } from '../page/point.ts'
import { mixed, shaded } from '../page/tones.ts'
import { radians } from '../../number/index.ts'
import type { Finish, SketchPart } from '../sketch.ts'

/** How a ball shades from its lit middle to its rim: share of the radius, and how much darker or lighter. */
const BALL: readonly (readonly [share: number, by: number])[] = [
  [1, -0.42], [0.97, -0.64], [0.86, -0.5], [0.55, 0], [0.28, 0.36], [0.1, 0.7], [0, 0.85],
] // prettier-ignore
/** Where the light falls, in radii off the middle. */
const LIT: Point = [-0.3, 0.36]
const JIG_RISES = 0.13
const SLOT_DEG = 233
const METAL = '#6B7478'

function byShare(share: number): number {
  const i = BALL.findIndex(([at]) => at <= share)
  const [inner, outer] = [BALL[i], BALL[Math.max(i - 1, 0)]]
  if (!inner || !outer || inner[0] === outer[0]) return inner?.[1] ?? 0
  return inner[1] + ((outer[1] - inner[1]) * (share - inner[0])) / (outer[0] - inner[0])
}

/** How far a ball goes from its lit to its dark side by its finish; only metal mirrors the ground, and nothing matt has a spark. */
const TAKES_LIGHT: Readonly<
  Record<Finish, { readonly contrast: number; readonly mirrors: boolean; readonly sparkOf: number }>
> = {
  metal: { contrast: 1, mirrors: true, sparkOf: 1 },
  painted: { contrast: 0.62, mirrors: false, sparkOf: 1.25 },
  matt: { contrast: 0.5, mirrors: false, sparkOf: 0 },
}

/** A shaded ball: rings that grow lighter towards the light, a reflected arc below, a spark, as its finish has them. */
export function putBall(scene: Scene, layer: LayerName, { key, finish, clear }: SketchPart, centre: Point, radius: number, hex: string): void {
  const { contrast, mirrors, sparkOf } = TAKES_LIGHT[finish]
  const { page } = scene
  const [x, y] = centre
  const steps = page.level.name === 'outline' ? 4 : Math.round(Math.min(Math.max(radius * page.pxPerMm * 0.7, 6), 22))
  for (let i = 0; i < steps; i += 1) {
    const share = 1 - i / steps
    const off = (1 - share) * radius
    const by = byShare(share) * contrast * (1 - 0.5 * clear)
    const ring = ellipse([x + LIT[0] * off, y + LIT[1] * off], radius * share, radius * share)
    const rim = i === 0 ? { stroke: shaded(hex, -0.72), strokeMm: 0.045 } : {}
    page.put(layer, key, page.closed(ring), { fill: shaded(hex, by), opacity: 1 - 0.35 * clear, ...rim })
  }
  if (page.level.name === 'outline') return
  if (mirrors) putReflection(page, layer, key, centre, radius, hex)
  if (sparkOf === 0) return
  const spark = ellipse([x - radius * 0.3, y + radius * 0.42], radius * 0.2 * sparkOf, radius * 0.11 * sparkOf, radians(25))
  page.put(layer, key, page.closed(spark), { fill: '#ffffff', opacity: 0.9 / sparkOf })
} // prettier-ignore

/** What a mirror of a ball shows of the ground below it. */
function putReflection(page: Page, layer: LayerName, key: string, [x, y]: Point, radius: number, hex: string): void {
  const arc = Array.from({ length: 13 }, (_, i): Point => {
    const t = radians(285 + i * 5)
    return [x + Math.cos(t) * radius * 0.86, y + Math.sin(t) * radius * 0.86]
  })
  page.put(layer, key, page.open(arc), { stroke: shaded(hex, 0.55), strokeMm: 0.045 * radius, opacity: 0.65 })
} // prettier-ignore

/** The slot of a bead: a dark channel from its middle to the rim, round inside, one lip lit. */
function putSlot({ page }: Scene, key: string, [x, y]: Point, radius: number, hex: string): void {
  const angle = radians(SLOT_DEG)
  const [ux, uy] = [Math.cos(angle), Math.sin(angle)]
  const half = radius * 0.22
  const at = (out: number, aside: number): Point => [x + ux * out - uy * aside, y + uy * out + ux * aside]
  const inner = Array.from({ length: 9 }, (_, i) => at(radius * 0.24 - Math.sin((Math.PI * i) / 8) * half, Math.cos((Math.PI * i) / 8) * half))
  const channel = [at(radius * 0.975, half * 1.1), ...inner, at(radius * 0.975, -half * 1.1)]
  page.put('head', key, page.closed(channel), { fill: '#1c100a', opacity: 0.95 })
  page.put('head', key, page.open(channel.slice(5)), { stroke: shaded(hex, 0.6), strokeMm: 0.05, opacity: 0.8 })
  page.put('head', key, page.open(channel.slice(0, 5)), { stroke: shaded(hex, -0.3), strokeMm: 0.05, opacity: 0.8 })
} // prettier-ignore

/** A bead on the shank, in the bend of a jig's neck, or before the eye on its pin. */
export const paintBead: Painter = (part, scene) => {
  const { page, line, sketch } = scene
  const hex = hexOf(part, scene)
  const radius = part.sizeMm / 2
  const jig = sketch.hook.neckMm > 0 && !part.pinned
  const [x, y] = line.at(part.centreMm).at
  const centre: Point = [x, y + (jig ? JIG_RISES * part.sizeMm : 0)]
  if (part.pinned) {
    const pin = [line.at(0.45 * sketch.hook.shankMm).at, centre].map(([px, py]): Point => [px, py + sketch.hook.wireMm * 0.9])
    page.put('hook', part.key, page.open(pin), { stroke: METAL, strokeMm: 0.5 })
    page.put('hook', part.key, page.open(pin.map(([px, py]): Point => [px, py + 0.1])), { stroke: shaded(METAL, 0.55), strokeMm: 0.12, opacity: 0.9 })
  }
  putBall(scene, 'head', part, centre, radius, hex)
  if (part.slotted && page.level.name !== 'outline') putSlot(scene, part.key, centre, radius, hex)
} // prettier-ignore

/** A cone, wide at the rear: bands from light above to dark below. */
export const paintCone: Painter = (part, scene) => {
  const { page, line } = scene
  const hex = hexOf(part, scene)
  const [radius, length] = [part.sizeMm / 2, part.sizeMm * 0.85]
  const edge = (v: number) => {
    const front = line.off(part.fromMm, v * radius * 0.45)
    const rear = line.off(part.fromMm + length, v * radius)
    const back = line.off(part.fromMm + length * 1.06, v * radius * 0.9)
    return [front, rear, back]
  }
  const between = (low: number, high: number) => page.closed([...edge(high), ...edge(low).toReversed()])
  page.put('head', part.key, between(-1, 1), { fill: hex, stroke: shaded(hex, -0.7), strokeMm: 0.045 })
  const bands = page.level.bands
  for (let i = 0; i < bands; i += 1) {
    const t = (i + 0.5) / bands
    page.put('head', part.key, between(-1, -0.1 - 0.85 * t), { fill: shaded(hex, -0.75), opacity: 0.7 / bands })
    page.put('head', part.key, between(0.15 + 0.3 * t, 0.9 - 0.3 * t), {
      fill: '#fffaf0',
      opacity: 0.85 / bands,
    })
  }
  page.put('head', part.key, between(0.5, 0.6), { fill: '#ffffff', opacity: 0.7 })
}

/** A pair of eyes on one side of the shank, the near one before the far one. */
export const paintEyes: Painter = (part: SketchPart, scene) => {
  const { line } = scene
  const hex = hexOf(part, scene)
  const radius = part.sizeMm / 2
  const x = (part.fromMm + part.toMm) / 2
  const up = part.side === 'below' ? -1 : 1
  const at = (lift: number) => line.off(x, up * (radiusUnder(scene, x) + radius * lift))
  putBall(scene, 'far', part, at(0.85), radius, shaded(hex, -0.25))
  putBall(scene, 'head', part, at(0.35), radius, hex)
  const { page } = scene
  if (page.level.fine && part.clear < 0.5)
    page.put('head', part.key, page.closed(ellipse(at(0.35), radius * 0.3, radius * 0.3)), { fill: mixed(hex, '#000000', 0.75), opacity: 0.55 })
} // prettier-ignore
