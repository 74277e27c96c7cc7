// @vitest-environment jsdom
import { act } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { asked } from '../../testing/asked.ts'
import { callHook, onTheDemo, until } from '../../testing/onThePage.tsx'
import { choosing, nameOf, usePlaceDrop } from './usePlaceDrop.ts'
import type { Dropped } from './usePlaceDrop.ts'

onTheDemo()

const placesNow = async () => (await asked.boxes()).boxes.flatMap(({ compartments }) => compartments)
type Place = Awaited<ReturnType<typeof placesNow>>[number]
const countAt = async (place: Place, variantId: string) =>
  (await placesNow()).find(({ id }) => id === place.id)!.flies.find((fly) => fly.variantId === variantId)
    ?.count ?? 0

/** Flies of a place as they are carried. */
function carried(place: Place, keys: 'all' | ReadonlySet<string>): readonly Dropped[] {
  let chosen: readonly Dropped[] = []
  choosing(place, [], (now) => (chosen = now)).onSelectionChange(keys as never)
  return chosen
}
/** A place with several flies of one sort, and another with room for them. */
async function fromAndTo(sorts: number) {
  const places = await placesNow()
  const from = places.find(({ flies }) => flies.filter(({ count }) => count > 1).length >= sorts)!
  const to =
    places.find(({ id, capacity }) => id !== from.id && capacity === null) ??
    places.find(
      ({ id, flies, capacity }) =>
        id !== from.id && (capacity ?? 0) - flies.reduce((sum, { count }) => sum + count, 0) > 20,
    )!
  return { from, to }
}

describe('flies that are chosen in a compartment', () => {
  it('are those that lie there, with all of their count', async () => {
    const { from } = await fromAndTo(1)
    const there = from.flies.filter(({ count }) => count > 0)
    expect(carried(from, 'all')).toEqual(
      there.map((fly) => ({
        fromCompartmentId: from.id, variantId: fly.variantId, count: fly.count, name: `${fly.patternName} ${fly.label}`,
      })), // prettier-ignore
    )
    const [first] = there
    expect(carried(from, new Set([first!.variantId])).map(({ name }) => name)).toEqual([nameOf(first!)])
    expect(carried(from, new Set())).toEqual([])
  })

  it('are shown as chosen in their own compartment alone', async () => {
    const { from, to } = await fromAndTo(1)
    const chosen = carried(from, 'all')
    expect(choosing(from, chosen, () => undefined).selectedKeys).toEqual(
      chosen.map(({ variantId }) => variantId),
    )
    expect(choosing(to, chosen, () => undefined).selectedKeys).toEqual([])
  })
})

describe('flies that are dropped on a compartment', () => {
  it('are asked for by number where one sort lies there more than once, and go as many as are said', async () => {
    const { from, to } = await fromAndTo(1)
    const fly = carried(from, 'all').find(({ count }) => count > 1)!
    const [there, here] = [await countAt(from, fly.variantId), await countAt(to, fly.variantId)]
    let chosen: readonly Dropped[] = [fly]
    const { result } = callHook(() => usePlaceDrop(to, (now) => (chosen = now)), undefined)
    act(() => result.current.take([fly]))
    expect(result.current.dropped).toEqual(fly)
    act(() => result.current.leave())
    expect(result.current.dropped).toBeNull()
    act(() => result.current.take([fly]))
    act(() => result.current.move(fly, 1))
    expect(result.current.dropped).toBeNull()
    expect(chosen).toEqual([])
    await until(async () => (await countAt(to, fly.variantId)) === here + 1)
    expect(await countAt(from, fly.variantId)).toBe(there - 1)
  })

  it('go all where several were chosen, in one write', async () => {
    const { from, to } = await fromAndTo(2)
    const flies = carried(from, 'all').slice(0, 2)
    const before = await Promise.all(flies.map(({ variantId }) => countAt(to, variantId)))
    const last = (await asked.actions()).actions[0]!.actionId
    const { result } = callHook(() => usePlaceDrop(to, () => undefined), undefined)
    act(() => result.current.take(flies))
    expect(result.current.dropped).toBeNull()
    await until(async () => (await countAt(to, flies[0]!.variantId)) === before[0]! + flies[0]!.count)
    expect(await countAt(to, flies[1]!.variantId)).toBe(before[1]! + flies[1]!.count)
    expect(await countAt(from, flies[1]!.variantId)).toBe(0)
    expect((await asked.actions()).actions[1]!.actionId).toBe(last)
  })

  it('stay where they are dropped on their own compartment, or where there are none', async () => {
    const { from } = await fromAndTo(1)
    const last = (await asked.actions()).actions[0]!.actionId
    const { result } = callHook(() => usePlaceDrop(from, () => undefined), undefined)
    act(() => {
      result.current.take(carried(from, 'all'))
      result.current.take([])
    })
    expect(result.current.dropped).toBeNull()
    expect((await asked.actions()).actions[0]!.actionId).toBe(last)
  })
})
