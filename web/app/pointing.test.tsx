// @vitest-environment jsdom
import { screen } from '@testing-library/react'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import Boxes from '../places/boxes/Boxes.tsx'
import Larder from '../places/larder/Larder.tsx'
import Patterns from '../places/patterns/Patterns.tsx'
import { Tonight } from '../places/tonight/Tonight.tsx'
import { asked } from '../testing/asked.ts'
import { drawnFor } from '../testing/drawn.ts'
import { onTheDemo, show, until } from '../testing/onThePage.tsx'
import { light } from '../wire/state.ts'
import { store } from '../wire/store.ts'
import { AppFrame } from './AppFrame.tsx'

onTheDemo()

// jsdom lays nothing out: a list shows what its sheet has room for, the Column what has room in its water
const SIZES = { clientWidth: 250, clientHeight: 500, offsetWidth: 900, offsetHeight: 500 } as const
beforeEach(() => {
  for (const [side, px] of Object.entries(SIZES))
    vi.spyOn(HTMLElement.prototype, side as keyof typeof SIZES, 'get').mockReturnValue(px)
})
afterEach(() => vi.restoreAllMocks())

const pointAt = (id: string | null) => drawnFor(() => void store.dispatch(light(id)))
const lit = () => document.querySelectorAll('[data-lit="true"]').length

describe('pointing at something draws nothing anew but what lights up or goes out', () => {
  it('in the frame, which stays as it is', async () => {
    show(<AppFrame />)
    const marks = await until(() => {
      const found = document.querySelectorAll<HTMLElement>('[data-mark="foods"]:not(.group)')
      return found.length > 1 && found
    })
    const counts = drawnFor(() => marks[0]!.focus())
    expect(marks[0]!.dataset['lit']).toBe('true')
    expect(counts.get('MarkButton')).toBe(1)
    for (const still of ['AppFrame', 'Roll', 'Tray', 'Column', 'Lane']) expect(counts.has(still)).toBe(false)
  })

  it('among the boxes: the compartments that hold the fly', async () => {
    const { boxes } = await asked.boxes()
    const places = boxes.flatMap(({ compartments }) => compartments)
    const fly = places.find(({ flies }) => flies.length > 0)!.flies[0]!
    const holding = places.filter(({ flies }) => flies.some(({ variantId }) => variantId === fly.variantId))
    show(<Boxes />)
    // each of its compartments answers to a hand
    await until(() => document.querySelectorAll('[role="grid"]').length === places.length)
    const counts = pointAt(fly.variantId)
    expect(lit()).toBe(holding.length)
    expect(counts.get('PlaceFrame')).toBe(holding.length)
    for (const still of ['Place', 'SlitRows', 'FlyInSlits']) expect(counts.has(still)).toBe(false)
    expect(pointAt(null).get('PlaceFrame')).toBe(holding.length)
    expect(lit()).toBe(0)
  })

  it('in a list of patterns: the rows of the one', async () => {
    const { patterns } = await asked.patterns()
    const [one] = patterns[0]!.variants
    show(
      <main id="sheet">
        <Patterns />
      </main>,
    )
    await until(() => document.querySelector('tr.variant'))
    expect(pointAt(one!.id).get('Variants')).toBe(1)
    expect(lit()).toBe(1)
  })

  it('in the larder and of tonight: one row each', async () => {
    const { unmount } = show(<Larder />)
    await until(() => document.querySelector('tr .share'))
    const { stages } = await asked.larder()
    const names = new Map(stages.map(({ id, foodName, stageName }) => [`${foodName}, ${stageName}`, id]))
    const first = await until(() => names.get(document.querySelector('button.name')?.textContent ?? ''))
    expect(pointAt(first).get('StageRow')).toBe(1)
    expect(lit()).toBe(1)
    pointAt(null)
    unmount()
    show(<Tonight />)
    const { lines } = await asked.tonight()
    const line = lines.find(({ variantId }) => variantId)!
    const about = lines.filter((other) => (other.variantId ?? other.foodStageId) === line.variantId)
    await until(() => screen.queryByText(line.text))
    expect(pointAt(line.variantId).get('Sentence')).toBe(about.length)
  })
})
