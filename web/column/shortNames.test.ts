import { describe, expect, it } from 'vitest'
import { flyNames, foodNames, placeNames, thatFits, thatTellApart } from './shortNames.ts'

const letters = (text: string) => text.length

describe('names by words', () => {
  it('of foods lose what tells them from their kin first, and never a part of a word', () => {
    expect(foodNames('Large burrowing mayfly, rising nymph')).toEqual([
      'Large burrowing mayfly, rising nymph',
      'burrowing mayfly, rising nymph',
      'mayfly, rising nymph',
      'burrowing mayfly, rising',
      'mayfly, rising',
      'Large burrowing, rising nymph',
      'mayfly',
    ])
    expect(foodNames('Earthworm, washed in')).toEqual([
      'Earthworm, washed in',
      'Earthworm, washed',
      'Earthworm',
    ])
    expect(foodNames('Bullhead')).toEqual(['Bullhead'])
    expect(foodNames('Freshwater shrimp (scud), adult').slice(1)).toEqual([
      'Freshwater shrimp, adult',
      'shrimp, adult',
      'Freshwater, adult',
      'shrimp',
    ])
  })

  it('tell apart what would be called alike', () => {
    const foods = ['Net-spinning sedge, larva', 'Green free-living sedge, larva', 'Minnow, adult'].map(
      foodNames,
    )
    expect(thatTellApart(foods, 24, letters)).toEqual([
      'Net-spinning, larva',
      'Green free-living, larva',
      'Minnow, adult',
    ])
    // where there is no room for more they stay as they are
    expect(thatTellApart(foods, 13, letters)).toEqual(['sedge, larva', 'sedge, larva', 'Minnow, adult'])
  })

  it('tell two flies of one size apart by what they differ in', () => {
    const flies = [flyNames('Third Button', '#16 W 2.8'), flyNames('Third Button', '#16 no bead')]
    expect(thatTellApart(flies, 14, letters)).toEqual(['Button W 2.8', 'Button no bead'])
  })

  it('of flies keep the hook size longer than the rest of the label', () => {
    expect(flyNames('Paper Lantern', '#10 2XL')).toEqual([
      'Paper Lantern #10 2XL',
      'Paper Lantern #10',
      'Lantern #10',
      'Lantern 2XL',
      'Paper Lantern',
      'Lantern',
    ])
  })

  it('of places lose what stands after a comma, then word after word', () => {
    expect(placeNames('Emergers and cripples, leaf')).toEqual([
      'Emergers and cripples, leaf',
      'Emergers and cripples',
      'Emergers',
    ])
    expect(placeNames('To 0.6, W 2.0–2.4')).toEqual(['To 0.6, W 2.0–2.4', 'To 0.6', 'To'])
  })

  it('are as long as there is room for', () => {
    expect(thatFits(foodNames('Large burrowing mayfly, dun'), 22, letters)).toBe('burrowing mayfly, dun')
    expect(thatFits(foodNames('Large burrowing mayfly, dun'), 3, letters)).toBe('mayfly')
  })
})
