import { describe, expect, it } from 'vitest'
import { shippedFoods } from './shipped/larder.ts'
import { foodsCalled, hooksForNatural, isSought } from './index.ts'

const stages = shippedFoods.flatMap(({ name, groupKey, stages: all }) =>
  all.map((stage) => ({ foodName: name, groupKey, stageName: stage.name, key: stage.key })),
)
const found = (words: string) => [
  ...new Set(stages.filter((stage) => isSought(stage, words)).map(({ foodName }) => foodName)),
]

describe('foods are found by what anglers call them', () => {
  it.each([
    ['olives', 'Evening olive'],
    ['caddis', 'Net-spinning sedge'],
    ['sedges', 'Large autumn sedge'],
    ['buzzer', 'Medium lake midge'],
    ['chironomids', 'Small lake midge'],
    ['daphnia', 'Zooplankton'],
    ['hawthorn', 'Long-legged black spring fly'],
    ['drake', 'Large burrowing mayfly'],
    ['bloodworm', 'Large lake midge'],
    ['corixa', 'Lesser water boatman'],
    ['shrimp', 'Freshwater shrimp (scud)'],
    ['sculpin', 'Bullhead (sculpin)'],
    ['black gnat', 'Small black land gnat'],
    ['yellow sally', 'Small yellow stonefly'],
    ['daddies', null],
    ['crane fly', 'Daddy-long-legs'],
    ['hopper', 'Grasshopper'],
    ['tubifex', 'Aquatic worm'],
    ['mouse', 'Small mammal'],
  ])('%s', (words, food) => {
    if (food) expect(found(words)).toContain(food)
    else expect(found(words)).toEqual([])
  })

  it('each by its own name', () => {
    for (const { name } of shippedFoods) expect(found(name), name).toContain(name)
  })

  it('are named where a common name is all that was typed', () => {
    expect(foodsCalled('buzzer').length).toBeGreaterThan(2)
    expect(foodsCalled('')).toEqual([])
    expect(foodsCalled('propeller')).toEqual([])
  })

  it('midges as buzzers, and no sedge', () => {
    expect(found('buzzers').every((food) => /midge/.test(food))).toBe(true)
    expect(found('pupa')).toContain('Net-spinning sedge')
  })

  it('by several words together, of food and stage, and not by one of another', () => {
    expect(found('olive spinner')).toContain('Evening olive')
    expect(found('olive spinner')).not.toContain('Net-spinning sedge')
    expect(stages.filter((stage) => isSought(stage, 'drake dun')).map(({ key }) => key)).toEqual([
      'large-burrowing-mayfly-dun',
    ])
    expect(found('')).toHaveLength(shippedFoods.length)
  })
})

describe('hook sizes for a natural', () => {
  const standard = [
    { size: '12', fromMm: 10.3, toMm: 12.3 },
    { size: '14', fromMm: 8.6, toMm: 10.3 },
    { size: '16', fromMm: 7.1, toMm: 8.6 },
  ]

  it('are those whose range its length reaches into, the largest first', () => {
    expect(hooksForNatural(standard, 10, 12)).toEqual(['12', '14'])
    expect(hooksForNatural(standard, 9, 9.5)).toEqual(['14'])
    expect(hooksForNatural(standard, 7.5, 11)).toEqual(['12', '14', '16'])
  })

  it('are the nearest end where it lies beyond, and none where none are known', () => {
    expect(hooksForNatural(standard, 3, 4)).toEqual(['16'])
    expect(hooksForNatural(standard, 15, 18)).toEqual(['12'])
    expect(hooksForNatural([], 9, 10)).toEqual([])
  })
})
