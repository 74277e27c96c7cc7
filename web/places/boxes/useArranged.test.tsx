// @vitest-environment jsdom
import { describe, expect, it } from 'vitest'
import type { Layout } from '../../../core/index.ts'
import { asked } from '../../testing/asked.ts'
import { onTheDemo, until, callHook } from '../../testing/onThePage.tsx'
import { useArranged } from './useArranged.ts'

onTheDemo()

async function arranged(layout: Layout) {
  const { result } = callHook(() => useArranged(layout), undefined)
  const found = await until(() => result.current)
  const places = found.places.map(({ code, flyKeys }) => ({
    code,
    flies: flyKeys.map((key) => found.flies.get(key)!),
  }))
  return { ...found, places }
}

describe('useArranged on the demo', () => {
  it('gives each fly that is on hand or has a place one compartment, and no other', async () => {
    const { places } = await arranged('foodAndStage')
    const { variants } = await asked.plan()
    const own = variants.filter(({ onHand, place }) => onHand > 0 || place !== null)
    const put = places.flatMap(({ flies }) => flies.map(({ variantId }) => variantId))
    expect(put.toSorted()).toEqual(own.map(({ variantId }) => variantId).toSorted())
    expect(variants.length).toBeGreaterThanOrEqual(own.length)
  })

  it('arranges by depth: what floats apart, what sinks by how fast', async () => {
    const { places } = await arranged('depthAndWeight')
    const speeds = (wanted: string) =>
      places
        .filter(({ code }) => code === wanted)
        .flatMap(({ flies }) => flies.map(({ figure }) => figure.trailingSpeedMmPerS ?? -1))
    for (const { code, flies } of places)
      for (const { figure } of flies) expect(code === 'floats').toBe(figure.kind === 'floats')
    expect(speeds('slow').length + speeds('middling').length).toBeGreaterThan(0)
    for (const speed of speeds('slow')) expect(speed).toBeLessThan(60)
    for (const speed of speeds('anchor')) expect(speed).toBeGreaterThanOrEqual(300)
  })

  it('arranges by season what is about in part of the year only', async () => {
    const { places } = await arranged('season')
    const codes = places.map(({ code }) => code)
    expect(codes).toContain('spring')
    const lantern = places.find(({ flies }) => flies.some(({ name }) => name.startsWith('Paper Lantern')))!
    expect(['spring', 'summer']).toContain(lantern.code)
  })

  it('tells food by what a fly serves best', async () => {
    const { places } = await arranged('foodAndStage')
    const codeOf = (name: string) =>
      places.find(({ flies }) => flies.some((fly) => fly.name.startsWith(name)))!.code
    expect(codeOf('Third Button')).toMatch(/nymph/i)
    expect(codeOf('Third Button')).toBe(codeOf('Wet Slate'))
    expect(codeOf('Third Button')).not.toBe(codeOf('Kettle Lid'))
  })

  it('waits for a layout', () => {
    expect(callHook(() => useArranged(null), undefined).result.current).toBeNull()
  })
})
