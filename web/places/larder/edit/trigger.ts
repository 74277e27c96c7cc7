import type { LimitName } from '../../../../contract/limits.ts'
import type { Trigger } from '../../../../core/index.ts'

type Figure = readonly [label: string, limit: LimitName]

/** What is read in the user's own unit. */
export const MEASURES: Readonly<Record<string, readonly [...Figure, of: 'temperature' | 'smallLength']>> = {
  thresholdC: ['from', 'triggerTempC', 'temperature'],
  lowC: ['8 in 10 from', 'triggerTempC', 'temperature'],
  highC: ['8 in 10 to', 'triggerTempC', 'temperature'],
  strongLowC: ['thickest from', 'triggerTempC', 'temperature'],
  strongHighC: ['thickest to', 'triggerTempC', 'temperature'],
  baseC: ['above', 'triggerTempC', 'temperature'],
  withoutIceC: ['without ice, from', 'triggerTempC', 'temperature'],
  riseMm: ['rise', 'riseMm', 'smallLength'],
}
/** Figures that are read as they are. */
export const FIGURES: Readonly<Record<string, Figure>> = {
  degreeDays: ['degree-days of °C', 'degreeDays'],
  hours: ['hours of day', 'dayLengthH'],
  offsetDays: ['days after it', 'iceOffDays'],
  withinHours: ['within, hours', 'withinHours'],
  spreadDays: ['give or take, days', 'spreadDays'],
  durationDays: ['lasts, days', 'durationDays'],
}
/** Days of the year. */
export const DAYS: Readonly<Record<string, string>> = {
  notBefore: 'not before, month-day',
  startOn: 'summed from, month-day',
  steadyStartOn: 'in steady water, month-day',
  latest: 'anyhow by, month-day',
}

/** How a thing of a trigger is called where it is asked for; as it is named where it is none. */
export const calledHere = (key: string): string => MEASURES[key]?.[0] ?? FIGURES[key]?.[0] ?? DAYS[key] ?? key

const STARTED = { spreadDays: 10, durationDays: 40 } as const

/** What a trigger starts from where its kind is chosen anew. */
export function usualTrigger(kind: Trigger['kind']): Trigger {
  switch (kind) {
    case 'waterTemp':
      return { kind, direction: 'rising', thresholdC: 10, lowC: 9, highC: 11.5, notBefore: '02-15', ...STARTED }
    case 'degreeDays':
      return { kind, baseC: 4, degreeDays: 300, startOn: '01-01', ...STARTED }
    case 'dayLength':
      return { kind, direction: 'rising', hours: 14, notBefore: '01-01', ...STARTED }
    case 'airTemp':
      return { kind, thresholdC: 15, lowC: 13, highC: 17, notBefore: '03-01', ...STARTED }
    case 'iceOff':
      return { kind, offsetDays: 5, withoutIceC: 5, ...STARTED }
    case 'allYear':
      return { kind }
    case 'light':
      return { kind, regime: 'dim' }
    case 'level':
      return { kind, riseMm: 150, withinHours: 24 }
  }
}

const hundredths = (value: number) => Math.round(value * 100) / 100

/** A trigger with one thing of it otherwise. The 8 in 10 go along with the warmth that they lie about. */
export function changedTrigger(trigger: Trigger, key: string, value: number | string): Trigger {
  if (key !== 'thresholdC' || !('thresholdC' in trigger) || typeof value === 'string')
    return { ...trigger, [key]: value }
  const warmer = value - trigger.thresholdC
  const [lowC, highC] = [trigger.lowC, trigger.highC].map((limit) => hundredths(limit + warmer)) as [
    number,
    number,
  ]
  return { ...trigger, thresholdC: value, lowC, highC }
}
