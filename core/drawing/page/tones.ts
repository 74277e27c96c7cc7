import { clamp } from '../../number/index.ts'

/** Shade goes to a warm black, light to a warm white: fur and feather are never lit by pure ones. */
const SHADE = '#140e0a'
const LIGHT = '#fffdf4'
const SLATE = '#5d6672'
/** Lighter than this, an edge would be lost on white paper. */
const PALE = 0.62

const channels = (hex: string): readonly [red: number, green: number, blue: number] => {
  const all = parseInt(hex.slice(1), 16)
  return [all >> 16, (all >> 8) & 255, all & 255]
}

/** A share of the way from one colour to another. */
export function mixed(from: string, to: string, share: number): string {
  const [red, green, blue] = channels(from)
  const [toRed, toGreen, toBlue] = channels(to)
  const between = (a: number, b: number) => clamp(Math.round(a + (b - a) * share), 0, 255)
  const all = (between(red, toRed) << 16) | (between(green, toGreen) << 8) | between(blue, toBlue)
  return `#${all.toString(16).padStart(6, '0')}`
}

/** A colour darker, −1 to 0, or lighter, 0 to 1. */
export const shaded = (hex: string, by: number): string =>
  by < 0 ? mixed(hex, SHADE, -by) : mixed(hex, LIGHT, by)

/** How light a colour looks, 0 to 1. */
export function lightness(hex: string): number {
  const [r, g, b] = channels(hex)
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
