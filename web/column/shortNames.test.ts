import { describe, expect, it } from 'vitest'
import { flyNames, foodNames, placeNames, thatFits } from './shortNames.ts'

const letters = (text: string) => text.length

describe('names by words', () => {
  it('of foods lose what tells them from their kin first, and never a part of a word', () => {
    expect(foodNames('Large burrowing mayfly, rising nymph')).toEqual([
      'Large burrowing mayfly, rising nymph',
      'burrowing mayfly, rising nymph',
      'mayfly, rising nymph',
      'burrowing mayfly, rising',
      'mayfly, rising',
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
      'shrimp',
    ])
  })

  it('of flies keep the hook size longer than the rest of the label', () => {
    expect(flyNames('Paper Lantern', '#10 2XL')).toEqual([
      'Paper Lantern #10 2XL',
      'Paper Lantern #10',
      'Lantern #10',
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
