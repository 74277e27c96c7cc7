import type { MaterialKind } from '../../material/index.ts'
import { radians } from '../../number/index.ts'
import { radiusUnder } from '../scene.ts'
import type { Painter } from '../scene.ts'
import { isSoft, putHackle } from './hackle.ts'
import { putGoods } from './trailing.ts'
import { paintWound } from './wound.ts'

/** Goods of which single barbs stand out once they are wound. */
export const FEATHERS: ReadonlySet<MaterialKind> = new Set(['hackle', 'feather', 'cdc', 'marabou'])
const BUNCHES: ReadonlySet<MaterialKind> = new Set(['hair', 'fibre', 'rubber'])
/** How far barbs lean back from square: hardly in a hackle that floats, half way in a soft collar. */
const TILT_DEG = { stiff: 2, soft: 28, collar: 46 }

export const paintHackle: Painter = (part, scene) =>
  putHackle(part, scene, { tiltDeg: isSoft(part) ? TILT_DEG.soft : TILT_DEG.stiff })

/** A collar: soft feather, flared hair, or fur behind the head. */
export const paintCollar: Painter = (part, scene) => {
  if (FEATHERS.has(part.goods)) return putHackle(part, scene, { tiltDeg: TILT_DEG.collar })
  if (!BUNCHES.has(part.goods)) return paintWound(part, scene)
  const x = part.toMm
  const { heading } = scene.line.at(x)
  const up = radiusUnder(scene, x) * 0.7
  for (const [layer, deg] of [['far', 26], ['far', -24], ['near', 12], ['near', -12]] as const)
    putGoods({ ...part, fibreCount: Math.max(Math.round((part.fibreCount ?? 24) / 4), 2) }, scene, {
      layer,
      root: scene.line.off(x, deg > 0 ? up : -up),
      angle: heading + radians(deg),
      spreadDeg: 26,
    })
  return undefined
} // prettier-ignore
