import { describe, expect, it } from 'vitest'
import type { Component, DisplayUnits } from '../../core/index.ts'
import { shippedMaterial } from '../../core/testing/shippedMaterial.ts'
import { componentLine, factorText } from './lineText.ts'

const metric: DisplayUnits = { smallLength: 'mm', depth: 'm', speed: 'cm/s', temperature: '°C', mass: 'mg' }
const inches: DisplayUnits = { ...metric, smallLength: 'in' }
const cock = shippedMaterial('fibre-speckled-cock', '', 'speckled')
const bead = shippedMaterial('bead-tungsten-slotted', '2.8', 'copper')
const component = (change: Partial<Component>): Component => ({
  key: 'tail',
  kind: 'tail',
  materialId: cock.id,
  place: { from: 1, to: 1, side: 'around' },
  ...change,
})

describe('factorText', () => {
  it.each([
    [2 / 3, '⅔'],
    [0.667, '⅔'],
    [0.66, '0.66'],
    [1, '1'],
    [1.5, '1½'],
    [4 / 3, '1⅓'],
    [1.125, '1.13'],
  ])('says %d as tiers write it', (factor, said) => {
    expect(factorText(factor)).toBe(said)
  })
})

describe('componentLine', () => {
  it('says amounts and length in the order of a card', () => {
    const tail = component({ fibreCount: 6, length: { factor: 2 / 3, of: 'shank' } })
    expect(componentLine(tail, cock, metric)).toBe('tail: Speckled cock fibres, speckled, 6 fibres, ⅔ shank')
  })

  it('says a length as it was written, in the user’s unit', () => {
    const pinned = component({ key: 'bead', kind: 'bead', length: { mm: 2.25 } })
    expect(componentLine(pinned, bead, metric)).toContain('on a pin, 2.25 mm before the eye')
    expect(componentLine(component({ length: { mm: 12.7 } }), cock, inches)).toContain(', 0.5 in')
  })

  it.each([
    [0.14, 'sparse'],
    [0.15, 'slim'],
    [0.4, 'full'],
    [0.7, 'bulky'],
  ])('calls a bulk of %d %s', (bulk, word) => {
    expect(componentLine(component({ bulk }), cock, metric)).toMatch(new RegExp(`, ${word}$`))
  })

  it('counts one strand as one, and says that a material is missing', () => {
    expect(componentLine(component({ strands: 1 }), undefined, metric)).toBe('tail: no material yet, 1 strand')
    expect(componentLine(component({ strands: 2 }), undefined, metric)).toContain('2 strands')
  })
})
