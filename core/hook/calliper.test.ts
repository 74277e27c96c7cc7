import { describe, expect, it } from 'vitest'
import { shippedMaterial } from '../testing/shippedMaterial.ts'
import { beadInProportionMm, byCalliper, hookOf, MEASURED_OF_HOOK } from './index.ts'

describe('byCalliper', () => {
  it('knows a wire to a hundredth and a shank to a sixth of a millimetre', () => {
    expect(byCalliper('wireMm', 0.38)).toMatchObject({ value: 0.38, evidence: 'entered' })
    expect(byCalliper('wireMm', 0.38).high - 0.38).toBeCloseTo(0.012, 12)
    expect(7.1 - byCalliper('shankMm', 7.1).low).toBeCloseTo(0.15, 12)
    expect(byCalliper('gapeMm', 3.6).high - byCalliper('gapeMm', 3.6).low).toBeCloseTo(0.3, 12)
    expect(MEASURED_OF_HOOK).toEqual(['shankMm', 'gapeMm', 'wireMm'])
  })
})

describe('beadInProportionMm', () => {
  it('grows as the gapes of hooks of one make do', () => {
    const gape = (size: string) => hookOf(shippedMaterial('hook-straight', size))?.gapeMm ?? 0
    for (const [from, to] of [
      ['16', '14'],
      ['14', '16'],
      ['16', '10'],
      ['12', '18'],
    ] as const) {
      // prettier-ignore
      const sizes = Number(to) - Number(from)
      expect(beadInProportionMm(2.8, sizes) / 2.8).toBeCloseTo(gape(to) / gape(from), 6)
    }
    expect(beadInProportionMm(2.8, 0)).toBe(2.8)
  })
})
