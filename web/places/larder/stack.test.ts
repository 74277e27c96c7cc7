import { describe, expect, it } from 'vitest'
import { placeNames, stackOf } from './stack.ts'

const row = {
  whatever: [0.5, 0.2, 0.4],
  stages: [
    { stageId: 'dun', about: [], onIt: [0, 0.5, 0.1] },
    { stageId: 'spinner', about: [], onIt: [0, 0.1, 0.3] },
    { stageId: 'nymph', about: [], onIt: [0.4, 0.1, 0.1] },
    { stageId: 'worm', about: [], onIt: [0.1, 0.1, 0.1] },
  ],
} as never
const depthOf = (key: string) => ['worm', 'nymph', 'mayfly', 'dun', 'spinner'].indexOf(key)
const itself = (id: string) => id

describe('stackOf', () => {
  it('sums to one at each moment, each area on the one below it', () => {
    const areas = stackOf(row, { keyOf: itself, depthOf, most: 2 })
    for (const i of [0, 1, 2]) {
      expect(areas[0]!.from[i]).toBe(0)
      expect(areas.at(-1)!.to[i]).toBeCloseTo(1, 9)
      areas.slice(1).forEach((area, n) => expect(area.from[i]).toBeCloseTo(areas[n]!.to[i]!, 9))
    }
    expect(areas.map(({ key }) => key)).toEqual(['whatever', 'nymph', 'dun', 'others'])
    expect(areas.at(-1)!.shares[2]).toBeCloseTo(0.4, 9)
  })

  it('puts stages of one food together where it is asked to', () => {
    const keyOf = (id: string) => (id === 'dun' || id === 'spinner' ? 'mayfly' : id)
    const areas = stackOf(row, { keyOf, depthOf, most: 5 })
    expect(areas.map(({ key }) => key)).toEqual(['whatever', 'worm', 'nymph', 'mayfly', 'others'])
    expect(areas[3]!.shares[1]).toBeCloseTo(0.6, 9)
  })
})

describe('placeNames', () => {
  it('places each name in its own area and none over another', () => {
    const areas = stackOf(row, { keyOf: itself, depthOf, most: 4 }).map((area) => ({ ...area, names: [`a ${area.key} of length`] })) // prettier-ignore
    const names = placeNames(areas, () => 0.1)
    expect(names.length).toBeGreaterThan(2)
    for (const { key, middle } of names) {
      const area = areas.find((one) => one.key === key)!
      const stands = area.from.some((from, i) => middle >= from && middle <= (area.to[i] ?? 0))
      expect(stands, key).toBe(true)
    }
    names.forEach((one, i) =>
      names.slice(i + 1).forEach((other) => {
        expect(Math.abs(one.at - other.at) > 0.1 || Math.abs(one.middle - other.middle) > 0.085).toBe(true)
      }),
    )
  })

  it('shortens a name by words where the whole has no room', () => {
    const areas = stackOf(row, { keyOf: itself, depthOf, most: 4 }).map((area) => ({ ...area, names: [`the long name of ${area.key}`, area.key] })) // prettier-ignore
    const placed = placeNames(areas, (name) => name.length / 12)
    expect(placed.length).toBeGreaterThan(1)
    for (const { key, name, at } of placed) {
      expect(name).toBe(key)
      expect(at - name.length / 24).toBeGreaterThanOrEqual(-1e-9)
      expect(at + name.length / 24).toBeLessThanOrEqual(1 + 1e-9)
    }
  })

  it('leaves out what is too thin for a name', () => {
    const [area] = stackOf({ whatever: [0.02, 0.03], stages: [] } as never, { keyOf: itself, depthOf, most: 1 })
    expect(placeNames([{ ...area!, names: ['thin'] }], () => 0.1)).toEqual([])
  })
})
