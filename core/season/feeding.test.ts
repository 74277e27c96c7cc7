import { describe, expect, it } from 'vitest'
import { median, sum } from '../number/index.ts'
import { reachOf, sceneFor, stages } from '../testing/season.ts'
import type { TestReach } from '../testing/season.ts'
import { dateOf, epochDayOf } from './calendar.ts'
import {
  dayOfFeeding,
  effectiveFoods,
  feedingAt,
  needFactor,
  NOTHING_SAID,
  presenceOf,
  reasonsOf,
  usualPresence,
  yearOfFeeding,
} from './index.ts'
import type { FeedingNow, HourConditions, SeasonNote } from './index.ts'
import { NEEDS } from './foodStage.ts'
import type { PlacedNote } from './index.ts'

const river = reachOf(3, 16.6)
const spring = reachOf(7.7, 11.5, { waterKind: 'springFed' })
const beck = reachOf(1.6, 11.6, { waterKind: 'smallStream', elevationM: 430 })
const lake = reachOf(4, 19, { waterKind: 'lowlandStillwater' })
const tarn = reachOf(0.3, 16.8, { waterKind: 'uplandTarn', elevationM: 500, iceOffOn: '04-02' })

const scenes = new Map<string, ReturnType<typeof sceneFor>>()
function at(
  reach: TestReach,
  on: string,
  hour: number,
  conditions: HourConditions = NOTHING_SAID,
  notes: readonly SeasonNote[] = [],
): FeedingNow {
  // prettier-ignore
  const key = JSON.stringify([reach, notes])
  const scene = scenes.get(key) ?? sceneFor({ reach, notes, draws: 200 })
  scenes.set(key, scene)
  return feedingAt(stages, scene, epochDayOf(on), hour * 60, conditions)
}
const of = ({ stages: found }: FeedingNow, id: string) => found.find(({ stageId }) => stageId === id)
const onIt = (now: FeedingNow, id: string) => of(now, id)?.onIt ?? 0
const best = ({ stages: found }: FeedingNow) => [...found].sort((a, b) => b.onIt - a.onIt).map(({ stageId }) => stageId) // prettier-ignore
const note = (stageId: string, on: string, kind: SeasonNote['kind'], more: Partial<SeasonNote> = {}): SeasonNote => ({
  reachKey: 'reach', stageId, day: epochDayOf(on), localMin: null, kind, count: null, effortMinutes: 60, ...more,
}) // prettier-ignore

/** Moments over the year and the waters: what an angler would call different days. */
const SITUATIONS: readonly (readonly [TestReach, string, number])[] = [
  [river, '2026-01-15', 13], [river, '2026-03-20', 13], [river, '2026-04-15', 13], [river, '2026-05-12', 14],
  [river, '2026-06-06', 13], [river, '2026-06-20', 21], [river, '2026-07-20', 13], [river, '2026-08-10', 20.5],
  [river, '2026-09-10', 14], [river, '2026-10-12', 13], [spring, '2026-02-10', 13], [spring, '2026-04-20', 13],
  [spring, '2026-06-01', 14], [spring, '2026-08-15', 19], [beck, '2026-04-25', 13], [beck, '2026-06-20', 14],
  [beck, '2026-08-20', 15], [lake, '2026-03-25', 12], [lake, '2026-05-10', 13], [lake, '2026-07-15', 21],
  [lake, '2026-10-01', 14], [tarn, '2026-05-05', 13], [tarn, '2026-06-20', 14], [tarn, '2026-08-05', 20],
] // prettier-ignore

