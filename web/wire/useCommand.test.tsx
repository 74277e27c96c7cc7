// @vitest-environment jsdom
import { act } from '@testing-library/react'
import { afterEach, describe, expect, it } from 'vitest'
import { asked } from '../testing/asked.ts'
import { onTheDemo, until, callHook } from '../testing/onThePage.tsx'
import { api, toFailure } from './api.ts'
import { askOnce } from './askOnce.ts'
import { keepInOutbox, readOutbox } from './outbox.ts'
import { setTrouble, setWaiting } from './state.ts'
import { store } from './store.ts'
import { flushOutbox, newId, useCommand } from './useCommand.ts'

onTheDemo()
afterEach(() => {
  store.dispatch(setTrouble(null))
  store.dispatch(setWaiting(0))
})

const view = () => store.getState().view
const box = (name: string) => ({ boxId: newId<never>(), name, note: '', compartments: [{ id: newId<never>(), row: 1, column: 1, label: `${name} A`, capacity: 6 }] }) // prettier-ignore

/** While nobody answers. */
async function away<Result>(act: () => Promise<Result>): Promise<Result> {
  const { fetch } = globalThis
  globalThis.fetch = () => Promise.reject(new TypeError('fetch failed'))
  try {
    return await act()
  } finally {
    globalThis.fetch = fetch
  }
}

describe('useCommand', () => {
  it('writes, and makes every view of the page come anew', async () => {
    const list = callHook(() => api.endpoints.boxes.useQuery(), undefined)
    const before = await until(() => list.result.current.data?.boxes.length)
    const { result } = callHook(() => useCommand(), undefined)
    const delivery = await act(() => result.current('boxCreate', box('Tin')))
    expect(delivery.kind).toBe('done')
    await until(() => list.result.current.data?.boxes.length === before + 1)
    expect(readOutbox()).toEqual([])
  })

  it('says in the tray why a write was refused, unless the caller shows it', async () => {
    const { result } = callHook(() => useCommand(), undefined)
    const twice = box('Twice')
    await act(() => result.current('boxCreate', twice))
    const refused = await act(() => result.current('boxCreate', twice))
    expect(refused.kind).toBe('refused')
    expect(view().trouble).toBe(refused.kind === 'refused' ? refused.problem.detail : '')
    await act(() => result.current('boxCreate', twice, { quietly: true }))
    expect(view().trouble).toBeNull()
    expect(readOutbox()).toEqual([])
  })

  it('keeps a write while nobody answers, says so, and sends it later, once', async () => {
    const { result } = callHook(() => useCommand(), undefined)
    const late = box('Late')
    const delivery = await act(() => away(() => result.current('boxCreate', late)))
    expect(delivery).toEqual({ kind: 'waiting' })
    expect(view().trouble).toMatch(/does not answer/)
    expect(view().waiting).toBe(1)
    const there = (await asked.boxes()).boxes.length
    await act(flushOutbox)
    await act(flushOutbox)
    expect((await asked.boxes()).boxes.map(({ name }) => name)).toContain('Late')
    expect((await asked.boxes()).boxes).toHaveLength(there + 1)
    expect(view().waiting).toBe(0)
  })

  it('stops at the first that nobody takes, and lets go of what is refused with its reason', async () => {
    const known = (await asked.boxes()).boxes[0]
    keepInOutbox({ id: newId(), kind: 'boxCreate', body: { ...box('Again'), boxId: known!.id } })
    keepInOutbox({ id: newId(), kind: 'boxCreate', body: box('After') })
    await act(() => away(flushOutbox))
    expect(readOutbox()).toHaveLength(2)
    expect(view().waiting).toBe(2)
    await act(flushOutbox)
    expect(readOutbox()).toEqual([])
    expect(view().trouble).not.toBeNull()
    expect((await asked.boxes()).boxes.map(({ name }) => name)).toContain('After')
  })
})

describe('toFailure', () => {
  it('tells a problem of the server from nobody answering', () => {
    const problem = { code: 'stale', detail: 'Changed elsewhere.', fields: [] }
    expect(toFailure({ status: 409, data: problem })).toEqual({ kind: 'problem', problem })
    for (const error of [undefined, null, { status: 'FETCH_ERROR' }, { data: 'text' }, { data: {} }])
      expect(toFailure(error)).toEqual({ kind: 'unreachable' })
  })
})

describe('patternsOf', () => {
  it('has all that were asked for, leaves out what is not there, and fails as a whole', async () => {
    const ask = (ids: readonly string[]) => askOnce(store.dispatch(api.endpoints.patternsOf.initiate(ids)))
    const [one, two] = [await asked.pattern('Third Button'), await asked.pattern('Kettle Lid')]
    const found = await ask([one.id, newId(), two.id])
    expect(found.data?.map(({ name }) => name)).toEqual([one.name, two.name])
    expect((await away(() => ask([two.id, one.id]))).isError).toBe(true)
  })
})
