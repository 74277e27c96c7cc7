import type { SettingsBody } from '../../contract/index.ts'

const WEEKDAY = new Intl.DateTimeFormat('en-GB', {
  weekday: 'short',
  day: 'numeric',
  month: 'long',
  timeZone: 'UTC',
})

/** `Sat 6 June`. */
export const dayName = (on: string): string => WEEKDAY.format(new Date(`${on}T00:00:00Z`)).replace(',', '')

/** A day of any year: `Sat 23 May 2026`. */
export const dateName = (on: string): string => `${dayName(on)} ${on.slice(0, 4)}`

const DAY_MONTH = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', timeZone: 'UTC' })

/** A day where there is little room, its year being told beside it: `23 May`. */
export const dayAndMonth = (on: string): string => DAY_MONTH.format(new Date(`${on}T00:00:00Z`))

const MONTH_YEAR = new Intl.DateTimeFormat('en-GB', { month: 'long', year: 'numeric', timeZone: 'UTC' })

/** A day of another year, as far as it matters: `June 2024`. */
export const monthOf = (on: string): string => MONTH_YEAR.format(new Date(`${on}T00:00:00Z`))

/** `13:00`. */
export const clockTime = (localMin: number): string =>
  `${String(Math.floor(localMin / 60)).padStart(2, '0')}:${String(localMin % 60).padStart(2, '0')}`

/** Minutes of the day of `13:00`; null where it is none. */
export function parseClock(text: string): number | null {
  const match = /^(\d{1,2})[:.h]?(\d{2})?$/.exec(text.trim())
  const minutes = Number(match?.[1]) * 60 + Number(match?.[2] ?? 0)
  return match && minutes <= 1440 ? minutes : null
}

export type Units = SettingsBody['units']

/** Depth for the Column's labels, which load before core does. */
export const shortDepth = (mm: number, units: Units): string =>
  units.depth === 'm' ? `${(mm / 1000).toFixed(1)} m` : `${(mm / 304.8).toFixed(1)} ft`

/** A length that a rule speaks of: `3.66 m`, `12.0 ft`. */
export const longDepth = (mm: number, units: Units): string =>
  units.depth === 'm' ? `${(mm / 1000).toFixed(2)} m` : `${(mm / 304.8).toFixed(1)} ft`

/** The crease of the film lens: `15 cm`, `6 in`. */
export const creaseDepth = (mm: number, units: Units): string =>
  units.depth === 'm' ? `${Math.round(mm / 10)} cm` : `${Math.round(mm / 25.4)} in`

/** Temperature for the Column's head. */
export const shortTemp = (tempC: number, units: Units): string =>
  units.temperature === '°C' ? `${tempC.toFixed(1)} °C` : `${((tempC * 9) / 5 + 32).toFixed(1)} °F`

/** How far two temperatures lie apart: `1.5 °C`, `2.7 °F`. */
export const tempApart = (apartC: number, units: Units): string =>
  units.temperature === '°C' ? `${apartC.toFixed(1)} °C` : `${((apartC * 9) / 5).toFixed(1)} °F`

/** Ways of an outing in their order: `tight-line nymph, then dry`. */
export const techniquesInWords = (techniques: readonly string[]): string =>
  techniques.map((key) => techniqueName[key] ?? key).join(', then ')

/** Techniques as they are said. */
export const techniqueName: Readonly<Record<string, string>> = {
  dry: 'dry',
  dryWithDropper: 'dry with dropper',
  tightLineNymph: 'tight-line nymph',
  indicatorNymph: 'indicator nymph',
  swungWets: 'swung wets',
  streamer: 'streamer',
  staticIndicator: 'static indicator',
  slowRetrieve: 'slow retrieve',
  driftTeam: 'team on the drift',
  buoyantOnSinkingLine: 'buoyant fly on a sinking line',
}
