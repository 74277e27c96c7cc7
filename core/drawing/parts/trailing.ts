import { radians } from '../../number/index.ts'
import { chanceFor, hexOf, radiusUnder } from '../scene.ts'
import type { Painter, Scene } from '../scene.ts'
import type { Point } from '../page/point.ts'
import type { SketchPart } from '../sketch.ts'
import { putBunch, putLeg, putTuft } from './bunch.ts'
import type { Bunch } from './bunch.ts'
import { isSoft } from './hackle.ts'
import { putFur } from './strip.ts'
import { putFinger } from './finger.ts'

/** Filaments that are seen of one strand of yarn or floss. */
const FILAMENTS = 11
const THINNEST_MM = 0.05
const FLAME = { barbules: 26, longest: 0.085, cloud: 0.12 }
const WISP = { barbules: 8, longest: 0.09, cloud: 0.13 }

/** A bunch as its goods make it: a cloud, a flame, filaments, fingers, legs or plain fibres. */
export function putGoods(part: SketchPart, scene: Scene, at: Pick<Bunch, 'layer' | 'root' | 'angle' | 'spreadDeg'> & { readonly lengthMm?: number; readonly curl?: number }): void {
  const { page } = scene
  const hex = hexOf(part, scene)
  const chance = chanceFor(part, `bunch ${at.layer}`)
  const bunch: Bunch = {
    key: part.key,
    lengthMm: part.lengthMm ?? 3,
    count: part.fibreCount ?? (part.strands ?? 1) * FILAMENTS,
    hex,
    widthMm: Math.max(part.fibreMm, THINNEST_MM),
    baseMm: 0.3,
    curl: 0,
    uneven: 0.05,
    barred: part.barred,
    ...at,
  }
  switch (part.goods) {
    case 'marabou':
      return putTuft(page, { ...bunch, count: 44, widthMm: 0.05, uneven: 0.16 }, FLAME, chance)
    case 'cdc':
      return putTuft(page, { ...bunch, count: 38, widthMm: 0.045, uneven: 0.1, spreadDeg: at.spreadDeg * 1.4 }, { ...FLAME, longest: 0.12, barbules: 22, cloud: 0.14 }, chance)
    case 'yarn':
    case 'dubbing':
      return putTuft(page, { ...bunch, count: Math.max(bunch.count, 14), widthMm: 0.045, uneven: 0.12 }, WISP, chance)
    case 'rubber': {
      const legs = Math.min(part.strands ?? part.fibreCount ?? 2, 6)
      for (let i = 0; i < legs; i += 1) {
        const t = legs > 1 ? (i / (legs - 1)) * 2 - 1 : 0
        const angle = at.angle + t * radians(at.spreadDeg)
        const far = (share: number, bend: number): Point => [bunch.root[0] + Math.cos(angle + bend) * bunch.lengthMm * share, bunch.root[1] + Math.sin(angle + bend) * bunch.lengthMm * share]
        putLeg(page, at.layer, part.key, [bunch.root, far(0.5, 0), far(1, -0.14 - t * 0.1)], part.strandMm, hex)
      }
      return undefined
    }
    case 'chenille':
      return putFinger(part, scene, bunch)
    case 'strip':
      return putFur(part, scene, [bunch.root, ...[0.3, 0.6, 1].map((share): Point => [bunch.root[0] + Math.cos(at.angle) * bunch.lengthMm * share, bunch.root[1] + Math.sin(at.angle) * bunch.lengthMm * share + 0.2 * Math.sin(share * 5)])])
    default:
      return putBunch(page, isSoft(part) ? { ...bunch, uneven: 0.1, curl: bunch.curl - 0.06 } : bunch, chance)
  }
} // prettier-ignore

/** Tied in splayed where they are few, married where many. */
const spreadOf = ({ fibreCount = 12, goods }: SketchPart) => {
  if (goods === 'marabou') return 20
  return fibreCount <= 4 ? 22 : 13
}

/** A tail or a shuck: behind the bend, in line with the shank there. */
export const paintTail: Painter = (part, scene) => {
  const { line, sketch } = scene
  const { at, heading } = line.at(Math.min(part.toMm, sketch.hook.shankMm))
  const up = radiusUnder(scene, part.toMm) * 0.4
  // tails of a curved hook are lifted a little out of the bend
  const lifted = heading * 0.55 + radians(3)
  putGoods(part, scene, { layer: 'tail', root: [at[0], at[1] + up], angle: lifted, spreadDeg: spreadOf(part), curl: 0.02 })
} // prettier-ignore
