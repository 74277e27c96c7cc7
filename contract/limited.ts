import { z } from 'zod'
import { limitOf } from './limits.ts'
import type { Limit, LimitName, LimitUnit } from './limits.ts'

/** Units that are said with the number. */
const SAID: ReadonlySet<LimitUnit> = new Set(['mm', 'mm/s', 'm', 'mg', '°C', '°', 's', 'h'])
const said = (value: number, unit: LimitUnit) =>
  `${value.toLocaleString('en')}${SAID.has(unit) ? `${unit === '°' ? '' : ' '}${unit}` : ''}`
const least = ({ min, unit, under }: Limit) =>
  under ?? (min === 0 ? 'This cannot be below nought.' : `At least ${said(min, unit)}.`)
const most = ({ max, unit, over }: Limit) => over ?? `At most ${said(max, unit)}.`

/** A figure within its limit, refused in words. */
export function figure(name: LimitName) {
  const limit = limitOf(name)
  const bounded = z.number().min(limit.min, least(limit)).max(limit.max, most(limit))
  if (!limit.whole) return bounded
  return bounded.int(limit.unit === 'flies' ? 'Whole flies only.' : 'Whole ones only.')
}

/** No control characters but tabs and ends of lines, and no half of a letter: neither can be searched for. */
const READABLE = /^[^\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f\p{Cs}]*$/u

/** A text whose length is within its limit; trimmed where asked, before it is measured. */
export function written(name: LimitName, { trimmed = false }: { trimmed?: boolean } = {}) {
  const limit = limitOf(name)
  const typed = trimmed ? z.string().trim() : z.string()
  return typed
    .min(limit.min, least(limit))
    .max(limit.max, most(limit))
    .regex(READABLE, 'It has signs in it that nobody can read.')
}

/** A list whose length is within its limit. */
export function listed<T extends z.ZodType>(name: LimitName, entry: T) {
  const limit = limitOf(name)
  return z.array(entry).min(limit.min, least(limit)).max(limit.max, most(limit))
}

/** A colour as `#6d6a37`. */
export const hexColour = z.string().regex(/^#[0-9a-f]{6}$/i, 'A colour is written #6d6a37.')
