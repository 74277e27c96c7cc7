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
    // on rivers with a strain of their own notes tell something
    expect(off(7)).toBeLessThan(mean(rivers.map(({ unlearnedOffDays }) => unlearnedOffDays)))
    const held = mean(rivers.flatMap(({ byLead, times }) => byLead.map((one) => one.held / times)))
    expect(held).toBeGreaterThan(0.7)
  })

  it('has nothing to say where no first day was noted', () => {
    expect(skill(1, { notes: [] })).toBeNull()
  })
})
