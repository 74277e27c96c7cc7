import type { Unit } from './units.ts'

/** Units as people spell them, in small letters without a full stop. */
const SPELLINGS: Readonly<Record<string, Unit>> = {
  mm: 'mm', millimetre: 'mm', millimetres: 'mm', millimeter: 'mm', millimeters: 'mm',
  cm: 'cm', centimetre: 'cm', centimetres: 'cm', centimeter: 'cm', centimeters: 'cm',
  m: 'm', metre: 'm', metres: 'm', meter: 'm', meters: 'm', km: 'km', kilometre: 'km', kilometres: 'km',
  kilometer: 'km', kilometers: 'km', µm: 'µm', μm: 'µm', um: 'µm', micron: 'µm', microns: 'µm',
  in: 'in', ins: 'in', inch: 'in', inches: 'in', '"': 'in',
  thou: 'thou', thous: 'thou', mil: 'thou', mils: 'thou', thousandth: 'thou', thousandths: 'thou',
  ft: 'ft', foot: 'ft', feet: 'ft', "'": 'ft', yd: 'yd', yds: 'yd', yard: 'yd', yards: 'yd', mile: 'mi', miles: 'mi',
  fps: 'ft/s', ips: 'in/s', mph: 'mph', kph: 'km/h', kmh: 'km/h',
  mg: 'mg', mgs: 'mg', milligram: 'mg', milligrams: 'mg', milligramme: 'mg', milligrammes: 'mg',
  g: 'g', gm: 'g', gms: 'g', gram: 'g', grams: 'g', gramme: 'g', grammes: 'g',
  gr: 'gr', grs: 'gr', gn: 'gr', gns: 'gr', grain: 'gr', grains: 'gr', oz: 'oz', ounce: 'oz', ounces: 'oz',
  c: '°C', celsius: '°C', centigrade: '°C', f: '°F', fahrenheit: '°F',
  d: 'den', den: 'den', denier: 'den', deniers: 'den', dtex: 'dtex', decitex: 'dtex', tex: 'tex',
} // prettier-ignore

const TIMES: Readonly<Record<string, 's' | 'h'>> = {
  s: 's', sec: 's', secs: 's', second: 's', seconds: 's', h: 'h', hr: 'h', hour: 'h', hours: 'h',
} // prettier-ignore

/** Speeds by what is covered and in which time. */
const SPEEDS: Readonly<Record<string, Unit>> = {
  'mm/s': 'mm/s', 'cm/s': 'cm/s', 'm/s': 'm/s', 'in/s': 'in/s', 'ft/s': 'ft/s', 'km/h': 'km/h', 'mi/h': 'mph',
} // prettier-ignore

const DEGREES = /^(?:°|deg(?:ree)?s?\.?)\s*/

/**
 * The unit that a spelling means: `in.`, `thou`, `deg F`, `degrees`, `ft/sec`, `cm per second`.
 *
 * @param assumed what degrees are of that say nothing more
 */
export function unitOf(spelling: string, assumed: Unit): Unit | undefined {
  const written = spelling
    .toLowerCase()
    .replace(/\s*(?:s⁻¹|s-1)$/u, '/s')
    .replace(/\s*\bper\b\s*/, '/')
    .replace(/\.(?=\/|$)/g, '')
    .trim()
  const parts = written.split(/\s*\/\s*/)
  if (parts.length === 2) {
    const [way, time] = [SPELLINGS[parts[0] ?? ''], TIMES[parts[1] ?? '']]
    return way && time ? SPEEDS[`${way}/${time}`] : undefined
  }
  const scale = written.replace(DEGREES, '')
  if (scale !== written) {
    if (scale === '') return assumed === '°F' ? '°F' : '°C'
    const unit = SPELLINGS[scale]
    return unit === '°C' || unit === '°F' ? unit : undefined
  }
  return SPELLINGS[written]
}
