import { describe, expect, it } from 'vitest'
import { sum } from '../number/index.ts'
import { drawn, reachOf, sceneFor, stages } from '../testing/season.ts'
import type { TestReach } from '../testing/season.ts'
import { dateOf, epochDayOf } from './calendar.ts'
import { feedingAt, firstDayOf, HALF_YEAR_DAYS, newYearOf, NOTHING_SAID, REGIONS, windowOf } from './index.ts'
import type { Region } from './index.ts'

const reachIn = (key: Region['key']): TestReach => {
  const { coldestC, warmestC, latitudeDeg, elevationM } = REGIONS.find((one) => one.key === key)!
  return reachOf(coldestC, warmestC, { latitudeDeg, elevationM, utcOffsetMinutes: latitudeDeg < 0 ? 720 : 60 })
}
const of = (ids: readonly string[]) => stages.filter(({ id }) => ids.includes(id))
const firstDay = (key: Region['key'], id: string) => {
  const [brood] = drawn({ reach: reachIn(key), of: of([id]), draws: 200 }).broods
  const window = brood && windowOf(brood)
  return window ? { day: firstDayOf(window), none: window.noneShare } : null
}
const olive = 'dark-olive-dun'

describe('a start by region', () => {
  it('is later the colder: the first olives of spring, by weeks and not by a season', () => {
    const [valley, cool, cold, alpine] = (['valley', 'coolValley', 'coldValley', 'alpine'] as const).map(
      (key) => firstDay(key, olive)?.day ?? NaN,
    )
    expect(cool! - valley!).toBeGreaterThan(3)
    expect(cold! - cool!).toBeGreaterThan(3)
    for (const later of [cool!, cold!, alpine!]) expect(later - valley!).toBeLessThan(75)
  })

  it('has its spring in October in the south', () => {
    // days from 1 July there
    const { day = NaN } = firstDay('southern', olive) ?? {}
    const on = dateOf(newYearOf(2026) + HALF_YEAR_DAYS + Math.round(day))
    expect(on.slice(5, 7), on).toMatch(/08|09|10/)
  })

  it.each(['alpine', 'southern'] as const)('shares the fish out there as anywhere, and its summer is the fuller: %s', (key) => {
    const scene = sceneFor({ reach: reachIn(key), draws: 100 })
    const at = (on: string) => feedingAt(stages, scene, epochDayOf(on), 14 * 60, NOTHING_SAID)
    const [summer, winter] = key === 'southern' ? ['2026-12-20', '2026-07-05'] : ['2026-06-20', '2026-01-05']
    for (const { stages: found, whatever } of [at(summer), at(winter)])
      expect(whatever + sum(found.map((one) => one.onIt))).toBeCloseTo(1, 9)
    const adults = (on: string) => sum(at(on).stages.filter(({ stageId }) => /dun|adult|spinner/.test(stageId)).map((one) => one.onIt)) // prettier-ignore
    expect(adults(summer)).toBeGreaterThan(adults(winter))
  }) // prettier-ignore

  it('lets what needs warm water come late in the mountains, or not at all', () => {
    const mayfly = 'large-burrowing-mayfly-dun'
    const [valley, alpine] = [firstDay('valley', mayfly), firstDay('alpine', mayfly)]
    expect(valley?.none).toBeLessThan(0.1)
    expect((alpine?.none ?? 1) > 0.5 || (alpine?.day ?? 0) > (valley?.day ?? 0) + 10).toBe(true)
  })
})
