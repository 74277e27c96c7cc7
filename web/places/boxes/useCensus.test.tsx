// @vitest-environment jsdom
import { act } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { useState } from 'react'
import type { BoxLine } from '../../../contract/index.ts'
import { ColumnContext } from '../../column/marks.ts'
import type { ColumnContent } from '../../column/marks.ts'
import { onTheDemo, until, callHook } from '../../testing/onThePage.tsx'
import { useBoxesQuery } from '../../wire/answers.ts'
import { bandsOf, markOf, nextBand } from './census.ts'
import { useCensus } from './useCensus.ts'

type Place = BoxLine['compartments'][number]
const fly = (variantId: string, count: number, par: number | null) => ({ variantId, count, par, depthMm: null })
const place = (...flies: object[]) => ({ id: 'leaf', label: 'Leaf', flies }) as unknown as Place
const at = (depths: Record<string, number>) => (one: { variantId: string }) => depths[one.variantId] ?? null

describe('a compartment in the Column', () => {
  it('reaches from its shallowest to its deepest fly, and says how many lie there', () => {
    const leaf = place(fly('a', 2, null), fly('b', 3, 3), fly('c', 4, null))
    expect(markOf(leaf, leaf.flies, at({ a: 40, b: 600 }))).toEqual([
      {
        id: 'place:leaf', names: ['Leaf'], depthMm: 40, fromMm: 40, toMm: 600, weight: 0, softWeight: 0, words: '9 flies',
        look: 'fly', drawingKey: null, rank: 0, to: '/boxes?place=leaf',
      },
    ]) // prettier-ignore
  })

  it('is named the sooner the more of what is kept is missing, and is an empty outline where nothing lies', () => {
    const leaf = place(fly('a', 1, 4), fly('b', 2, 2))
    expect(markOf(leaf, leaf.flies, at({ a: 10 }))[0]).toMatchObject({
      look: 'fly',
      words: '3, 3 short',
      rank: 0.5,
    })
    const empty = place(fly('a', 0, 3))
    expect(markOf(empty, empty.flies, at({ a: 10 }))[0]).toMatchObject({
      look: 'out',
      words: '0, 3 short',
      rank: 1,
    })
    const one = place(fly('a', 1, 1))
    expect(markOf(one, one.flies, at({ a: 10 }))[0]).toMatchObject({ look: 'fly', words: '1 fly' })
  })

  it('does not hang where nobody knows how deep its flies fish', () => {
    const leaf = place(fly('a', 2, null))
    expect(markOf(leaf, leaf.flies, at({}))).toEqual([])
  })
})

describe('bands of depth', () => {
  it('are the film and four even ones down to the bed', () => {
    const bands = bandsOf(1000)
    expect(bands).toHaveLength(5)
    expect(bands[0]!.toMm).toBe(bands[1]!.fromMm)
    expect(bands.at(-1)!.toMm).toBeCloseTo(1000, 9)
    const heights = bands.slice(1).map(({ fromMm, toMm }) => toMm - fromMm)
    for (const height of heights) expect(height).toBeCloseTo(heights[0]!, 9)
  })

  it('are stepped through from the film down, from the bed up, and past either end is the whole depth', () => {
    const bands = bandsOf(800)
    expect(nextBand(null, 1, 800)).toEqual(bands[0])
    expect(nextBand(null, -1, 800)).toEqual(bands[4])
    expect(nextBand(bands[0]!, 1, 800)).toEqual(bands[1])
    expect(nextBand(bands[3]!, -1, 800)).toEqual(bands[2])
    expect(nextBand(bands[4]!, 1, 800)).toBeNull()
    expect(nextBand(bands[0]!, -1, 800)).toBeNull()
  })
})

describe('useCensus on the demo', () => {
  onTheDemo()

  function census(hangs = true) {
    let content: ColumnContent | null = null
    const { result } = callHook(() => {
      const { data } = useBoxesQuery()
      return { ...useCensus(data?.boxes, hangs), boxes: data?.boxes }
    }, undefined, { around: (piece) => <Hung on={(next) => (content = next)}>{piece}</Hung> }) // prettier-ignore
    return { result, column: () => content }
  }
  function Hung({ on, children }: { on: (content: ColumnContent) => void; children: React.ReactNode }) {
    const [hang] = useState(() => on)
    return <ColumnContext value={hang}>{children}</ColumnContext>
  }
  const total = (boxes: readonly BoxLine[], isIn: (one: Place['flies'][number]) => boolean) =>
    boxes
      .flatMap(({ compartments }) => compartments.flatMap(({ flies }) => flies))
      .reduce((sum, one) => sum + (isIn(one) ? one.count : 0), 0)

  it('hangs every compartment with flies whose depth is known, all depths bright until some are chosen', async () => {
    const { result, column } = census()
    const flies = await until(() => (column()?.flies?.length ? column()?.flies : null))
    const known = result.current.boxes!.flatMap(({ compartments }) =>
      compartments.filter((one) => one.flies.some(({ depthMm }) => depthMm !== null)),
    )
    expect(flies.length).toBeGreaterThan(20)
    expect(flies.length).toBeGreaterThanOrEqual(known.length)
    expect(result.current.words).toBeNull()
    expect(result.current.isChosen).toBe(false)
    expect(column()?.span?.words(0)).toBe('film')
    expect(column()?.span?.words(500)).toMatch(/0\.5 m/)
  })

  it('counts the flies of the depths that are chosen, and lets go of them', async () => {
    const { result, column } = census()
    await until(() => column()?.span && result.current.boxes)
    act(() => result.current.actions.find(({ key }) => key === 'Shift+ArrowDown')?.go())
    const words = await until(() => result.current.words)
    const inFilm = total(result.current.boxes!, result.current.isIn)
    expect(words).toContain(`the film`)
    expect(words).toContain(` fish ${inFilm} of your flies`)
    expect(inFilm).toBeGreaterThan(0)
    expect(inFilm).toBeLessThan(total(result.current.boxes!, () => true))
    act(() => column()?.span?.onChange({ fromMm: -100, toMm: 5000 }))
    expect(total(result.current.boxes!, result.current.isIn)).toBeGreaterThan(inFilm)
    act(() => result.current.letGo())
    expect(result.current.isChosen).toBe(false)
    act(() => result.current.actions.find(({ key }) => key === 'Shift+ArrowUp')?.go())
    expect(result.current.isChosen).toBe(true)
    expect(result.current.words).not.toContain('the film')
  })

  it('has neither keys nor marks while another view of the boxes is open', async () => {
    const { result, column } = census(false)
    await until(() => result.current.boxes)
    expect(result.current.actions).toEqual([])
    expect(column()?.flies).toBeNull()
  })
})
