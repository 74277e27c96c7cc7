import { describe, expect, it } from 'vitest'
import { colourDistance, okLab } from './index.ts'

describe('okLab', () => {
  it('has the published values of white and red', () => {
    expect(okLab('#FFFFFF').l).toBeCloseTo(1, 3)
    const red = okLab('#FF0000')
    expect([red.l, red.a, red.b].map((x) => Number(x.toFixed(3)))).toEqual([0.628, 0.225, 0.126])
  })
})

describe('colourDistance', () => {
  it('is nought for the same, one from black to white, and symmetric', () => {
    expect(colourDistance('#6a3d8f', '#6A3D8F')).toBe(0)
    expect(colourDistance('#000000', '#FFFFFF')).toBeCloseTo(1, 3)
    expect(colourDistance('#6d6a37', '#86141f')).toBeCloseTo(colourDistance('#86141f', '#6d6a37'), 12)
  })

  it('finds two olives nearer than olive and red', () => {
    expect(colourDistance('#6d6a37', '#5d5132')).toBeLessThan(colourDistance('#6d6a37', '#b1222a'))
  })
})
