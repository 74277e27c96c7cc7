import { describe, expect, it } from 'vitest'
import { BARE_FORMS } from '../../core/index.ts'
import { shippedFoods } from '../../core/season/shipped/larder.ts'
import { formFor } from './formFor.ts'

const stages = shippedFoods.flatMap((food) =>
  food.stages.map((stage) => ({ ...stage, id: stage.key, groupKey: food.groupKey })),
)
const of = (key: string) => formFor(stages.find(({ id }) => id === key)!)

describe('the form that a dressing may start from', () => {
  it.each([
    ['dark-olive-nymph', 'jigNymph'],
    ['dark-olive-dun', 'hackledDry'],
    ['dark-olive-spinner', 'spinner'],
    ['dark-olive-emerger', 'emerger'],
  ])('of %s is a %s', (key, form) => expect(of(key)).toBe(form))

  it('is one of those that are there, for every stage of the larder', () => {
    const forms = new Set(BARE_FORMS.map(({ key }) => key))
    expect(stages.filter((stage) => !forms.has(formFor(stage)))).toEqual([])
    expect(new Set(stages.map(formFor)).size).toBe(8)
  })
})
