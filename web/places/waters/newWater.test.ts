import { describe, expect, it } from 'vitest'
import type { DisplayUnits } from '../../../core/index.ts'
import { readWater } from './newWater.ts'
import type { WrittenWater } from './newWater.ts'

const metric: DisplayUnits = { smallLength: 'mm', depth: 'm', speed: 'cm/s', temperature: '°C', mass: 'mg' }
const imperial: DisplayUnits = {
  smallLength: 'in',
  depth: 'ft',
  speed: 'in/s',
  temperature: '°F',
  mass: 'gr',
}
const written = (change: Partial<WrittenWater> = {}): WrittenWater => ({
  name: 'Sill Beck', kind: 'freestone', depth: '0.8', speed: '0.6', coldest: '3', warmest: '16', height: '120', latitude: '54', longitude: '-2', ...change,
}) // prettier-ignore
const ids = { waterId: 'w', reachId: 'r' } as never
const made = (change: Partial<WrittenWater>, units = metric) =>
  readWater(written(change), units).create?.(ids, 'Europe/London')

describe('readWater', () => {
  it('makes a water with one reach of its name', () => {
    const water = made({})
    expect(water?.water).toMatchObject({
      name: 'Sill Beck',
      kind: 'freestone',
      latitudeDeg: 54,
      longitudeDeg: -2,
      timeZone: 'Europe/London',
    })
    expect(water?.reaches[0]).toMatchObject({
      id: 'r',
      elevationM: 120,
      kind: 'reach',
      typicalDepthMm: 800,
      surfaceSpeedMmPerS: 600,
    })
  })

  it('is warmest in July in the north and in January in the south, whichever way round the two were written', () => {
    const north = made({})?.reaches[0]?.defaultTempC ?? []
    expect(north.indexOf(Math.max(...north))).toBe(6)
    expect(Math.max(...north)).toBeCloseTo(15.9, 9)
    expect(Math.min(...north)).toBeCloseTo(3.1, 1)
    const south = made({ latitude: '-42,5' })?.reaches[0]?.defaultTempC ?? []
    expect(south.indexOf(Math.max(...south))).toBe(0)
    expect(made({ coldest: '16', warmest: '3' })?.reaches[0]?.defaultTempC).toEqual(north)
  })

  it('reads feet and °F where the user does', () => {
    const reach = made({ depth: '3', speed: '2', coldest: '37', warmest: '61' }, imperial)?.reaches[0]
    expect(reach).toMatchObject({ typicalDepthMm: 914, surfaceSpeedMmPerS: 610 })
    expect(Math.max(...(reach?.defaultTempC ?? []))).toBeCloseTo(16, 0)
  })

  it('asks no speed of water that stands', () => {
    const { isStill, create } = readWater(written({ kind: 'reservoir', speed: 'unknown' }), metric)
    expect(isStill).toBe(true)
    expect(create?.(ids, 'UTC').reaches[0]).toMatchObject({ kind: 'shoal', surfaceSpeedMmPerS: 0 })
  })

  it.each(['latitude', 'longitude'] as const)('takes an empty %s for none, not for nought', (field) => {
    const { create, faults } = readWater(written({ [field]: ' ' }), metric)
    expect(create).toBeNull()
    expect(faults[field]).toBeUndefined()
    expect(readWater(written({ [field]: '0' }), metric).create).not.toBeNull()
  })

  it('waits for a depth and says nothing against an empty field', () => {
    const { create, faults } = readWater(written({ depth: '' }), metric)
    expect(create).toBeNull()
    expect(faults.depth).toBeUndefined()
  })

  it.each([
    ['depth', '0.04'],
    ['depth', '61'],
    ['speed', '401 cm/s'],
    ['coldest', '-1'],
    ['warmest', '31'],
    ['latitude', '66.5'],
    ['latitude', 'north'],
    ['longitude', '181'],
    ['longitude', 'west'],
  ] as const)('refuses a %s of %s at its field', (field, text) => {
    const { create, faults } = readWater(written({ [field]: text }), metric)
    expect(create).toBeNull()
    expect(Object.entries(faults).flatMap(([at, fault]) => (fault ? [at] : []))).toEqual([field])
  })

  it.each([['depth', '0.05'], ['depth', '60'], ['speed', '0'], ['speed', '400 cm/s'], ['warmest', '30'], ['coldest', '0'], ['latitude', '-66']] as const)('takes a %s of %s', (field, text) => {
    expect(made({ [field]: text })).toBeDefined()
  }) // prettier-ignore

  it('may lie at 180 degrees of longitude', () => {
    expect(made({ longitude: '-180' })).toBeDefined()
    expect(made({ longitude: '−2,5' })).toBeDefined()
  })
})
