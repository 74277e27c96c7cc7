import { parseDecimal, unclear } from './decimal.ts'
import type { UnclearCode } from './decimal.ts'
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

const SPELLINGS: Readonly<Record<string, Unit>> = {
  mm: 'mm', cm: 'cm', m: 'm', in: 'in', inch: 'in', inches: 'in', '"': 'in', '″': 'in', '”': 'in',
  ft: 'ft', foot: 'ft', feet: 'ft', "'": 'ft', '′': 'ft', '’': 'ft',
  'mm/s': 'mm/s', 'cm/s': 'cm/s', 'm/s': 'm/s', 'in/s': 'in/s', ips: 'in/s', 'ft/s': 'ft/s',
  mg: 'mg', g: 'g', gr: 'gr', grain: 'gr', grains: 'gr',
  c: '°C', '°c': '°C', '°': '°C', f: '°F', '°f': '°F',
} // prettier-ignore

/** A fly that falls faster than this was probably written in another unit; a solid tungsten ball of 5 mm does 1.8 m/s. */
const UNLIKELY_SPEED_MM_PER_S = 2500

function splitUnit(text: string): { figure: string; spelling: string } {
  const match = /^([-−\d.,\s/¼½¾⅓⅔⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞]*[\d.,¼½¾⅓⅔⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞])\s*(.*)$/u.exec(text)
  return match ? { figure: match[1] ?? '', spelling: (match[2] ?? '').trim() } : { figure: text, spelling: '' }
}

function parseFeetAndInches(text: string): number | null {
  const match = /^(\d+)\s*(?:ft|feet|foot|'|′)\s*(\d+(?:[.,]\d+)?)\s*(?:in|inch|inches|"|″)?$/i.exec(text)
  if (!match) return null
  return toCore(Number(match[1]), 'ft') + toCore(Number((match[2] ?? '0').replace(',', '.')), 'in')
}

function check(value: number, quantity: Quantity, bounds: Bounds): UnclearCode | null {
  if (quantity !== 'temperature' && value < 0) return 'negative'
  if (value > bounds.max) return 'tooLarge'
  if (value < bounds.min) return 'tooSmall'
  return null
}

/**
 * Reads a quantity in any notation: `7/64 in`, `2.8`, `2,8`, `.015"`, `54 F`, `1 ft 6`.
 *
 * @param assumed the unit of a bare figure
 * @param bounds  what is taken, in core's unit
 * @returns the value in core's unit, or why not; a speed beyond anything that falls is questioned
 *
 * @example parseQuantity('7/64 in', 'length', 'mm', { min: 0, max: 100 }) // value 2.778…
 */
export function parseQuantity(text: string, quantity: Quantity, assumed: Unit, bounds: Bounds): ParsedQuantity {
  const asWritten = text.normalize('NFC').trim()
  const feetAndInches = quantity === 'length' ? parseFeetAndInches(asWritten) : null
  if (feetAndInches !== null) {
    const fault = check(feetAndInches, quantity, bounds)
    return fault ? unclear(fault) : { kind: 'quantity', value: feetAndInches, unit: 'ft', asWritten }
  }
  const { figure, spelling } = splitUnit(asWritten)
  const number = parseDecimal(figure)
  if (number.kind === 'unclear') return number
  const unit = spelling === '' ? assumed : SPELLINGS[spelling.toLowerCase()]
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
