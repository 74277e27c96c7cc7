import { describe, expect, it } from 'vitest'
import { parseQuantity } from './index.ts'
import type { Quantity, Unit } from './index.ts'

const WIDE = { min: -100, max: 1e7 }
const value = (text: string, quantity: Quantity, assumed: Unit) => {
  const parsed = parseQuantity(text, quantity, assumed, WIDE)
  return parsed.kind === 'quantity' ? parsed.value : parsed.code
}

/** How people write figures, and what they mean in mm, reckoned by hand: 1 in = 25.4 mm, 1 ft = 304.8, 1 yd = 914.4. */
const LENGTHS: readonly (readonly [string, number])[] = [
  ['2.8', 2.8], ['2,8', 2.8], ['2.8mm', 2.8], ['2.8 mm.', 2.8], ['2·8 mm', 2.8], ['+2.8', 2.8], ['2.8 MM', 2.8],
  ['2.8 millimetres', 2.8], ['2.8 millimeters', 2.8], ['1 millimetre', 1], ['3 cm', 30], ['3 centimetres', 30],
  ['3 centimeter', 30], ['1.2 m', 1200], ['1.2 metres', 1200], ['1 meter', 1000], ['1,2 m', 1200],
  ['1 000 mm', 1000], ['1\u00a0000 mm', 1000], ['1\u202f000 mm', 1000], ['12 500 mm', 12_500],
  ['7/64 in', 2.778125], ['7⁄64 in', 2.778125], ['7∕64"', 2.778125], ['7/64″', 2.778125], ['7/64”', 2.778125],
  ['7/64 inch', 2.778125], ['5/32in.', 3.96875], ['5/32 ins', 3.96875], ['1 1/2 in', 38.1], ['1-1/2 in', 38.1],
  ['1–1/2 in', 38.1], ['1½"', 38.1], ['1 ½ in', 38.1], ['1-½ in', 38.1], ['⅔ in', 16.933333], ['1⅛ inches', 28.575],
  ['¼ m', 250], ['.015 in', 0.381], ['.015"', 0.381], [',015 in', 0.381], ['0.020”', 0.508], ["0.02''", 0.508],
  ['18 thou', 0.4572], ['15 mil', 0.381], ['15 mils', 0.381], ['18 thousandths', 0.4572], ['18 thou.', 0.4572],
  ['1 ft', 304.8], ['1 foot', 304.8], ['3 feet', 914.4], ["4'", 1219.2], ['4′', 1219.2], ['4’', 1219.2],
  ['1 ft 6', 457.2], ['1 ft 6 in', 457.2], ["1'6\"", 457.2], ['1′6″', 457.2], ['1’ 6”', 457.2], ["1' 6 1/2\"", 469.9],
  ['1 ft 6½ in', 469.9], ['5 feet 2 inches', 1574.8], ['5ft2in', 1574.8], ["1'6", 457.2], ['1 ft. 6 in.', 457.2],
  ['1 foot 6 inches', 457.2], ["6' 0\"", 1828.8], ['2 yd', 1828.8], ['2 yds', 1828.8], ['1 yard', 914.4],
  ['3 yards', 2743.2], ['ø 0.13', 0.13], ['Ø0.13 mm', 0.13], ['⌀ 0.13 mm', 0.13], ['dia 0.13 mm', 0.13],
  ['dia. 2.8', 2.8], ['0.13 mm dia', 0.13], ['130 µm', 0.13], ['130 microns', 0.13],
] // prettier-ignore

