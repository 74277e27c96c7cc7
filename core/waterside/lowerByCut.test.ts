import { describe, expect, it } from 'vitest'
import { resolveDressing } from '../dressing/index.ts'
import { rideOf, wettingOf } from '../float/index.ts'
import { afterCut } from '../float/trim.ts'
import { partsOf } from '../dressing/index.ts'
import { hackledDry, jigNymph } from '../testing/shippedMaterial.ts'
import { waterAt } from '../water/index.ts'
import { lowerByCut } from './index.ts'

const flyOf = ({ dressing, variant, materials }: ReturnType<typeof hackledDry>) => {
  const fly = resolveDressing(dressing, variant, materials)
  if (fly.kind !== 'fly') throw new Error('incomplete')
  return fly
}

describe('a cut at the water', () => {
  it('has a hackled dry sit plainly lower, and float still: by the same reckoning as at the bench', () => {
    const fly = flyOf(hackledDry())
    const found = lowerByCut(fly, waterAt(10))
    expect(found?.cut.left).toBeLessThan(1)
    const ride = rideOf(partsOf(afterCut(fly, found!.cut)), waterAt(10), wettingOf('fresh'))
    expect(ride?.freeHeightMm).toBe(found?.to.freeHeightMm)
    expect(found!.to.freeHeightMm).toBeLessThan(found!.from.freeHeightMm)
  })

  it('is none of a fly that sinks', () => {
    expect(lowerByCut(flyOf(jigNymph()), waterAt(10))).toBeNull()
  })
})
