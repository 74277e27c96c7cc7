import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { asWritten, beadFraction, fromCore, parseDecimal, parseQuantity, toCore } from './index.ts'

const length = { min: 0, max: 100_000 }

describe('parseQuantity', () => {
  it.each([
    ['2.8', 2.8],
    ['2,8', 2.8],
    ['7/64 in', 2.778125],
    ['.015"', 0.381],
    ['1 ft 6', 457.2],
    ['1 ft 6 in', 457.2],
    ['1 1/2 in', 38.1],
    ['⅔ in', 16.9333333],
    ['1½ cm', 15],
    ['3 m', 3000],
    ['2.8mm', 2.8],
  ])('reads %s as a length', (text, mm) => {
    const parsed = parseQuantity(text, 'length', 'mm', length)
    expect(parsed.kind === 'quantity' && parsed.value).toBeCloseTo(mm, 5)
  })

  it.each([
    ['54 F', 12.2222],
    ['12.7', 12.7],
    ['−2', -2],
    ['12,7 °C', 12.7],
  ])('reads %s as a temperature', (text, tempC) => {
    const parsed = parseQuantity(text, 'temperature', '°C', { min: -5, max: 40 })
    expect(parsed.kind === 'quantity' && parsed.value).toBeCloseTo(tempC, 3)
  })

  it.each([
    ['', 'empty'],
    ['heavy', 'notANumber'],
    ['2.8 stone', 'unknownUnit'],
    ['2.8 °C', 'unknownUnit'],
    ['1,234', 'thousandsOrDecimal'],
    ['-1', 'negative'],
    ['1000 m', 'tooLarge'],
    ['3/0', 'zeroDenominator'],
  ])('questions %s', (text, code) => {
    expect(parseQuantity(text, 'length', 'mm', length)).toMatchObject({ kind: 'unclear', code })
  })

  it('asks whether a fly that falls at 9 m/s was meant in cm/s', () => {
    const parsed = parseQuantity('9 m/s', 'speed', 'cm/s', { min: 0, max: 20_000 })
    expect(parsed).toMatchObject({ kind: 'unclear', code: 'speedUnlikely', suggestions: ['9 cm/s'] })
  })

  it('offers both readings of 1,234', () => {
    expect(parseDecimal('1,234')).toMatchObject({ suggestions: ['1.234', '1234'] })
  })

  it('never throws and never gives a figure that is not one', () => {
    fc.assert(
      fc.property(fc.string(), (text) => {
        const parsed = parseQuantity(text, 'length', 'mm', length)
        return parsed.kind === 'unclear' || Number.isFinite(parsed.value)
      }),
      { seed: 7 },
    )
  })
})

describe('units', () => {
  it('goes there and back in every unit', () => {
    const units = ['mm', 'cm', 'm', 'in', 'ft', 'mm/s', 'in/s', 'mg', 'g', 'gr', '°C', '°F'] as const
    fc.assert(
      fc.property(
        fc.constantFrom(...units),
        fc.double({ min: -1000, max: 1000, noNaN: true }),
        (unit, value) => {
          expect(fromCore(toCore(value, unit), unit)).toBeCloseTo(value, 8)
        },
      ),
      { seed: 7 },
    )
  })
})

describe('beadFraction', () => {
  it.each([
    [2.0, '5/64'],
    [2.4, '3/32'],
    [2.8, '7/64'],
    [1.6, '1/16'],
    [3.2, '1/8'],
    [3.6, '9/64'],
    [4.8, '3/16'],
    [3.0, null],
    [3.3, null],
  ])('finds the fraction of %s mm', (mm, fraction) => {
    expect(beadFraction(mm)).toBe(fraction)
  })
})

describe('asWritten', () => {
  it('gives back what was written, whatever the unit', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 9999 }),
        fc.constantFrom(0.001, 0.01, 0.1, 1),
        fc.constantFrom('mm' as const, 'in' as const, 'ft' as const, '°F' as const, 'gr' as const),
        (digits, step, unit) => {
          const written = Number((digits * step).toPrecision(4))
          expect(asWritten(toCore(written, unit), unit)).toBe(written)
        },
      ),
      { seed: 7 },
    )
  })
})
