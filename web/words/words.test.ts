import { describe, expect, it } from 'vitest'
import { dayMonth } from './days.ts'
import { defaultUnits } from './defaultUnits.ts'
import { clockTime, dayAndMonth, dayName, monthOf, parseClock, shortDepth, shortTemp } from './words.ts'

const feet = { ...defaultUnits, depth: 'ft', temperature: '°F' } as const

describe('days and hours', () => {
  it('are named as in the valley, whatever the zone of the machine', () => {
    expect(dayName('2026-06-06')).toBe('Sat 6 June')
    expect(dayName('2026-01-01')).toBe('Thu 1 January')
    expect(dayAndMonth('2026-05-23')).toBe('23 May')
    expect(monthOf('2024-06-30')).toBe('June 2024')
  })

  it('give the day of a window’s year from 1 January, in the south from 1 July', () => {
    expect(dayMonth(0, false)).toBe('1 Jan')
    expect(dayMonth(152, false)).toBe('2 Jun')
    expect(dayMonth(364, false)).toBe('31 Dec')
    expect(dayMonth(-1, false)).toBe('31 Dec')
    expect(dayMonth(0, true)).toMatch(/^[12] Jul$/)
  })

  it.each([
    ['13:20', 800],
    ['1320', 800],
    ['13.20', 800],
    [' 7:05 ', 425],
    ['9', 540],
    ['24:00', 1440],
    ['24:01', null],
    ['noon', null],
    ['', null],
  ])('read %j as minutes of the day', (text, minutes) => {
    expect(parseClock(text)).toBe(minutes)
  })

  it('are written with two digits each', () => {
    expect(clockTime(65)).toBe('01:05')
    expect(clockTime(1440)).toBe('24:00')
  })
})

describe('what the first view says before core is there', () => {
  it('speaks in the user’s units', () => {
    expect(shortDepth(914.4, defaultUnits)).toBe('0.9 m')
    expect(shortDepth(914.4, feet)).toBe('3.0 ft')
    expect(shortTemp(12.8, defaultUnits)).toBe('12.8 °C')
    expect(shortTemp(12.8, feet)).toBe('55.0 °F')
  })
})
