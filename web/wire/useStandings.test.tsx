// @vitest-environment jsdom
import { describe, expect, it } from 'vitest'
import { asked } from '../testing/asked.ts'
import { callHook, onTheDemo, until } from '../testing/onThePage.tsx'
import { write } from '../testing/write.ts'
import { useStandings } from './useStandings.ts'

onTheDemo()

const countOf = (standing: string, stages: readonly { readonly standing: string }[]) =>
  stages.filter((stage) => stage.standing === standing).length

describe('how foods stand', () => {
  it('is asked at once by the page about it, and its holes come first and are counted', async () => {
    const { result } = callHook(() => useStandings(true), undefined)
    const { stages, holes, thin } = await until(() => result.current)
    expect(stages.length).toBeGreaterThan(3)
    expect([holes, thin]).toEqual([countOf('hole', stages), countOf('thin', stages)])
    const order = stages.map(({ standing }) => standing)
    expect(order.lastIndexOf('hole')).toBeLessThan(
      order.indexOf('covered') === -1 ? Infinity : order.indexOf('covered'),
    )
  })

  it('is known to whoever asks later, and asked anew after a write', async () => {
    const first = callHook(() => useStandings(), undefined)
    const before = await until(() => first.result.current)
    expect(callHook(() => useStandings(), undefined).result.current).toBe(before)
    const covered = before.stages.find(({ best, flies }) => best && flies > 0)!
    const places = (await asked.boxes()).boxes.flatMap(({ compartments }) => compartments)
    const place = places.find(({ flies }) =>
      flies.some(({ variantId, count }) => variantId === covered.best!.variantId && count > 0),
    )!
    const fly = place.flies.find(({ variantId }) => variantId === covered.best!.variantId)!
    await write('fliesCount', { compartmentId: place.id, variantId: fly.variantId, counted: 0, anyway: true })
    await asked.frame()
    const after = await until(() => first.result.current !== before && first.result.current)
    expect(after.stages.find(({ foodStageId }) => foodStageId === covered.foodStageId)!.flies).toBeLessThan(
      covered.flies,
    )
  })
})
