import { describe, expect, it } from 'vitest'
import type { StageLine } from '../../../contract/index.ts'
import { yearCsv, yearIcs } from './exportYear.ts'
import type { YearOfReach } from './exportYear.ts'

const stage = (id: string, change: Partial<StageLine> = {}) =>
  ({
    id,
    foodName: 'Dark olive',
    stageName: 'dun',
    waterKinds: { freestone: 1 },
    broods: [],
    ...change,
  }) as unknown as StageLine
const window = (stageKey: string, onset: number) => ({
  before: undefined as never,
  after: {
    stageKey: stageKey as never,
    brood: 0,
    onset: [0, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10].map((off) => onset + off - 5),
    last: [0, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10].map((off) => onset + 20 + off - 5),
    noneShare: 0,
  },
  shiftDays: 0,
  notes: 0,
})
const year = (change: Partial<YearOfReach> = {}): YearOfReach => ({
  reachName: 'Bridge Reach',
  year: 2026,
  south: false,
  waterKind: 'freestone',
  stages: [
    stage('late', { foodName: '=Late; food' }),
    stage('early'),
    stage('elsewhere', { waterKinds: { reservoir: 1 } }),
  ],
  season: {
    windows: [window('late', 150), window('early', 59), window('elsewhere', 20)],
  } as unknown as YearOfReach['season'],
  ...change,
})

describe('yearCsv', () => {
  const lines = yearCsv(year()).split('\r\n')

  it('has the foods of this kind of water, the earliest first, with their days', () => {
    expect(lines).toHaveLength(3)
    expect(lines[1]).toBe('Dark olive,dun,,2026-02-25,2026-03-01,2026-03-05,2026-03-08,2026-03-21,0.00')
  })

  it('has no cell that a spreadsheet takes for a formula', () => {
    expect(lines[2]).toMatch(/^"?'=Late/)
  })

  it('counts from July in the south', () => {
    expect(yearCsv(year({ south: true })).split('\r\n')[1]).toContain('2026-08-30')
  })
})

describe('yearIcs', () => {
  const calendar = yearIcs(year())

  it('has an all-day entry for each, from its first usual day to its last', () => {
    expect(calendar.match(/BEGIN:VEVENT/g)).toHaveLength(2)
    expect(calendar).toContain('DTSTART;VALUE=DATE:20260301')
    expect(calendar).toContain('DTEND;VALUE=DATE:20260322')
    expect(calendar).toContain('Dark olive\\, dun: Bridge Reach')
  })
})
