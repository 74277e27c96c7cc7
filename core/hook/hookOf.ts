import { propertyOf, sizeNumber } from '../material/index.ts'
import type { Material } from '../material/index.ts'
import { makeHook } from './hook.ts'
import type { Hook } from './hook.ts'
import { Z_80 } from '../number/index.ts'

/** Makers differ in the mass of a hook of one size by ±30 % (80 %): as standard deviation of the logarithm. */
const MAKERS_SD_LOG = Math.log(1.3) / Z_80
/** What is left of that once the wire was measured: the length of the wire, ±13 %; with the shank measured too, ±5 %. */
const LENGTH_SD_LOG = { usual: 0.1, shankMeasured: 0.04 }

/** A hook of the stores: by its size and convention, and as far as someone has measured it. Null for what is no hook. */
export function hookOf(material: Material): Hook | null {
  const { family, overrides } = material
  const size = sizeNumber(material)
  if (!family.hook || !size) return null
  return makeHook(size, family.hook, {
    shankMm: overrides?.shankMm?.value,
    gapeMm: overrides?.gapeMm?.value,
    wireMm: overrides?.wireMm?.value,
  })
}

/** Doubt of a hook's mass, sd of the logarithm: the makers' spread, or what measuring its wire has left of it. */
export function hookMassSdLog(material: Material): number {
  if (!material.overrides?.wireMm) return MAKERS_SD_LOG
  const { low, high } = propertyOf(material, 'wireMm')
  const wire = (2 * Math.log(high / low)) / 2 / Z_80
  return Math.hypot(wire, material.overrides.shankMm ? LENGTH_SD_LOG.shankMeasured : LENGTH_SD_LOG.usual)
}
