import { describe, expect, it } from 'vitest'
import { mean } from '../number/index.ts'
import { notedRiver, stages } from '../testing/season.ts'
import { toEnd } from '../testing/toEnd.ts'
import { skillOf } from './index.ts'
import type { SeasonNote } from './index.ts'

const dun = 'large-burrowing-mayfly-dun'
const of = stages.filter(({ id }) => id === dun)
const skill = (seed: number, change: { readonly notes?: readonly SeasonNote[] } = {}) => {
  const { reach, notes } = notedRiver(dun, [2021, 2022, 2023, 2024, 2025], seed)
  return toEnd(
    skillOf({ reach, reaches: [reach], stages: of, notes, stageId: dun, draws: 120, seed: 3, ...change }),
  )
}

describe('skillOf', () => {
  it('looks back on each first day that was noted, a month to no day before', () => {
    const found = skill(1)!
    expect(found.times).toBe(5)
    expect(found.byLead.map(({ leadDays }) => leadDays)).toEqual([30, 14, 7, 3, 0])
    for (const { held } of found.byLead) expect(held).toBeLessThanOrEqual(5)
  })

  it('is the nearer the later it is foretold, and nearer than a date fixed in the calendar', () => {
    const rivers = [1, 2, 3, 4, 5, 6].map((seed) => skill(seed)!)
    const off = (lead: number) =>
      mean(rivers.map(({ byLead }) => byLead.find(({ leadDays }) => leadDays === lead)!.offDays))
    expect(off(0)).toBeLessThan(off(30))
    expect(off(0)).toBeLessThan(mean(rivers.map(({ fixedOffDays }) => fixedOffDays)))
    const held = mean(rivers.flatMap(({ byLead, times }) => byLead.map((one) => one.held / times)))
    expect(held).toBeGreaterThan(0.7)
  })

  it('is nearer with notes than without where a strain is far from usual', () => {
    const { reach, notes } = notedRiver(dun, [2021, 2022, 2023, 2024, 2025], 1, 1.8)
    const late = toEnd(
      skillOf({ reach, reaches: [reach], stages: of, notes, stageId: dun, draws: 120, seed: 3 }),
    )!
    const week = late.byLead.find(({ leadDays }) => leadDays === 7)!
    expect(week.offDays).toBeLessThan(0.8 * late.unlearnedOffDays)
  })

  it('knows nothing of later days: what was read and noted since changes no forecast', () => {
    const { reach, notes } = notedRiver(dun, [2021, 2022, 2023], 4)
    const asked = { stages: of, stageId: dun, draws: 60, seed: 3 }
    const last = notes.at(-1)!.day
    const until = { ...reach, days: reach.days.filter(({ day }) => day <= last) }
    const since = {
      ...reach,
      days: [...until.days, ...Array.from({ length: 300 }, (_, i) => ({ day: last + 1 + i, meanC: 25 }))],
    }
    const [then, now] = [until, since].map((one) =>
      toEnd(skillOf({ ...asked, reach: one, reaches: [one], notes })),
    )
    expect(now).toEqual(then)
  })

  it('has nothing to say where no first day was noted', () => {
    expect(skill(1, { notes: [] })).toBeNull()
  })
})
