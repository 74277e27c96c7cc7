import { parseDecimal, plainFigures, unclear } from './decimal.ts'
import type { UnclearCode } from './decimal.ts'
import { unitOf } from './spellings.ts'
import { fromCore, toCore, UNITS } from './units.ts'
import type { Quantity, Unit } from './units.ts'

/** A quantity as understood: in core's unit, with the unit that was read and what was written. */
export type ParsedQuantity =
  | { readonly kind: 'quantity'; readonly value: number; readonly unit: Unit; readonly asWritten: string }
  | { readonly kind: 'unclear'; readonly code: UnclearCode; readonly suggestions: readonly string[] }

/** Bounds of what is taken, in core's unit. */
export interface Bounds {
  readonly min: number
  readonly max: number
}

/** A fly that falls faster than this was probably written in another unit; a solid tungsten ball of 5 mm does 1.8 m/s. */
const UNLIKELY_SPEED_MM_PER_S = 2500
/** `7/64`, or `.015` as wire is sold: in inches wherever they have a unit. */
const INCH_LIKE = /^\d+\s*\/\s*(?:8|16|32|64|128)$|^[.,]\d{3}$/

/** A figure and what follows it. */
function splitUnit(text: string): { figure: string; spelling: string } {
  const match = /^([-\d.,\s/¼½¾⅓⅔⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞]*[\d.,¼½¾⅓⅔⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞])\s*(.*)$/u.exec(text)
  return match ? { figure: match[1] ?? '', spelling: match[2] ?? '' } : { figure: text, spelling: '' }
}

/** Feet with inches, mm; null for what is none. */
function parseFeetAndInches(text: string): number | null {
  const match = /^(\d+)\s*(?:ft\.?|feet|foot|')\s*(\d[^a-z"]*?)\s*(?:ins?\.?|inch|inches|")?$/i.exec(text)
  if (!match) return null
  const inches = parseDecimal(match[2] ?? '')
  return inches.kind === 'number' ? toCore(Number(match[1]), 'ft') + toCore(inches.value, 'in') : null
}

function check(value: number, quantity: Quantity, bounds: Bounds): UnclearCode | null {
  if (quantity !== 'temperature' && value < 0) return 'negative'
  if (value > bounds.max) return 'tooLarge'
  if (value < bounds.min) return 'tooSmall'
  return null
}

/** A length without the sign of a diameter, which says nothing of how long it is. */
const withoutDiameterSign = (text: string) =>
  text.replace(/^(?:[øØ⌀]|dia\.?|diameter)\s*(?=[\d.,])/iu, '').replace(/\s*(?:dia\.?|diameter)$/iu, '')

/**
 * Reads a quantity in any notation: `7/64 in`, `2.8`, `2,8`, `.015"`, `18 thou`, `54 deg F`, `1'6"`, `2 mph`, `70 den`.
 *
 * An inch fraction or a bare thousandth is never taken for millimetres, nor an apostrophe for a thousands mark: they
 * are asked about.
 *
 * @param assumed the unit of a bare figure
 * @param bounds  what is taken, in core's unit
 * @returns the value in core's unit, or why not; a speed beyond anything that falls is questioned
 *
 * @example parseQuantity('7/64 in', 'length', 'mm', { min: 0, max: 100 }) // value 2.778…
 */
export function parseQuantity(text: string, quantity: Quantity, assumed: Unit, bounds: Bounds): ParsedQuantity {
  const asWritten = text.normalize('NFC').trim()
  const plain = plainFigures(asWritten)
  const written = quantity === 'length' ? withoutDiameterSign(plain) : plain
  const swiss = /^(\d{1,3})'(\d{3})(?!\d)(.*)$/.exec(written)
  if (swiss) return unclear('thousandsOrDecimal', [`${swiss[1]}${swiss[2]}${swiss[3]}`.trim()])
  const feetAndInches = quantity === 'length' ? parseFeetAndInches(written) : null
  if (feetAndInches !== null) {
    const fault = check(feetAndInches, quantity, bounds)
    return fault ? unclear(fault) : { kind: 'quantity', value: feetAndInches, unit: 'ft', asWritten }
  }
  const { figure, spelling } = splitUnit(written)
  const number = parseDecimal(figure)
  if (number.kind === 'unclear') return number
  if (spelling === '' && assumed === 'mm' && INCH_LIKE.test(figure))
    return unclear('inchOrMm', [`${figure} in`, `${figure} mm`])
  const unit = spelling === '' ? assumed : unitOf(spelling, assumed)
  if (unit === undefined || !(UNITS[quantity] as readonly Unit[]).includes(unit)) return unclear('unknownUnit')
  const value = toCore(number.value, unit)
  if (quantity === 'speed' && value > UNLIKELY_SPEED_MM_PER_S && unit === 'm/s') {
    return unclear('speedUnlikely', [`${number.value} cm/s`])
  }
  const fault = check(value, quantity, bounds)
  if (fault)
    return unclear(
      fault,
      [bounds.min, bounds.max].map((bound) => `${round(fromCore(bound, unit))} ${unit}`),
    )
  return { kind: 'quantity', value, unit, asWritten }
}

const round = (value: number) => Math.round(value * 1000) / 1000
