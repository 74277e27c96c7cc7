import { describe, expect, it } from 'vitest'
import { behaviourOf, evaluateFly, LIST_CONDITIONS, USUAL_TIPPET } from '../evaluate/index.ts'
import { isStillwater } from '../season/index.ts'
import { shippedFoods } from '../season/shipped/larder.ts'
import { TABLE_FLIES } from '../testing/matchTable/flies.ts'
import { TABLE_FOODS } from '../testing/matchTable/foods.ts'
import type { TableFood } from '../testing/matchTable/foods.ts'
import { typedFly } from '../testing/typedFly.ts'
import { appearanceOf, matchFly } from './index.ts'

const flies = TABLE_FLIES.map(({ name, hook, lines, ways }) => {
  const fly = typedFly(hook, lines)
  const report = evaluateFly(fly, { ...LIST_CONDITIONS, tippet: USUAL_TIPPET })
  return { name, matched: { behaviour: behaviourOf(report), look: appearanceOf(fly), ways } }
})
const stages = new Map(
  shippedFoods.flatMap((food) => food.stages.map((stage) => [stage.key, { ...stage, id: stage.key }])),
)

/** All flies for a food, the best first. */
function ranked({ stage: key, water, month }: TableFood) {
  const stage = stages.get(key)
  const length = stage?.months[month - 1]
  if (!stage || !length) throw new Error(`no ${key} in month ${month}`)
  const still = isStillwater(water)
  const place = {
    waterKind: water,
    bedMm: still ? 2500 : 700,
    surfaceSpeedMmPerS: still ? 0 : 600,
    lengthMmLow: length.lengthMmLow,
    lengthMmHigh: length.lengthMmHigh,
  }
  return flies
    .map(({ name, matched }) => ({ name, ...matchFly(matched, stage, place) }))
    .sort((a, b) => b.score - a.score)
}

describe('the table of foods and flies', () => {
  const rows = TABLE_FOODS.map((food) => ({ food, found: ranked(food) }))
  const right = ({ first, also }: TableFood) => [first, ...also]
  const rankOf = ({ food, found }: (typeof rows)[number]) =>
    found.findIndex(({ name }) => right(food).includes(name))

  it('is of at least 30 foods and 40 flies', () => {
    expect(TABLE_FOODS.length).toBeGreaterThanOrEqual(30)
    expect(TABLE_FLIES.length).toBeGreaterThanOrEqual(40)
    const named = new Set(TABLE_FLIES.map(({ name }) => name))
    for (const food of TABLE_FOODS) for (const name of right(food)) expect(named.has(name), name).toBe(true)
  })

  it('has the right fly first for four foods of five, and among the first three for nearly all', () => {
    expect(rows.filter((row) => rankOf(row) === 0).length / rows.length).toBeGreaterThanOrEqual(24 / 30)
    expect(rows.filter((row) => rankOf(row) < 3).length / rows.length).toBeGreaterThanOrEqual(28 / 30)
  })

  it.each(rows)('has at most one wrong fly serve $food.stage', ({ food, found }) => {
    const wrong = found.filter(({ name, verdict }) => verdict === 'serves' && !right(food).includes(name))
    expect(wrong.map(({ name }) => name).slice(1)).toEqual([])
  })

  it('lets the right fly serve or pass for each', () => {
    for (const { food, found } of rows) {
      const verdict = found.find(({ name }) => name === food.first)?.verdict
      expect(['serves', 'couldPass'], food.stage).toContain(verdict)
    }
  })
})