describe('feedingAt', () => {
  const all = SITUATIONS.map(([reach, on, hour]) => at(reach, on, hour))

  it('shares the fish out: with those that take whatever comes it sums to one, everywhere', () => {
    for (const { stages: found, whatever } of all) {
      expect(whatever + sum(found.map((one) => one.onIt))).toBeCloseTo(1, 9)
      for (const one of found) {
        expect(one.about).toBeGreaterThanOrEqual(0)
        expect(one.about).toBeLessThanOrEqual(1)
        expect(one.onItIfAbout).toBeLessThanOrEqual(1)
      }
    }
  })

  it('tells foods apart: the fish spread over at most twelve in effect, in the middle of 24 situations', () => {
    expect(median(all.map(effectiveFoods))).toBeLessThanOrEqual(12)
  })

  it('has every stage it speaks of at a length, never nought', () => {
    for (const { stages: found } of all)
      for (const one of found) expect(one.lengthMmLow, one.stageId).toBeGreaterThan(0)
  })

  it('puts first what an angler would: olives in April, mayfly on the spring stream in June, pupae of midges in May on a lake', () => {
    const spring1 = best(at(river, '2026-04-15', 13))
      .slice(0, 6)
      .join(' ')
    expect(spring1).toMatch(/dark-olive|small-dark-early-sedge|early-clinging/)
    expect(best(at(spring, '2026-06-01', 14)).slice(0, 3).every((id) => id.startsWith('large-burrowing-mayfly'))).toBe(true) // prettier-ignore
    expect(
      best(at(lake, '2026-05-10', 13))
        .slice(0, 3)
        .join(' '),
    ).toMatch(/lake-midge-pupa/)
    expect(best(at(river, '2026-01-15', 13))[0]).toMatch(/nymph|midge|larva/)
  })

  it('has spinners in the evening and none to speak of at noon', () => {
    const spinners = (now: FeedingNow) => sum(now.stages.filter(({ stageId }) => /spinner/.test(stageId)).map((one) => one.onIt)) // prettier-ignore
    expect(spinners(at(river, '2026-07-20', 21))).toBeGreaterThan(0.1)
    expect(spinners(at(river, '2026-07-20', 13))).toBeLessThan(0.02)
  })

  it('is nothing before its season and nothing after it, and more in its middle', () => {
    const dun = 'large-burrowing-mayfly-dun'
    const year = ['2026-03-01', '2026-05-28', '2026-08-25'].map((on) => onIt(at(spring, on, 14), dun))
    expect(year[0]).toBe(0)
    expect(year[1]).toBeGreaterThan(0.05)
    expect(year[2]).toBe(0)
  })

  it('brings worms to the fore when the water rises, and forgets them when it does not', () => {
    const worm = 'earthworm-washed-in'
    const [rising, steady, unknown] = (['rising', 'steady', null] as const).map((level) =>
      onIt(at(river, '2026-07-20', 13, { ...NOTHING_SAID, level }), worm),
    )
    expect(rising).toBeGreaterThan(0.25)
    expect(steady).toBe(0)
    expect(unknown).toBeLessThan(0.1)
  })

  it('does not hang on how many foods ship: what is elsewhere takes nothing', () => {
    const scene = sceneFor({ reach: river, draws: 200 })
    const here = stages.filter(({ depthBandRiver }) => depthBandRiver !== null)
    const [all, some] = [stages, here].map((list) => feedingAt(list, scene, epochDayOf('2026-06-06'), 780, NOTHING_SAID)) // prettier-ignore
    expect(all!.whatever).toBeCloseTo(some!.whatever, 1)
  })

  it('turns with the hemisphere', () => {
    const south = reachOf(3, 16.6, { latitudeDeg: -44, utcOffsetMinutes: 720 })
    const scene = sceneFor({ reach: south, draws: 200, year: 2026 })
    const now = feedingAt(stages, scene, epochDayOf('2026-10-16'), 780, NOTHING_SAID)
    expect(best(now).slice(0, 6).join(' ')).toMatch(/dark-olive|small-dark-early-sedge|early-clinging/)
  })
})

describe('notes', () => {
  const dun = 'large-burrowing-mayfly-dun'

  it('put first what was seen thick yesterday, and last what was seen for the last time', () => {
    const usual = onIt(at(river, '2026-06-06', 14), dun)
    const seen = onIt(at(river, '2026-06-06', 14, NOTHING_SAID, [note(dun, '2026-06-05', 'thick')]), dun)
    const over = onIt(at(river, '2026-06-12', 14, NOTHING_SAID, [note(dun, '2026-06-02', 'lastSeen')]), dun)
    expect(seen).toBeGreaterThan(2 * usual)
    expect(over).toBeLessThan(0.005)
  })

  it('end a rumour: fifteen vain searches in its weeks', () => {
    const searched = Array.from({ length: 15 }, (_, i) =>
      note(dun, dateOf(epochDayOf(`${2021 + (i % 5)}-06-04`) + 3 * Math.floor(i / 5)), 'absent'),
    )
    const found = at(river, '2026-06-06', 14, NOTHING_SAID, searched)
    expect(onIt(found, dun)).toBeLessThan(0.1 * onIt(at(river, '2026-06-06', 14), dun) + 0.002)
    expect(of(found, dun)?.about ?? 0).toBeLessThan(0.03)
  })

  it('let counts of a seine move amounts, also of what has no dates', () => {
    const counted = (olives: number) => [
      note('dark-olive-nymph', '2026-05-30', 'counted', { count: olives }),
      note('evening-olive-nymph', '2026-05-30', 'counted', { count: 6 }),
      note('net-spinning-sedge-larva', '2026-05-30', 'counted', { count: 6 }),
    ]
    const nymphs = (olives: number) => onIt(at(river, '2026-06-06', 9, NOTHING_SAID, counted(olives)), 'dark-olive-nymph')
    expect(nymphs(60)).toBeGreaterThan(1.5 * nymphs(6))
    expect(nymphs(0)).toBeLessThan(nymphs(6))
  }) // prettier-ignore
})

