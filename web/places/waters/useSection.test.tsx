// @vitest-environment jsdom
import { act } from '@testing-library/react'
import { afterEach, describe, expect, it } from 'vitest'
import { ColumnContext } from '../../column/marks.ts'
import type { ColumnContent, WaterSection } from '../../column/marks.ts'
import { asked } from '../../testing/asked.ts'
import { onTheDemo, until, callHook } from '../../testing/onThePage.tsx'
import { useWatersQuery } from '../../wire/answers.ts'
import { chooseMoment } from '../../wire/state.ts'
import { store } from '../../wire/store.ts'
import { useSection } from './useSection.ts'

onTheDemo()
afterEach(() => {
  store.dispatch(chooseMoment(null))
})

async function sectionOf(name: string, on = '2026-07-20') {
  const { reaches } = await asked.frame()
  const reach = reaches.find(({ reachName }) => reachName === name)!
  store.dispatch(chooseMoment({ reachId: reach.reachId, on, localMin: 720 }))
  let content: ColumnContent | null = null
  const hang = (next: ColumnContent) => void (content = next)
  callHook(() => useSection(useWatersQuery().data), undefined, {
    around: (piece) => <ColumnContext value={hang}>{piece}</ColumnContext>,
  })
  const now = (): WaterSection | null => content?.section ?? null
  await until(now)
  return { reach, now: () => now()! }
}
const reachNow = async (name: string) =>
  (await asked.waters()).waters.flatMap(({ reaches }) => reaches).find(({ reach }) => reach.name === name)!
    .reach

describe('useSection', () => {
  it('shows a river’s speed from the surface down to the bed, ever slower', async () => {
    const { now, reach } = await sectionOf('Bridge Reach')
    const { title, layers, ice, thermocline } = now()
    expect(title).toBe('speed')
    expect(ice).toBe(false)
    expect(thermocline).toBeNull()
    expect(layers.map(({ depthMm }) => depthMm / reach.typicalDepthMm)).toEqual([0.02, 0.25, 0.5, 0.75, 1])
    const shares = layers.map(({ speedShare }) => speedShare)
    expect(shares).toEqual(shares.toSorted((a, b) => b - a))
    expect(shares[0]).toBeGreaterThan(0.95)
    expect(shares.at(-1)).toBe(0)
    expect(layers[2]!.words).toMatch(/^0\.\d+ m\/s$/)
  })

  it('shows a lake’s warmth, colder below its thermocline', async () => {
    const { now } = await sectionOf('Drop-off')
    const { title, layers, thermocline } = now()
    expect(title).toBe('warmth')
    expect(layers.every(({ speedShare }) => speedShare === 0)).toBe(true)
    expect(thermocline?.depthMm).toBe(5500)
    const [surface, bed] = [layers[0]!.words, layers.at(-1)!.words].map(parseFloat)
    expect(bed).toBeLessThan(surface! - 2)
  })

  it('lets the thermocline be dragged in halves of a decimetre, within the water, and keeps it where it is dropped', async () => {
    const { now } = await sectionOf('Drop-off')
    act(() => now().thermocline!.onMove(3333))
    expect(now().thermocline!.depthMm).toBe(3350)
    act(() => now().thermocline!.onMove(10))
    expect(now().thermocline!.depthMm).toBe(500)
    act(() => now().thermocline!.onMove(99_999))
    expect(now().thermocline!.depthMm).toBe(5500)
    act(() => now().thermocline!.onMove(4000))
    expect(now().thermocline!.words).toMatch(/^thermocline 4\.0 m/)
    expect((await reachNow('Drop-off')).thermoclineMm).toBe(5500)
    act(() => now().thermocline!.onDrop())
    await until(async () => (await reachNow('Drop-off')).thermoclineMm === 4000)
  })
})
