import { describe, expect, it } from 'vitest'
import { behaviourOf, evaluateFly, LIST_CONDITIONS, USUAL_TIPPET } from '../evaluate/index.ts'
import { appearanceOf } from '../match/index.ts'
import type { FlyRules, ServingVariant } from '../plan/index.ts'
import { epochDayOf, feedingAt, isStillwater, NOTHING_SAID } from '../season/index.ts'
import { shippedFoods } from '../season/shipped/larder.ts'
import { TABLE_FLIES } from '../testing/matchTable/flies.ts'
import { reachOf, sceneFor, stages } from '../testing/season.ts'
import { toEnd } from '../testing/toEnd.ts'
import { typedFly } from '../testing/typedFly.ts'
import { HOURS_AT_THE_WATER } from '../testing/watersideSituations.ts'
import type { HourAtTheWater } from '../testing/watersideSituations.ts'
import { choose, notForecast, reckon, showings, SIGNS } from './index.ts'
import type { Looked, Shares } from './index.ts'

const NO_RULES: FlyRules = {
  dryOnly: null, noLead: null, noAddedWeight: null, minHookSize: null, maxHookSize: null,
  maxFlies: null, noIndicator: null, barbless: null,
} // prettier-ignore

const flies = TABLE_FLIES.map(({ name, hook, lines, ways }): ServingVariant => {
  const fly = typedFly(hook, lines)
  const report = evaluateFly(fly, { ...LIST_CONDITIONS, tippet: USUAL_TIPPET })
  return {
    key: name, patternKey: name, behaviour: behaviourOf(report), look: appearanceOf(fly), onHand: 2, meantFor: [],
    purpose: 'imitation', roles: [], ownMonths: [], ways, waters: [], hookSize: fly.hook.size, lead: false,
    weighted: false, barb: null,
  } // prettier-ignore
})
const foodOf = new Map(
  shippedFoods.flatMap(({ key, groupKey, stages: own }) =>
    own.map((stage) => [stage.key, { foodKey: key, groupKey, stage: stage.stage }] as const),
  ),
)

/** What fish are on there and then after what was seen, and what to put on from a box. */
function answered({ water, year, on, localMin, hour, ways, rules, ...looked }: HourAtTheWater, box = flies) {
  const scene = sceneFor({ reach: reachOf(year[0], year[1], { waterKind: water }), year: Number(on.slice(0, 4)), draws: 100 }) // prettier-ignore
  const now = feedingAt(stages, scene, epochDayOf(on), localMin, { ...NOTHING_SAID, ...hour })
  const before: Shares = {
    stages: now.stages.map(({ stageId, onIt }) => ({ id: stageId, share: onIt, ...foodOf.get(stageId)! })),
    whatever: now.whatever,
  }
  const known = new Set(hour.level === 'rising' ? ['coloured-rising-water'] : [])
  const ticks = [
    ...looked.seen.map((key): Looked => ({ sign: SIGNS.find((sign) => sign.key === key)!, seen: true })),
    ...looked.lookedForInVain.map((key): Looked => ({ sign: SIGNS.find((sign) => sign.key === key)!, seen: false })), // prettier-ignore
  ]
  const after = reckon(before, notForecast(ticks, known))
  const still = isStillwater(water)
  const place = {
    waterKind: water, bedMm: still ? 2500 : 700, surfaceSpeedMmPerS: still ? 0 : 600, techniques: ways,
    rules: { ...NO_RULES, ...rules }, school: 'sizeAndStage',
  } as const // prettier-ignore
  const today = now.stages.flatMap(({ stageId, lengthMmLow, lengthMmHigh }) => {
    const stage = shippedFoods.flatMap((food) => food.stages).find(({ key }) => key === stageId)!
    return { stage: { ...stage, id: stageId }, lengthMmLow, lengthMmHigh }
  })
  const shown = toEnd(showings({ flies: box, today, month: Number(on.slice(5, 7)), place }))
  return {
    first: after.stages.toSorted((a, b) => b.share - a.share).slice(0, 3),
    choices: choose(shown, after, 2),
  }
}

describe('twenty hours at the water', () => {
  const rows = HOURS_AT_THE_WATER.map((hour) => ({ hour, ...answered(hour) }))

  it('are told what fish are on, first or second, in 17 and more', () => {
    const right = rows.filter(({ hour, first }) =>
      first.slice(0, 2).some(({ id }) => hour.stages.some((end) => id.endsWith(end))),
    )
    expect(right.length).toBeGreaterThanOrEqual(17)
  })

  it('are told a fly that an expert would put on, first or second, in 17 and more', () => {
    const right = rows.filter(({ hour, choices }) =>
      choices.some(({ showing }) => hour.flies.includes(showing.key)),
    )
    expect(right.length).toBeGreaterThanOrEqual(17)
  })

  it('are told one of the ways of the day, each fly once, the better first', () => {
    for (const { hour, choices } of rows) {
      for (const { showing } of choices) expect(hour.ways).toContain(showing.way)
      expect(new Set(choices.map(({ showing }) => showing.key)).size).toBe(choices.length)
      expect(choices[0]?.shown ?? 0).toBeGreaterThanOrEqual(choices[1]?.shown ?? 0)
    }
  })

  it('are told only what is packed: without the flies that were chosen it is others', () => {
    for (const { hour, choices } of rows) {
      const gone = new Set(choices.map(({ showing }) => showing.key))
      const without = answered(hour, flies.filter(({ key }) => !gone.has(key))) // prettier-ignore
      for (const { showing } of without.choices) expect(gone).not.toContain(showing.key)
    }
  })

  it('are never told what the note of the water forbids', () => {
    const hourly = HOURS_AT_THE_WATER.map((hour) => ({ ...hour, rules: { dryOnly: true, minHookSize: 16 } }))
    const byName = new Map(flies.map((fly) => [fly.key, fly]))
    for (const hour of hourly)
      for (const { showing } of answered(hour).choices) {
        expect(byName.get(showing.key)?.behaviour.kind, `${hour.of}: ${showing.key}`).toBe('floats')
        expect(byName.get(showing.key)?.hookSize ?? 99).toBeLessThanOrEqual(16)
      }
  })
})
