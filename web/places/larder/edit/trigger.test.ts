import { describe, expect, it } from 'vitest'
import { trigger as schema } from '../../../../contract/records/season.ts'
import type { Trigger } from '../../../../core/index.ts'
import { changedTrigger, usualTrigger } from './trigger.ts'

const KINDS = [
  'waterTemp',
  'degreeDays',
  'dayLength',
  'airTemp',
  'iceOff',
  'allYear',
  'light',
  'level',
] as const

describe('a trigger of a kind that was just chosen', () => {
  it.each(KINDS)('can be saved as it is: %s', (kind) => {
    const usual = usualTrigger(kind)
    expect(usual.kind).toBe(kind)
    expect(schema.safeParse(usual).error?.issues).toBeUndefined()
  })
})

describe('a trigger that is changed', () => {
  const warm = { kind: 'waterTemp', direction: 'rising', thresholdC: 10, lowC: 9.1, highC: 11.4, notBefore: '02-15', spreadDays: 7, durationDays: 40 } as const satisfies Trigger // prettier-ignore

  it('takes the 8 in 10 along with the warmth that starts it, so that it can still be saved', () => {
    const warmer = changedTrigger(warm, 'thresholdC', 12.3)
    expect(warmer).toEqual({ ...warm, thresholdC: 12.3, lowC: 11.4, highC: 13.7 })
    expect(schema.safeParse(warmer).success).toBe(true)
    expect(changedTrigger(warmer, 'thresholdC', 10)).toEqual(warm)
  })

  it('takes them along letter by letter as a figure is typed', () => {
    const typed = [1, 12, 12.5].reduce<Trigger>((now, value) => changedTrigger(now, 'thresholdC', value), warm)
    expect(typed).toMatchObject({ thresholdC: 12.5, lowC: 11.6, highC: 13.9 })
  })

  it('changes nothing else beside', () => {
    expect(changedTrigger(warm, 'lowC', 8)).toEqual({ ...warm, lowC: 8 })
    expect(changedTrigger(warm, 'notBefore', '03-01')).toEqual({ ...warm, notBefore: '03-01' })
    const day = usualTrigger('dayLength')
    expect(changedTrigger(day, 'hours', 15)).toEqual({ ...day, hours: 15 })
  })
})