const OTHERS: readonly (readonly [string, Quantity, Unit, number])[] = [
  ['54 F', 'temperature', '°C', 12.222222], ['54F', 'temperature', '°C', 12.222222], ['54 °F', 'temperature', '°C', 12.222222],
  ['54ºF', 'temperature', '°C', 12.222222], ['54 deg F', 'temperature', '°C', 12.222222], ['54 deg. F', 'temperature', '°C', 12.222222],
  ['54 degrees F', 'temperature', '°C', 12.222222], ['54 degrees Fahrenheit', 'temperature', '°C', 12.222222],
  ['54 fahrenheit', 'temperature', '°C', 12.222222], ['54℉', 'temperature', '°C', 12.222222],
  ['12 C', 'temperature', '°F', 12], ['12 °C', 'temperature', '°F', 12], ['12ºC', 'temperature', '°F', 12],
  ['12 ℃', 'temperature', '°F', 12], ['12˚C', 'temperature', '°F', 12], ['12 deg C', 'temperature', '°F', 12],
  ['12 degrees Celsius', 'temperature', '°F', 12], ['12 celsius', 'temperature', '°F', 12],
  ['12 centigrade', 'temperature', '°F', 12], ['−2 °C', 'temperature', '°C', -2], ['–2', 'temperature', '°C', -2],
  ['54', 'temperature', '°F', 12.222222], ['54 deg', 'temperature', '°F', 12.222222], ['12°', 'temperature', '°C', 12],
  ['41 cm/s', 'speed', 'cm/s', 410], ['41 cm/sec', 'speed', 'cm/s', 410], ['41 cm per second', 'speed', 'cm/s', 410],
  ['41 cm s⁻¹', 'speed', 'cm/s', 410], ['0.4 m/s', 'speed', 'cm/s', 400], ['0.4 metres per second', 'speed', 'cm/s', 400],
  ['2 ft/s', 'speed', 'cm/s', 609.6], ['2 fps', 'speed', 'cm/s', 609.6], ['2 ft/sec', 'speed', 'cm/s', 609.6],
  ['2 feet per second', 'speed', 'cm/s', 609.6], ['16 in/s', 'speed', 'cm/s', 406.4], ['16 in/sec', 'speed', 'cm/s', 406.4],
  ['16 ips', 'speed', 'cm/s', 406.4], ['16 inches per second', 'speed', 'cm/s', 406.4], ['16"/s', 'speed', 'cm/s', 406.4],
  ['2 mph', 'speed', 'cm/s', 894.08], ['2 miles per hour', 'speed', 'cm/s', 894.08], ['3 km/h', 'speed', 'cm/s', 833.333333],
  ['3 kph', 'speed', 'cm/s', 833.333333], ['3 kmh', 'speed', 'cm/s', 833.333333], ['410 mm/s', 'speed', 'cm/s', 410],
  ['131', 'mass', 'mg', 131], ['131 mg', 'mass', 'g', 131], ['131 milligrams', 'mass', 'g', 131], ['0.131 g', 'mass', 'mg', 131],
  ['0.131 grams', 'mass', 'mg', 131], ['0.131 gramme', 'mass', 'mg', 131], ['0.131 gm', 'mass', 'mg', 131],
  ['2 gr', 'mass', 'mg', 129.59782], ['2 grains', 'mass', 'mg', 129.59782], ['2 grain', 'mass', 'mg', 129.59782],
  ['2 gn', 'mass', 'mg', 129.59782], ['1/2 gr', 'mass', 'mg', 32.399455], ['0.01 oz', 'mass', 'mg', 283.495231],
  ['1/64 oz', 'mass', 'mg', 442.961299], ['1/64 ounce', 'mass', 'mg', 442.961299], ['0.01 ounces', 'mass', 'mg', 283.495231],
  ['70', 'titre', 'den', 70], ['70 den', 'titre', 'den', 70], ['70 denier', 'titre', 'den', 70], ['70d', 'titre', 'den', 70],
  ['78 dtex', 'titre', 'den', 70.2], ['78 decitex', 'titre', 'den', 70.2], ['7.8 tex', 'titre', 'den', 70.2],
] // prettier-ignore

describe('how people write quantities', () => {
  it('is a table of at least 120 spellings', () => {
    expect(LENGTHS.length + OTHERS.length).toBeGreaterThanOrEqual(120)
  })

  it.each(LENGTHS)('“%s” is %s mm', (text, mm) => {
    expect(value(text, 'length', 'mm')).toBeCloseTo(mm, 6)
  })

  it.each(OTHERS)('“%s” is a %s, in %s unless said: %s', (text, quantity, assumed, amount) => {
    expect(value(text, quantity, assumed)).toBeCloseTo(amount, 5)
  })

  // an inch fraction or a bare thousandth without a unit is never read as mm
  it.each([
    ['7/64', ['7/64 in', '7/64 mm']],
    ['5/32', ['5/32 in', '5/32 mm']],
    ['.015', ['.015 in', '.015 mm']],
    ['.020', ['.020 in', '.020 mm']],
  ])('asks whether “%s” is in inches', (text, suggestions) => {
    expect(parseQuantity(text, 'length', 'mm', WIDE)).toMatchObject({
      kind: 'unclear',
      code: 'inchOrMm',
      suggestions,
    })
    expect(value(text, 'length', 'in')).toBeCloseTo(
      text.includes('/') ? 25.4 * fraction(text) : 25.4 * Number(text),
      6,
    )
  })

  it('takes a fraction below nought whole', () => {
    expect(value('-½', 'temperature', '°C')).toBe(-0.5)
    expect(value('-1½', 'temperature', '°C')).toBe(-1.5)
  })

  it('takes halves and tenths of a millimetre as such', () => {
    expect(value('1/2', 'length', 'mm')).toBe(0.5)
    expect(value('.5', 'length', 'mm')).toBe(0.5)
    expect(value('.38', 'length', 'mm')).toBe(0.38)
  })

  it.each([
    ["1'000", 'length', 'mm', 'thousandsOrDecimal'],
    ["1'000 mm", 'length', 'mm', 'thousandsOrDecimal'],
    ['1,234', 'length', 'mm', 'thousandsOrDecimal'],
    ['6 turns', 'length', 'mm', 'unknownUnit'],
    ['5-6 mm', 'length', 'mm', 'notANumber'],
    ['about 3 mm', 'length', 'mm', 'notANumber'],
    ['3 mm 4', 'length', 'mm', 'unknownUnit'],
    ['70 den', 'length', 'mm', 'unknownUnit'],
    ['1 0000 mm', 'length', 'mm', 'notANumber'],
    ['3/0 in', 'length', 'mm', 'zeroDenominator'],
    ['12 K', 'temperature', '°C', 'unknownUnit'],
  ] as const)('questions “%s”', (text, quantity, assumed, code) => {
    expect(value(text, quantity, assumed)).toBe(code)
  })
})

/** A fraction by hand. */
function fraction(text: string): number {
  const [above, below] = text.split('/').map(Number)
  return above! / below!
}
