import { describe, expect, it } from 'vitest'
import { reachStateOf } from './reachState.ts'
import type { Moment } from './useMoment.ts'

const at = (on: string, timeZone: string): Moment => ({
  reachId: 'r',
  on,
  localMin: 720,
  waterTempC: 10,
  reach: { waterKind: 'freestone', latitudeDeg: -42, longitudeDeg: 172, timeZone } as Moment['reach'],
})

describe('reachStateOf', () => {
  it.each([
    ['2026-06-06', 'Europe/London', 60],
    ['2026-12-06', 'Europe/London', 0],
    ['2026-12-31', 'Pacific/Auckland', 780],
    ['2026-06-30', 'Pacific/Auckland', 720],
    ['2026-03-01', 'Pacific/Honolulu', -600],
    ['2026-06-01', 'Asia/Kolkata', 330],
  ])('on %s in %s is %i minutes ahead of UTC', (on, timeZone, minutes) => {
    expect(reachStateOf(at(on, timeZone)).utcOffsetMinutes).toBe(minutes)
  })

  it('keeps the side of the equator', () => {
    expect(reachStateOf(at('2026-06-01', 'Pacific/Auckland')).latitudeDeg).toBe(-42)
  })
})
