import { clamp } from '../../number/index.ts'

/** Shade goes to a warm black, light to a warm white: fur and feather are never lit by pure ones. */
const SHADE = '#140e0a'
const LIGHT = '#fffdf4'
const SLATE = '#5d6672'
/** Lighter than this, an edge would be lost on white paper. */
const PALE = 0.62

const channels = (hex: string) => [1, 3, 5].map((at) => parseInt(hex.slice(at, at + 2), 16))

/** A share of the way from one colour to another. */
export function mixed(from: string, to: string, share: number): string {
  const [a, b] = [channels(from), channels(to)]
  const hex = a.map((channel, i) => {
    const value = clamp(Math.round(channel + ((b[i] ?? 0) - channel) * share), 0, 255)
    return value.toString(16).padStart(2, '0')
  })
  return `#${hex.join('')}`
}

/** A colour darker, −1 to 0, or lighter, 0 to 1. */
export const shaded = (hex: string, by: number): string =>
  by < 0 ? mixed(hex, SHADE, -by) : mixed(hex, LIGHT, by)

/** How light a colour looks, 0 to 1. */
export function lightness(hex: string): number {
  const [r = 0, g = 0, b = 0] = channels(hex)
  return (0.3 * r + 0.59 * g + 0.11 * b) / 255
}

export const isPale = (hex: string): boolean => lightness(hex) > PALE

/** The line round a shape of this colour: slate round what is pale, else a darker one of the same. */
export const edgeOf = (hex: string): string => (isPale(hex) ? mixed(hex, SLATE, 0.55) : shaded(hex, -0.45))

const STEPS = [-1, -0.5, 0, 0.5, 1] as const
export const MIDDLE_TONE = 2

/** Five tones of one colour, dark to light; light falls from the upper left. */
export const tonesOf = (hex: string, spread = 0.3): readonly string[] =>
  STEPS.map((step) => shaded(hex, step * spread))
