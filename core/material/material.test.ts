import { describe, expect, it } from 'vitest'
import { shippedMaterial } from '../testing/shippedMaterial.ts'
import {
  kindDefaults,
  likeFamily,
  linearMassMgPerMm,
  PROPERTY_NAMES,
  propertyOf,
  propertyOfName,
} from './index.ts'
import { shippedFamilies } from './shipped/catalogue.ts'

describe('the shipped catalogue', () => {
  it('keeps every property within what it can be, low to high', () => {
    for (const { key, physics } of shippedFamilies) {
      for (const name of PROPERTY_NAMES) {
        const [{ least, most }, said] = [propertyOfName(name), physics[name]]
        if (!said) continue
        expect([least, said.low, said.value, said.high, most], `${key} ${name}`).toEqual(
          [least, said.low, said.value, said.high, most].toSorted((a, b) => a - b),
        )
      }
    }
  })

  it('falls back on what a property can be, by kind of goods where that differs', () => {
    for (const name of PROPERTY_NAMES) {
      const { least, most, fallback, fallbackOf, source } = propertyOfName(name)
      expect(source.length, name).toBeGreaterThan(10)
      if (name.endsWith('Mm') && fallback === 0) continue // a hook that nobody measured
      for (const value of [fallback, ...Object.values(fallbackOf ?? {})]) {
        expect(value, name).toBeGreaterThanOrEqual(least)
        expect(value, name).toBeLessThanOrEqual(most)
      }
    }
    const nothingSaid = (kind: 'bead' | 'foam') => {
      const { family, ...drawer } = shippedMaterial(kind === 'bead' ? 'bead-brass-drilled' : 'thread-nylon')
      return propertyOf({ ...drawer, family: { ...family, kind, physics: {} } }, 'densityMgPerMm3')
    }
    expect(nothingSaid('bead')).toEqual({ value: 8.5, low: 8.5, high: 8.5, evidence: 'kindDefault' })
    expect(nothingSaid('foam').value).toBe(0.12)
  })

  it('has 200 families under keys of their own, each with a name and a colour', () => {
    expect(shippedFamilies).toHaveLength(200)
    expect(new Set(shippedFamilies.map(({ key }) => key)).size).toBe(200)
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

describe('goods of which only the kind is known', () => {
  const dubbings = shippedFamilies.filter(({ kind }) => kind === 'dubbing')
  const found = kindDefaults('dubbing', shippedFamilies)

  it('have what most of their kind have, as uncertain as all of them together', () => {
    const model = dubbings.filter(({ massModel }) => massModel === found?.massModel)
    for (const name of PROPERTY_NAMES) {
      const property = found?.physics[name]
      if (!property) continue
      const theirs = model.flatMap(({ physics }) => physics[name] ?? [])
      expect(theirs.length * 2, name).toBeGreaterThanOrEqual(model.length)
      expect(theirs.map(({ value }) => value)).toContain(property?.value)
      expect(property?.low).toBe(Math.min(...theirs.map(({ low }) => low)))
      expect(property?.high).toBe(Math.max(...theirs.map(({ high }) => high)))
      expect(property?.evidence).toBe('kindDefault')
    }
    expect(Object.keys(found?.physics ?? {}).length).toBeGreaterThan(0)
    expect(found?.stockUnit).toBe('mg')
  })

  it('are nothing where no goods of the kind are known', () => {
    expect(kindDefaults('dubbing', [])).toBeNull()
  })

  it('that are most like others take theirs over, trusted no further than a kind', () => {
    const [like] = dubbings
    if (!like) throw new Error('no dubbing ships')
    const made = likeFamily(like)
    expect(made.massModel).toBe(like.massModel)
    expect(new Set(Object.values(made.physics).map((property) => property?.evidence))).toEqual(
      new Set(['kindDefault']),
    )
  })
})
