// @vitest-environment jsdom
import { act, fireEvent, screen } from '@testing-library/react'
import { createRef } from 'react'
import { describe, expect, it } from 'vitest'
import { depthAtTime, USUAL_LEADER } from '../../../core/index.ts'
import type { Conditions } from '../../../core/index.ts'
import { useMaterialBook } from '../../recipe/useMaterialBook.ts'
import { asked } from '../../testing/asked.ts'
import { onTheDemo, show, until, callHook } from '../../testing/onThePage.tsx'
import { tankCsv } from './exportTank.ts'
import { TankLanes } from './TankLanes.tsx'
import { downwards, placeOf, putInTank, secondsApart } from './tankFlies.ts'
import type { InTank } from './tankFlies.ts'

onTheDemo()

const NONE: readonly never[] = []
const conditions: Conditions = {
  waterTempC: 10, tippet: USUAL_LEADER, wet: 'soaked', filmTreatment: 'none',
} // prettier-ignore
const water = { conditions, depthMm: 2000 }

async function inTank(name: string, label: string, inWater = water): Promise<InTank> {
  const pattern = await asked.pattern(name)
  const { result } = callHook(() => useMaterialBook(NONE), undefined)
  const book = await until(() => result.current)
  const id = pattern.variants.find((one) => one.label === label)!.id
  const fly = putInTank(id, [pattern], book, undefined, inWater)
  if (!fly) throw new Error('no fly')
  return fly
}

describe('a fly in the tank', () => {
  it('falls to the bottom of it, as fast as it is reckoned to, with a band about that', async () => {
    const fly = await inTank('Third Button', '#16 W 2.8')
    expect(fly.name).toBe('Third Button #16 W 2.8')
    expect(fly.descent!.points.at(-1)!.depthMm).toBeCloseTo(2000, 3)
    expect(fly.spread!.low).toBeLessThan(1)
    expect(fly.spread!.high).toBeGreaterThan(1)
    const heavier = await inTank('Third Button', '#14 W 3.3')
    expect(heavier.descent!.points.at(-1)!.timeS).toBeLessThan(fly.descent!.points.at(-1)!.timeS)
    const free = await inTank('Third Button', '#16 W 2.8', {
      ...water,
      conditions: { ...conditions, tippet: null },
    })
    expect(free.descent!.points.at(-1)!.timeS).toBeLessThan(fly.descent!.points.at(-1)!.timeS)
  })

  it('does not fall where it floats, and is none where nobody knows it', async () => {
    const dry = await inTank('Kettle Lid', '#14 olive', { ...water, conditions: { ...conditions, wet: 'dry', filmTreatment: 'floatant' } }) // prettier-ignore
    expect(dry.descent).toBeNull()
    expect(placeOf(dry, 3, null)).toEqual({ depthMm: 0, driftMm: 0 })
    expect(putInTank('nobody', [], { materials: new Map() } as never, undefined, water)).toBeNull()
  })

  it('comes up from the bed where it is lighter than water, by its weight upside down', async () => {
    const free = { ...water, conditions: { ...conditions, tippet: null, wet: 'fresh' as const } }
    const riser = await inTank('Ditch Digger', '#8 olive', free)
    if (riser.report.kind !== 'floats' || !riser.report.rise) throw new Error('it should rise')
    expect(placeOf(riser, 0, null).depthMm).toBe(2000)
    expect(placeOf(riser, 1000, null).depthMm).toBeCloseTo(0, 3)
    const gone = placeOf(riser, 5, null).depthMm - placeOf(riser, 6, null).depthMm
    expect(gone / riser.report.rise.free.sinkSpeedMmPerS.value).toBeCloseTo(1, 2)
    expect(downwards(riser)).toBeNull()
  })

  it('is where its fall has it, drifts with the current, and stays where it has landed', async () => {
    const fly = await inTank('Third Button', '#16 W 2.8')
    const current = { depthMm: 2000, surfaceMmPerS: 600, roughnessMm: 40 }
    const last = fly.descent!.points.at(-1)!.timeS
    expect(placeOf(fly, 1, null)).toEqual({ depthMm: depthAtTime(fly.descent!, 1), driftMm: 0 })
    const one = placeOf(fly, 1, current).driftMm
    expect(one).toBeGreaterThan(400)
    expect(one).toBeLessThanOrEqual(600)
    expect(placeOf(fly, last + 100, current)).toEqual(placeOf(fly, last, current))
  })

  it('is marked every second, or as often as there is room', () => {
    const fall = (mmPerS: number, s: number) => ({ points: [{ timeS: s, depthMm: mmPerS * s }] }) as never
    expect(secondsApart(fall(200, 10), 0.1)).toBe(1)
    expect(secondsApart(fall(100, 20), 0.1)).toBe(2)
    expect(secondsApart(fall(30, 60), 0.1)).toBe(5)
    expect(secondsApart(fall(1, 600), 0.1)).toBe(60)
    expect(secondsApart({ points: [] } as never, 0.1)).toBe(60)
  })
})

