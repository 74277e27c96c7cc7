// @vitest-environment jsdom
import { act, screen } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { asked } from '../../testing/asked.ts'
import { onTheDemo, until, callHook, show } from '../../testing/onThePage.tsx'
import { breakWorkers, WorkerHere } from '../../testing/workerHere.ts'
import { usePlanned } from '../../wire/planned.ts'
import { store } from '../../wire/store.ts'
import Ahead from './Ahead.tsx'
import { planIcs } from './exportPlan.ts'
import { useNewcomers } from './useNewcomers.ts'
import { usePlan } from './usePlan.ts'
import { useQueue } from './useQueue.ts'

onTheDemo()

describe('usePlanned', () => {
  it('puts each variant together with its pattern, its place and its drawers', async () => {
    const { result } = callHook(() => usePlanned(), undefined)
    const { variants } = await until(() => result.current)
    const sent = await asked.plan()
    expect(variants).toHaveLength(sent.variants.length)
    variants.forEach((variant, i) => {
      const { pattern, place, bill, setup, label } = sent.variants[i]!
      expect(variant.name).toBe(`${sent.patterns[pattern]!.name} ${label}`)
      expect(variant.minutesEach).toBe(sent.patterns[pattern]!.minutesEach)
      expect(variant.compartmentLabel).toBe(place === null ? '' : sent.places[place]!.label)
      expect(variant.bill[0]).toEqual(bill[0] && { materialId: sent.drawers[bill[0][0]]!.materialId, perFly: bill[0][1] })
      expect(variant.setup.thread).toBe(setup.thread === null ? '' : sent.drawers[setup.thread]!.materialId)
    })
  }) // prettier-ignore
})

describe('a plan for the demo', () => {
  it('is there at once, then improved, and tied before its outings on evenings that there are', async () => {
    const { result } = callHook(() => usePlan(), undefined)
    const first = await until(() => result.current.ahead)
    expect(first.isDone).toBe(false)
    const plan = await until(() => (result.current.ahead?.isDone ? result.current.ahead : null), 60_000)
    const { outings, places } = await asked.plan()
    expect(plan.periods.map(({ outingId }) => outingId)).toEqual(outings.map(({ outingId }) => outingId))
    for (const [
      k,
      { batches, evenings, shares, minutes, queuedMinutes, before, after },
    ] of plan.periods.entries()) {
      // what waits at the bench takes the first evenings
      expect(minutes + queuedMinutes).toBeCloseTo(
        evenings.reduce((sum, evening) => sum + evening.minutes, 0),
        6,
      )
      expect(after.shown).toBeGreaterThanOrEqual(before.shown - 1e-9)
      expect(after.shown).toBeLessThanOrEqual(after.hours)
      expect(batches.reduce((sum, batch) => sum + batch.minutes, 0)).toBeLessThanOrEqual(minutes + 1e-6)
      for (const { on } of evenings) expect(on < outings[k]!.on).toBe(true)
      for (const { on } of shares) expect(evenings.map((evening) => evening.on)).toContain(on)
      const tied = shares.reduce((sum, { count }) => sum + count, 0)
      expect(tied).toBe(batches.reduce((sum, { count }) => sum + count, 0))
    }
    const all = plan.periods.flatMap(({ batches }) => batches)
    expect(all.length).toBeGreaterThan(0)
    for (const { compartmentId, room } of places) {
      const put = all.filter(({ variant }) => variant.compartmentId === compartmentId)
      if (room !== null) expect(put.reduce((sum, { count }) => sum + count, 0)).toBeLessThanOrEqual(room)
    }
    expect(plan.gap === null || (plan.gap >= 0 && plan.gap < 0.5)).toBe(true)
    expect(store.getState().view.work).toBeNull()

    const calendar = planIcs(plan)
    const days = [...new Set(plan.periods.flatMap(({ shares }) => shares.map(({ on }) => on)))]
    expect(calendar.match(/BEGIN:VEVENT/g)).toHaveLength(days.length)
    for (const on of days) expect(calendar).toContain(`UID:bench-${on}@heavy-thistle`)
  })

  it('stops where the user has seen enough, and stands as it is', async () => {
    const { result } = callHook(() => usePlan(), undefined)
    await until(() => result.current.ahead)
    act(() => result.current.stop())
    await until(() => result.current.ahead?.isDone)
    expect(store.getState().view.work).toBeNull()
  })
})

describe('a plan whose workers do not load', () => {
  it('says so in its place, and is made where it is tried again', async () => {
    breakWorkers()
    show(<Ahead />)
    await until(() => screen.queryByText('The plan could not be worked out.'))
    expect(screen.queryByText('Planning …')).toBeNull()
    Object.assign(globalThis, { Worker: WorkerHere })
    // a worker of before may still run and break, with what was asked of it meanwhile
    await until(() => {
      const again = screen.queryByRole('button', { name: 'Try again' })
      if (again) act(() => again.click())
      return screen.queryAllByRole('heading', { level: 2 }).length > 0
    })
    expect(screen.queryByText('The plan could not be worked out.')).toBeNull()
  })
})

