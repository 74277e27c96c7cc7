import { radians } from '../../number/index.ts'
import { chanceFor, hexOf, radiusUnder } from '../scene.ts'
import type { Painter, Scene } from '../scene.ts'
import type { SketchPart } from '../sketch.ts'
import { curveThrough, ribbonOutline, smoothly } from '../page/point.ts'
import type { Point } from '../page/point.ts'
import { hairsIn } from '../page/toned.ts'
import { shaded, tonesOf } from '../page/tones.ts'

/** Fur lies back along the hide, its outer hairs so many degrees off it. */
const LIES_OFF_DEG = 40
/** Wet or in the hand, fur stands out of the hide by a share of its length. */
const STANDS = 0.17
const HAIRS_A_MM = 60
const MOST_HAIRS = 340
const HIDE = '#b79a74'

interface FurLayer {
  readonly share: number
  readonly lengthOf: number
  readonly widthMm: number
  readonly spread: number
  readonly tones: readonly string[]
  readonly opacity: number
}

/** A strip of skin with its fur along a line: under-fur, mass, hide, and guard hairs over all. */
export function putFur(part: SketchPart, scene: Scene, through: readonly Point[]): void {
  const { page } = scene
  const hex = hexOf(part, scene)
  const chance = chanceFor(part, 'fur')
  const spine = curveThrough(through, 40)
  const last = spine.length - 1
  const furMm = Math.min(part.hairMm, 16)
  const radius = (share: number) => furMm * STANDS * Math.sqrt(Math.min(share * 9 + 0.25, 1)) * (1 - 0.45 * smoothly((share - 0.75) * 4)) // prettier-ignore
  const at = (share: number) => {
    const i = Math.min(Math.floor(share * last), last - 1)
    const [a, b] = [spine[i] as Point, spine[i + 1] as Point]
    const t = share * last - i
    const point: Point = [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t]
    return { point, angle: Math.atan2(b[1] - a[1], b[0] - a[0]) }
  }
  const lengthMm = spine.slice(1).reduce((sum, [x, y], i) => {
    const [px, py] = spine[i] as Point
    return sum + Math.hypot(x - px, y - py)
  }, 0)
  const count = HAIRS_A_MM * lengthMm
  const layer = 'over'
  const put = ({ share, lengthOf, widthMm, spread, tones, opacity }: FurLayer) => {
    const hairs = hairsIn(page, tones)
    const kept = Math.min(count * share, MOST_HAIRS) * page.level.hairs
    const wider = Math.sqrt((count * share) / kept)
    for (let i = 0; i < kept; i += 1) {
      const along = chance.share() ** 0.85 * 0.97
      const v = chance.between(-spread, spread)
      const { point, angle } = at(along)
      const off = v * radius(along) * 0.6
      // the last hairs end with the hide: a strip is no longer than it was cut, but for the tips of its fur
      const room = (1 - along) * lengthMm + furMm * 0.28
      hairs.add(v * 1.3 + chance.about() * 1.1, {
        root: [point[0] - Math.sin(angle) * off, point[1] + Math.cos(angle) * off],
        angle: angle + v * radians(LIES_OFF_DEG) * chance.between(0.5, 1.2) + chance.about() * 0.12,
        lengthMm: Math.min(furMm * lengthOf * chance.between(0.55, 1.1), room),
        widthMm: widthMm * wider,
        curl: -v * 0.35 + chance.about() * 0.18,
      })
    }
    hairs.put(layer, part.key, opacity)
  }
  put({ share: 0.35, lengthOf: 0.36, widthMm: 0.09, spread: 1, tones: tonesOf(shaded(hex, -0.35), 0.2), opacity: 1 })
  page.put(layer, part.key, page.closed(ribbonOutline(spine, (t) => radius(t) * 1.25)), { fill: shaded(hex, -0.18) })
  page.put(layer, part.key, page.open(spine.slice(0, Math.round(last * 0.92))), { stroke: HIDE, strokeMm: 0.2 })
  put({ share: 0.5, lengthOf: 0.3, widthMm: 0.075, spread: 1, tones: tonesOf(hex), opacity: 1 })
  const guard = [-0.55, -0.3, 0.1, 0.3, 0.45].map((by) => shaded(hex, by))
  put({ share: 0.22, lengthOf: 0.44, widthMm: 0.04, spread: 0.9, tones: guard, opacity: 0.85 })
} // prettier-ignore

/** A strip tied in at the head: along the back and on behind the bend. */
export const paintStrip: Painter = (part, scene) => {
  const { line } = scene
  const lengthMm = part.lengthMm ?? part.toMm - part.fromMm
  const top = radiusUnder(scene, part.fromMm)
  const [x, y] = line.off(part.fromMm, top)
  putFur(part, scene, [
    [x, y],
    [x + lengthMm * 0.3, y + 0.55],
    [x + lengthMm * 0.62, y - 0.1],
    [x + lengthMm * 0.84, y + 0.3],
    [x + lengthMm, y - 0.35],
  ])
}