describe('presence', () => {
  const mayfly = stages.filter(({ foodId }) => foodId === 'large-burrowing-mayfly')
  const placed = (kind: SeasonNote['kind'], weight = 1): PlacedNote => ({
    note: note(mayfly[0]!.id, '2025-06-04', kind), stage: mayfly[0]!, year: 2025, day: 154, weight, found: 0.75,
  }) // prettier-ignore

  it('is nearly sure where the water is its home, nought where it cannot live', () => {
    expect(usualPresence(mayfly, 'springFed')).toBeGreaterThan(0.9)
    const lakes = stages.filter(({ foodId }) => foodId === 'damselfly')
    expect(usualPresence(lakes, 'smallStream')).toBe(0)
  })

  it('rises with each sighting and falls with each search, less with those of other waters', () => {
    const after = (...notes: readonly PlacedNote[]) => presenceOf(0.4, notes, () => 0.8)
    expect(after(placed('thick'))).toBeGreaterThan(0.8)
    expect(after(placed('thick', 0.35))).toBeGreaterThan(0.4)
    expect(after(placed('thick', 0.35))).toBeLessThan(after(placed('thick')))
    const searches = [1, 2, 5, 15].map((times) =>
      after(...Array.from({ length: times }, () => placed('absent'))),
    )
    expect([...searches].sort((a, b) => b - a)).toEqual(searches)
    expect(searches[3]).toBeLessThan(0.01)
  })

  it('is what the user says, before all that was noted: not here, or in plenty', () => {
    const thick = note('large-burrowing-mayfly-dun', '2025-06-04', 'thick')
    const dun = (said: ReadonlyMap<string, 'notHere' | 'strong'>) =>
      onIt(feedingAt(stages, sceneFor({ reach: spring, notes: [thick], said, draws: 200 }), epochDayOf('2026-06-01'), 840, NOTHING_SAID), 'large-burrowing-mayfly-dun') // prettier-ignore
    const usual = dun(new Map())
    expect(usual).toBeGreaterThan(0.05)
    expect(dun(new Map([['large-burrowing-mayfly', 'notHere']]))).toBe(0)
    expect(dun(new Map([['large-burrowing-mayfly', 'strong']]))).toBeGreaterThan(usual)
  })

  it('learns nothing from a search out of its weeks', () => {
    expect(presenceOf(0.4, [placed('absent')], () => 0)).toBeCloseTo(0.4, 9)
  })
})

describe('needFactor', () => {
  it('is one where it is met, less where it is not, and between where nobody knows', () => {
    const met: HourConditions = {
      level: 'rising',
      weather: 'calm',
      clarity: null,
      waterTempC: 10,
      airTempC: 20,
    }
    for (const need of NEEDS) {
      const unknown = needFactor(need, NOTHING_SAID)
      expect(unknown, need).toBeGreaterThan(0)
      expect(unknown, need).toBeLessThan(1)
    }
    for (const need of ['risingLevel', 'calm', 'swarmDay', 'calmBright', 'mildEvening', 'mildAir'] as const)
      expect(needFactor(need, met), need).toBe(1)
    expect(needFactor('risingLevel', { ...met, level: 'falling' })).toBe(0)
    expect(needFactor('wind', met)).toBeLessThan(needFactor('wind', { ...met, weather: 'windy' }))
  })
})

describe('through a day and a year', () => {
  const scene = sceneFor({ reach: river, draws: 60 })
  const ended = <T>(work: Generator<unknown, T>): T => {
    let step = work.next()
    while (!step.done) step = work.next()
    return step.value
  }

  it('sums to one in each half hour and in each week, but for stages too few to show', () => {
    const day = ended(dayOfFeeding(stages, scene, epochDayOf('2026-06-20'), NOTHING_SAID, [600, 1380]))
    const year = ended(yearOfFeeding(stages, scene, 2026))
    for (const row of [day, year])
      row.whatever.forEach((whatever, i) => {
        const total = whatever + sum(row.stages.map((one) => one.onIt[i] ?? 0))
        expect(total).toBeGreaterThan(0.94)
        expect(total).toBeLessThan(1.0001)
      })
    expect(day.whatever).toHaveLength(26)
    expect(year.whatever).toHaveLength(53)
  })
})

describe('reasonsOf', () => {
  const scene = sceneFor({ reach: river, draws: 200 })
  const codes = (id: string, on: string, conditions = NOTHING_SAID) =>
    reasonsOf(stages.find((stage) => stage.id === id)!, scene, epochDayOf(on), 780, conditions, [], () => 6, true).map(
      ({ code }) => code,
    ) // prettier-ignore

  it('says that it is over or not yet, how warm it is only while that is waited for, and what it needs', () => {
    expect(codes('dark-olive-dun', '2026-02-01')).toEqual(expect.arrayContaining(['notYet', 'toWarmth']))
    expect(codes('large-burrowing-mayfly-dun', '2026-06-01')).not.toContain('toWarmth')
    expect(codes('large-burrowing-mayfly-dun', '2026-08-10')).toContain('over')
    expect(codes('earthworm-washed-in', '2026-06-01')).toContain('need')
    expect(codes('dark-olive-nymph', '2026-06-01')).toContain('byMonth')
  })
})
