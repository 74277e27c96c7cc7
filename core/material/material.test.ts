import { describe, expect, it } from 'vitest'
import { shippedMaterial } from '../testing/shippedMaterial.ts'
import { linearMassMgPerMm, propertyOf } from './index.ts'
import { shippedFamilies } from './shipped/catalogue.ts'

describe('the shipped catalogue', () => {
  it('has 192 families under keys of their own, each with a name and a colour', () => {
    expect(shippedFamilies).toHaveLength(192)
    expect(new Set(shippedFamilies.map(({ key }) => key)).size).toBe(192)
    expect(shippedFamilies.filter(({ colours }) => colours.length === 0)).toEqual([])
  })

  it('keeps every property within its limits', () => {
    for (const { key, physics } of shippedFamilies) {
      for (const [name, property] of Object.entries(physics)) {
        if (!property) continue
        expect(property.low <= property.value && property.value <= property.high, `${key} ${name}`).toBe(true)
      }
    }
  })

  it('fills what a family leaves out from its kind, and says so', () => {
    const hook = shippedMaterial('hook-straight', '16')
    expect(propertyOf(hook, 'densityMgPerMm3')).toMatchObject({ value: 7.85, evidence: 'catalogue' })
    expect(propertyOf(hook, 'wasteShare').evidence).toBe('kindDefault')
  })

  it('weighs thread by denier and wire by its section', () => {
    expect(linearMassMgPerMm(shippedMaterial('thread-nylon', '70'))).toBeCloseTo(70 / 9000, 12)
    expect(linearMassMgPerMm(shippedMaterial('wire-copper-rib', '0.12'))).toBeCloseTo(
      8.96 * (Math.PI / 4) * 0.12 ** 2,
      6,
    )
  })
})
