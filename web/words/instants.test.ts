import { describe, expect, it } from 'vitest'
import { daysBetween, instantName } from './instants.ts'

const at = Date.parse

describe('days between two instants', () => {
  it.each([
    ['an hour over midnight', '2026-06-04T22:30:00Z', '2026-06-04T23:30:00Z', 'Europe/London', 1],
    ['the same hour where midnight is elsewhere', '2026-06-04T22:30:00Z', '2026-06-04T23:30:00Z', 'UTC', 0],
    ['a whole day but a minute, within one day', '2026-06-04T00:00:00Z', '2026-06-04T23:59:00Z', 'UTC', 0],
    ['23 hours on the day that loses one', '2026-03-29T00:00:00Z', '2026-03-29T23:00:00Z', 'Europe/Paris', 1],
    ['over the end of a year', '2026-12-31T12:00:00Z', '2027-01-02T01:00:00Z', 'UTC', 2],
  ])('%s', (_what, from, to, zone, days) => {
    expect(daysBetween(at(from), at(to), zone)).toBe(days)
  })
})

it('names an instant in its zone', () => {
  expect(instantName(at('2026-06-04T22:30:00Z'), 'Asia/Tokyo')).toBe('Fri 5 Jun 2026, 07:30')
})
