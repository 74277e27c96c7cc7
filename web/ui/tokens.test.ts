import { describe, expect, it } from 'vitest'
import { palettes, permittedPairs } from './tokens.ts'
import type { Palette } from './tokens.ts'

const linear = (channel: number) => (channel <= 0.04045 ? channel / 12.92 : ((channel + 0.055) / 1.055) ** 2.4)
function luminance(hex: string): number {
  const [r, g, b] = [1, 3, 5].map((at) => linear(parseInt(hex.slice(at, at + 2), 16) / 255)) as [
    number,
    number,
    number,
  ]
  return 0.2126 * r + 0.7152 * g + 0.0722 * b
}
function contrast(a: string, b: string): number {
  const [light, dark] = [luminance(a), luminance(b)].sort((x, y) => y - x) as [number, number]
  return (light + 0.05) / (dark + 0.05)
}

describe('colours', () => {
  it.each(permittedPairs)('in the sun: %s on %s reads at 10:1 or better', (text, ground) => {
    expect(contrast(palettes.sun[text], palettes.sun[ground])).toBeGreaterThanOrEqual(10)
  })

  const cases = (['day', 'night'] as const).flatMap((palette: Palette) =>
    permittedPairs.map(([text, ground]) => [palette, text, ground] as const),
  )
  it.each(cases)('%s: %s on %s reads at 4.5:1 or better', (palette, text, ground) => {
    expect(contrast(palettes[palette][text], palettes[palette][ground])).toBeGreaterThanOrEqual(4.5)
  })
})
