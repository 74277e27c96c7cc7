import { chanceFor, hexOf } from '../scene.ts'
import type { Scene } from '../scene.ts'
import type { SketchPart } from '../sketch.ts'
import { ribbonOutline } from '../page/point.ts'
import type { Point } from '../page/point.ts'
import { hairsOf } from '../page/toned.ts'
import { edgeOf, shaded } from '../page/tones.ts'
import type { Bunch } from './bunch.ts'

const STEPS = 16
const HAIRS_A_MM = 60

/** A finger of pile, as thick as its strand. */
export function putFinger(part: SketchPart, scene: Scene, { root, angle, lengthMm, layer }: Bunch): void {
  const { page } = scene
  const hex = hexOf(part, scene)
  const chance = chanceFor(part, `finger ${layer}`)
  const at = (share: number): Point => [
    root[0] + Math.cos(angle - 0.12 * share) * lengthMm * share,
    root[1] + Math.sin(angle - 0.12 * share) * lengthMm * share,
  ]
  const spine = Array.from({ length: STEPS + 1 }, (_, i) => at(i / STEPS))
  const widthMm = part.strandMm
  const thick = (t: number) => widthMm * 0.86 * Math.sqrt(Math.min((1 - t) * 8, 1, t * 12 + 0.4))
  page.put(layer, part.key, page.closed(ribbonOutline(spine, thick)), { fill: shaded(hex, -0.1), stroke: edgeOf(hex), strokeMm: 0.04 })
  const pile = hairsOf(page, hex, 0.34)
  const count = Math.min(HAIRS_A_MM * lengthMm * page.level.hairs, 700)
  for (let i = 0; i < count; i += 1) {
    const share = chance.share()
    const v = chance.between(-1, 1)
    const [x, y] = at(share)
    const half = thick(share) / 2
    const across = angle + Math.PI / 2
    pile.add(v * 1.2 + chance.about(), {
      root: [x + Math.cos(across) * v * half * 0.8, y + Math.sin(across) * v * half * 0.8],
      angle: angle + v * 1.2 + chance.about() * 0.6,
      lengthMm: widthMm * 0.22 * (0.5 + chance.share()),
      widthMm: 0.1 / Math.sqrt(page.level.hairs),
      curl: 0.3 * chance.about(),
    })
  }
  pile.put(layer, part.key)
} // prettier-ignore