describe('variants that are not made yet', () => {
  it('are told apart from all that are, named like them, and the same however often they are thought of', async () => {
    const think = () => callHook(() => useNewcomers(usePlanned(), 0), undefined)
    const { result, unmount } = think()
    const newcomers = await until(() => (result.current?.length ? result.current : null), 60_000)
    const { variants } = await asked.plan()
    const made = new Set(variants.map(({ variantId }) => variantId))
    expect(new Set(newcomers.map(({ variantId }) => variantId)).size).toBe(newcomers.length)
    for (const { variantId, name, label, onHand, hookMaterialId, figure, tieable, bill } of newcomers) {
      expect(made.has(variantId)).toBe(false)
      expect(name.endsWith(` ${label}`)).toBe(true)
      expect(label).toMatch(/^#\d+/)
      expect(onHand).toBe(0)
      expect(tieable.key).toBe(variantId)
      expect(tieable.bill.map(({ materialKey }) => materialKey)).toEqual(
        bill.map(({ materialId }) => materialId),
      )
      expect(bill.some(({ materialId }) => materialId === hookMaterialId)).toBe(true)
      expect(['sinks', 'floats', 'incomplete', 'doesNotFit']).toContain(figure.kind)
      expect(figure.trailingSpeedMmPerS === null).toBe(figure.kind !== 'sinks')
    }
    const ids = newcomers.map(({ variantId }) => variantId)
    unmount()
    const again = think()
    const second = await until(() => (again.result.current?.length ? again.result.current : null), 60_000)
    expect(second.map(({ variantId }) => variantId)).toEqual(ids)
  })
})

describe('a variant that was just made', () => {
  it('is not thought of any more, although its pattern was not read anew yet', async () => {
    const asks = callHook(() => usePlanned(), undefined)
    const planned = await until(() => asks.result.current)
    const { result, rerender } = callHook((known: typeof planned) => useNewcomers(known, 0), planned)
    const [first, ...others] = await until(() => (result.current?.length ? result.current : null), 60_000)
    const made = { ...planned.variants[0]!, variantId: first!.variantId }
    rerender({ ...planned, variants: [...planned.variants, made] })
    const left = await until(() => result.current)
    expect(left.map(({ variantId }) => variantId)).toEqual(others.map(({ variantId }) => variantId))
  })
})

describe('useQueue', () => {
  it('puts batches in the bench’s queue, those without a place into the tray', async () => {
    const { result } = callHook(() => ({ planned: usePlanned(), queue: useQueue('none') }), undefined)
    const planned = await until(() => result.current.planned)
    const tray = callHook(() => useQueue(planned.trayId), undefined)
    const [here] = planned.variants.filter(({ compartmentId }) => compartmentId !== null)
    const [loose] = planned.variants.filter(({ compartmentId }) => compartmentId === null)
    const before = (await asked.bench()).queue.length
    const batch = (variant: unknown, count: number) => ({ variant, newcomer: null, count }) as never
    await act(() => tray.result.current.queue([batch(here, 2), ...(loose ? [batch(loose, 1)] : [])]))
    const { queue } = await asked.bench()
    expect(queue).toHaveLength(before + (loose ? 2 : 1))
    expect(queue.map(({ planned: count }) => count).slice(before)).toEqual(loose ? [2, 1] : [2])
    expect(tray.result.current.refused).toBeNull()
  })

  it('makes a variant that is not made yet first, once', async () => {
    const think = callHook(
      () => ({ planned: usePlanned(), newcomers: useNewcomers(usePlanned(), 0) }),
      undefined,
    )
    const newcomers = await until(() => think.result.current.newcomers?.slice(0, 3), 60_000)
    const { result } = callHook(() => useQueue(think.result.current.planned!.trayId), undefined)
    const batches = newcomers.map((newcomer) => ({ variant: newcomer, newcomer, count: 2 })) as never
    await act(() => result.current.queue(batches))
    await act(() => result.current.queue(batches))
    expect(result.current.refused).toBeNull()
    for (const { name, label, variantId } of newcomers) {
      const { variants } = await asked.pattern(name.slice(0, -label.length - 1))
      expect(variants.filter(({ id }) => id === variantId)).toHaveLength(1)
    }
  })

  it('says what was refused, and goes no further', async () => {
    const { result } = callHook(() => ({ planned: usePlanned(), queue: useQueue('not-a-place') }), undefined)
    const planned = await until(() => result.current.planned)
    const variant = { ...planned.variants[0]!, compartmentId: null }
    const before = (await asked.bench()).queue.length
    await act(() => result.current.queue.queue([{ variant, newcomer: null, count: 1 }, { variant: planned.variants[0], newcomer: null, count: 1 }] as never)) // prettier-ignore
    await until(() => result.current.queue.refused)
    expect((await asked.bench()).queue).toHaveLength(before)
  })
})