describe('the table of the tank', () => {
  it('has depths every quarter of a second with their band, empty once a fly has landed', async () => {
    const slow = await inTank('Third Button', '#16 B 2.8')
    const fast = await inTank('Third Button', '#14 W 3.3')
    const rows = tankCsv([slow, fast]).trim().split(/\r?\n/).map((row) => row.split(',')) // prettier-ignore
    expect(rows[0]).toEqual(['seconds', 'Third Button #16 B 2.8 mm', 'Third Button #16 B 2.8 low mm', 'Third Button #16 B 2.8 high mm', 'Third Button #14 W 3.3 mm', 'Third Button #14 W 3.3 low mm', 'Third Button #14 W 3.3 high mm']) // prettier-ignore
    const at = rows.find(([seconds]) => seconds === '1.00')!.map(Number)
    expect(at[1]).toBe(Math.round(depthAtTime(slow.descent!, 1)))
    expect(at[2]).toBeLessThan(at[1]!)
    expect(at[3]).toBeGreaterThan(at[1]!)
    const landed = slow.descent!.points.at(-1)!.timeS
    expect(Number(rows.at(-1)![0])).toBeCloseTo(Math.ceil(landed / 0.25) * 0.25, 6)
    expect(rows.at(-2)!.slice(4)).toEqual(['', '', ''])
    expect(rows.at(-2)![1]).not.toBe('')
  })

  it('has no column for what does not fall', async () => {
    const dry = await inTank('Kettle Lid', '#14 olive', { ...water, conditions: { ...conditions, wet: 'dry', filmTreatment: 'floatant' } }) // prettier-ignore
    expect(tankCsv([dry]).trim().split(/\r?\n/)).toEqual(['seconds', '0.00'])
  })
})

describe('the clock of the tank', () => {
  const shown = () => screen.getByRole('status').textContent
  const depthOf = () => Number(/translate\(\S+ (\S+)\)/.exec(document.querySelector('g[transform^="translate"]')!.getAttribute('transform')!)![1]) // prettier-ignore

  async function lanes() {
    const fly = await inTank('Third Button', '#16 W 2.8')
    show(<TankLanes flies={[fly]} depthMm={2000} foods={[]} current={null} svgRef={createRef()} />)
    return fly
  }

  it('goes on and back a tenth of a second, no further back than the start', async () => {
    const fly = await lanes()
    fireEvent.click(screen.getByLabelText('A tenth of a second on'))
    fireEvent.click(screen.getByLabelText('A tenth of a second on'))
    expect(shown()).toBe('0.2 s')
    expect(depthOf()).toBeCloseTo((depthAtTime(fly.descent!, 0.2) * 296) / 2000, 3)
    for (let n = 0; n < 4; n += 1) fireEvent.click(screen.getByLabelText('A tenth of a second back'))
    expect(shown()).toMatch(/^0(\.0)? s$/)
  })

  it('goes to where the slider is put, no further than the last fly’s landing', async () => {
    const fly = await lanes()
    const slider = screen.getByLabelText<HTMLInputElement>('Second of the fall')
    fireEvent.input(slider, { target: { value: '1.5' } })
    expect(shown()).toBe('1.5 s')
    expect(Number(slider.max)).toBeCloseTo(fly.descent!.points.at(-1)!.timeS, 6)
  })

  it('runs in true time and stops by itself at the end, to begin again', async () => {
    let frame: ((now: number) => void) | null = null
    const { requestAnimationFrame: ask, cancelAnimationFrame: cancel } = window
    window.requestAnimationFrame = (next) => ((frame = next), 1)
    window.cancelAnimationFrame = () => (frame = null)
    const fly = await lanes()
    const last = fly.descent!.points.at(-1)!.timeS
    const tick = (now: number) =>
      act(() => {
        const due = frame
        frame = null
        due?.(now)
      })
    fireEvent.click(screen.getByText('Let them fall'))
    tick(1000)
    tick(2000)
    expect(shown()).toBe('1.0 s')
    fireEvent.click(screen.getByText('Pause'))
    expect(screen.queryByText('Pause')).toBeNull()
    fireEvent.click(screen.getByText('Let them fall'))
    tick(5000)
    tick(5000 + 1000 * last)
    await until(() => screen.queryByText('Let them fall'))
    fireEvent.click(screen.getByText('Let them fall'))
    expect(shown()).toMatch(/^0(\.0)? s$/)
    Object.assign(window, { requestAnimationFrame: ask, cancelAnimationFrame: cancel })
  })
})
