import { describe, expect, it } from 'vitest'
import { shippedFamilies } from '../material/shipped/catalogue.ts'
import { shippedMaterial } from '../testing/shippedMaterial.ts'
import { isPartOf, lineOfGoods, partOfGoods, spoolRate } from './index.ts'

describe('a line of the stores', () => {
  const line = (key: string, lengthMm = 12_000) => lineOfGoods(shippedMaterial(key), lengthMm)
  it('that is alike all along sinks slower at its thin tip, one that is compensated as fast', () => {
    const [belly, tip] = line('line-sink-3')
    expect([belly!.lengthMm, tip!.lengthMm]).toEqual([10_500, 1500])
    expect(tip!.diameterMm / belly!.diameterMm).toBeCloseTo(0.78, 2)
    // of one density, broadside: rate ∝ about the root of the thickness
    expect(tip!.rateMmPerS! / belly!.rateMmPerS!).toBeGreaterThan(0.78)
    expect(tip!.rateMmPerS! / belly!.rateMmPerS!).toBeLessThan(0.9)
    const [heavy, even] = line('line-sink-3-compensated')
    expect(even!.rateMmPerS).toBe(heavy!.rateMmPerS)
    expect(even!.diameterMm).toBe(tip!.diameterMm)
    expect(heavy).toEqual(belly)
  })
  it('that floats but for its tip is a floating piece and one that sinks', () => {
    const [belly, tip] = line('line-midge-tip')
    expect(belly).toMatchObject({ sort: 'floating', rateMmPerS: null, lengthMm: 11_000, diameterMm: 1.3 })
    expect(tip).toMatchObject({
      lengthMm: 1000,
      diameterMm: 0.95,
      rateMmPerS: Math.round(spoolRate(0.95, 1.19)),
    })
  })
  it('is its belly alone where it is no longer than its tip, and level where nobody said how it is built', () => {
    expect(line('line-sink-3', 1500)).toHaveLength(1)
    const { family, ...drawer } = shippedMaterial('line-sink-3')
    expect(lineOfGoods({ ...drawer, family: { ...family, line: null } }, 12_000)).toHaveLength(1)
  })
})

describe('tackle of the stores', () => {
  const part = (key: string, size: string) => partOfGoods(shippedMaterial(key, size))
  it('is what its size and its spool say', () => {
    expect(part('tippet-fluorocarbon', '5X')).toMatchObject({ diameterMm: 0.152, stuff: 'fluorocarbon' })
    expect(part('tippet-copolymer', '4X')).toMatchObject({ diameterMm: 0.178, stuff: 'copolymer' })
    expect(part('leader-tapered-nylon', '2.7 m 4X')).toMatchObject({
      ...{ kind: 'leader', lengthMm: 2700, buttMm: 0.5, stuff: 'nylon' },
      tipMm: expect.closeTo(0.1778, 4) as number,
    })
    // 905 mm³ of cork at 0.22
    expect(part('indicator-cork', '12')).toEqual({ kind: 'float', diameterMm: 12, massMg: 200 })
    expect(part('shot-tin', '0.2 g')).toEqual({ kind: 'shot', massMg: 200 })
    expect(part('swivel-small', '120 mg')).toEqual({ kind: 'swivel', massMg: 120 })
    // a ring 3 mm across of 0.6 mm wire: 1.2 mm about, π 2.4 mm long, 2.1 mm³ of steel
    expect(part('ring-leader', '3')).toEqual({ kind: 'ring', massMg: 17 })
  })
  it('is read of every size that ships', () => {
    const tackle = shippedFamilies.filter(({ kind }) =>
      ['leader', 'float', 'shot', 'swivel', 'ring'].includes(kind),
    )
    expect(tackle).toHaveLength(8)
    for (const { key, kind, sizes } of tackle)
      for (const size of sizes) expect(part(key, size), `${key} ${size}`).toMatchObject({ kind })
  })
  it('is known again in a rig, tippet at any length; what is of other figures is not', () => {
    const tippet = part('tippet-nylon', '5X')!
    expect(isPartOf({ ...tippet, lengthMm: 900 } as typeof tippet, tippet)).toBe(true)
    expect(isPartOf({ ...tippet, diameterMm: 0.14 } as typeof tippet, tippet)).toBe(false)
    expect(isPartOf({ kind: 'shot', massMg: 100 }, part('shot-tin', '0.2 g')!)).toBe(false)
    expect(partOfGoods(shippedMaterial('bead-brass-drilled', '2.4'))).toBeNull()
  })
})
