import { radians } from '../../number/index.ts'
import type { Hair } from '../page/hairs.ts'
import type { Point } from '../page/point.ts'
import { hairsOf } from '../page/toned.ts'
import { shaded } from '../page/tones.ts'
import { drawnBarbs, isSoft, leftOf, postOf } from '../parts/hackle.ts'
import { chanceFor, hexOf, radiusUnder } from '../scene.ts'
import type { Painter, Scene } from '../scene.ts'
import type { SketchPart } from '../sketch.ts'

const GOLDEN = 0.618034
const WIDTH_MM = 0.055
const SWEPT_DEG = { stiff: 5, soft: 28 }
/** No more feet are drawn: they would run into one. */
const MOST_FEET = 60

/** A barb of a wound feather in space: from the stem, x along the shank, so far aside and below it. */
interface BarbInSpace {
  readonly fromMm: number
  readonly alongMm: number
  readonly asideMm: number
  readonly downMm: number
}

/** Barbs all round the shank, or in a disc about a post. */
function barbsInSpace(part: SketchPart, scene: Scene): readonly BarbInSpace[] {
  const chance = chanceFor(part, 'below')
  const lengthMm = part.lengthMm ?? 4
  const post = postOf(part, scene)
  const count = 2 * drawnBarbs(part, scene)
  const tiltDeg = isSoft(part) ? SWEPT_DEG.soft : SWEPT_DEG.stiff
  return Array.from({ length: count }, (_, i) => {
    const around = 2 * Math.PI * ((i * GOLDEN) % 1) + chance.about() * 0.05
    const long = lengthMm * (1 + chance.about() * 0.06)
    if (post) {
      const middle = (post.fromMm + post.toMm) / 2
      return { fromMm: middle, alongMm: Math.cos(around) * long, asideMm: Math.sin(around) * long, downMm: 0 }
    }
    const up = Math.cos(around)
    const left = long * leftOf(part, up)
    const tilt = radians(tiltDeg + chance.about() * 14)
    return {
      fromMm: part.fromMm + (part.toMm - part.fromMm) * chance.share(),
      alongMm: Math.sin(tilt) * left,
      asideMm: Math.cos(tilt) * Math.sin(around) * left,
      downMm: -Math.cos(tilt) * up * left,
    }
  })
}

/** A wound feather from below: barbs to both sides, those that point at the eye short. */
export const paintBarbsBelow: Painter = (part, scene) => {
  const { page } = scene
  const hex = hexOf(part, scene)
  const [far, near] = [hairsOf(page, shaded(hex, 0.12)), hairsOf(page, hex)]
  const chance = chanceFor(part, 'below curl')
  for (const { fromMm, alongMm, asideMm, downMm } of barbsInSpace(part, scene)) {
    const lengthMm = Math.hypot(alongMm, asideMm)
    if (lengthMm < 0.1) continue
    const off = Math.sign(asideMm) * Math.min(radiusUnder(scene, fromMm), Math.abs(asideMm))
    const hair: Hair = {
      root: [fromMm, off],
      angle: Math.atan2(asideMm - off, alongMm),
      lengthMm,
      widthMm: WIDTH_MM / Math.sqrt(page.level.barbs),
      curl: chance.about() * 0.12,
    }
    ;(downMm < 0 ? far : near).add(chance.about(), hair)
  }
  far.put('far', part.key)
  near.put('near', part.key)
}

/** Where barbs of a fly that rides so high meet the film, mm: along the shank and aside. */
export function feetOf(scene: Scene, shankMm: number): readonly Point[] {
  const feet = scene.sketch.parts
    .filter(({ barbs }) => barbs !== undefined)
    .flatMap((part) => {
      const flat = postOf(part, scene) !== undefined
      return barbsInSpace(part, scene).flatMap(({ fromMm, alongMm, asideMm, downMm }): readonly Point[] => {
        if (flat) return [[fromMm + alongMm * 0.9, asideMm * 0.9]]
        if (shankMm <= 0 || downMm < shankMm) return []
        const gone = shankMm / downMm
        return [[fromMm + alongMm * gone, asideMm * gone]]
      })
    })
  const every = Math.max(feet.length / MOST_FEET, 1)
  return feet.filter((_, i) => Math.floor(i / every) !== Math.floor((i - 1) / every))
}
