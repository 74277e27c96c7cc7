// @vitest-environment jsdom
import { act } from '@testing-library/react'
import { afterEach, describe, expect, it } from 'vitest'
import type { CommandInput, CommandKind } from '../../contract/index.ts'
import { asked } from '../testing/asked.ts'
import { away, meanwhile } from '../testing/meanwhile.ts'
import { onTheDemo, until, callHook } from '../testing/onThePage.tsx'
import { api, toFailure } from './api.ts'
import { askOnce } from './askOnce.ts'
import { flush, giveUp, refusedWrites, setAside, tryAgain, waitingWrites } from './outbox/sender.ts'
import { setOutbox, setTrouble } from './state.ts'
import { store } from './store.ts'
import { newId, useCommand } from './useCommand.ts'
import { useUndo, useUndoLast } from './useUndoLast.ts'

onTheDemo()
afterEach(() => {
  store.dispatch(setTrouble(null))
  store.dispatch(setOutbox({ trouble: null }))
})

const view = () => store.getState().view
const box = (name: string) => ({ boxId: newId<never>(), name, note: '', compartments: [{ id: newId<never>(), row: 1, column: 1, label: `${name} A`, capacity: 6 }] }) // prettier-ignore
const boxNames = async () => (await asked.boxes()).boxes.map(({ name }) => name)

/** While writes are answered by a status alone; reads go through. */
const writesAnswered = <Result,>(status: number, act: () => Promise<Result>): Promise<Result> =>
  meanwhile(
    ({ method }) =>
      method === 'POST'
        ? new Response('{}', { status, headers: { 'content-type': 'application/json' } })
        : null,
    act,
  )

/** Long enough for a second press not to be the same one. */
const aMoment = () => new Promise((resolve) => setTimeout(resolve, 450))

const writer = () => {
  const { result } = callHook(() => useCommand(), undefined)
  return <Kind extends CommandKind>(kind: Kind, body: CommandInput<Kind>, options = {}) =>
    act(() => result.current(kind, body, options))
}

describe('useCommand', () => {
  it('writes, and makes every view of the page come anew', async () => {
    const list = callHook(() => api.endpoints.boxes.useQuery(), undefined)
    const before = await until(() => list.result.current.data?.boxes.length)
    expect((await writer()('boxCreate', box('Tin'))).kind).toBe('done')
    await until(() => list.result.current.data?.boxes.length === before + 1)
    expect(waitingWrites()).toEqual([])
  })

  it('says in the tray why a write was refused, unless the caller shows it, and keeps none of them', async () => {
    const write = writer()
    const twice = box('Twice')
    await write('boxCreate', twice)
    await aMoment()
    const refused = await write('boxCreate', twice)
    expect(refused.kind).toBe('refused')
    expect(view().trouble).toBe(refused.kind === 'refused' ? refused.problem.detail : '')
    await aMoment()
    await write('boxCreate', twice, { quietly: true })
    expect(view().trouble).toBeNull()
    expect([waitingWrites(), refusedWrites()]).toEqual([[], []])
  })
})

describe('a press that comes twice', () => {
  it('is one, though each press makes an id of its own; a moment later it is another', async () => {
    const { result } = callHook(() => useCommand(), undefined)
    const [variant] = (await asked.bench()).queue
    const plan = () =>
      result.current('batchPlan', {
        batchId: newId<never>(),
        variantId: variant!.variantId,
        plannedCount: 2,
        compartmentId: variant!.compartmentId!,
        onVise: false,
      })
    const waiting = async () => (await asked.bench()).queue.length
    const before = await waiting()
    const [first, second] = await act(() => Promise.all([plan(), plan()]))
    expect(second).toEqual(first)
    expect(await waiting()).toBe(before + 1)
    await aMoment()
    await act(plan)
    expect(await waiting()).toBe(before + 2)
  })
})

describe('while nobody answers', () => {
  it('a write is kept and said to be, and sent later, once; what was said goes with it', async () => {
    const write = writer()
    expect(await away(() => write('boxCreate', box('Late')))).toEqual({ kind: 'waiting' })
    expect(view().outbox).toMatchObject({ waiting: 1, trouble: expect.stringMatching(/does not answer/) })
    const there = (await boxNames()).length
    await act(flush)
    await act(flush)
    expect(await boxNames()).toContain('Late')
    expect(await boxNames()).toHaveLength(there + 1)
    expect(view().outbox).toMatchObject({ waiting: 0, trouble: null })
  })

  it('count, count, finish come in that order: three flies are booked, and a fresh write goes behind', async () => {
    const write = writer()
    const [variant] = (await asked.bench()).queue
    const onVise = (await asked.bench()).onVise?.batch.batchId
    if (onVise) await write('batchFinish', { batchId: onVise as never, abandon: true, anyway: true })
    const batchId = newId<never>()
    await write('batchPlan', {
      batchId,
      variantId: variant!.variantId,
      plannedCount: 4,
      compartmentId: (await asked.boxes()).boxes[0]!.compartments[0]!.id,
      onVise: true,
    })
    const count = () =>
      write('batchCount', {
        eventId: newId(),
        batchId,
        kind: 'done',
        stepKey: null,
        count: 1,
        spoiledCause: null,
      })
    expect((await count()).kind).toBe('done')
    await away(async () => {
      await count()
      await count()
      await write('batchFinish', { batchId, abandon: false, anyway: true })
    })
    expect(waitingWrites().map(({ kind }) => kind)).toEqual(['batchCount', 'batchCount', 'batchFinish'])
    const order: string[] = []
    await meanwhile(
      async (request) => {
        if (request.method === 'POST') order.push(((await request.clone().json()) as { kind: string }).kind)
        return null
      },
      () => write('settingsSave', { change: { parCount: 4 } }),
    )
    expect(order).toEqual(['batchCount', 'batchCount', 'batchFinish', 'settingsSave'])
    const { actions } = await asked.actions()
    expect(actions.some(({ label }) => label.startsWith('Tied 3 '))).toBe(true)
  })

  it('two saves of one record both arrive: the second starts from what the first will have made', async () => {
    const write = writer()
    const { id: rigId, version, name, way, parts } = (await asked.rigs()).rigs[0]!
    const save = (note: string) => write('rigSave', { rigId, version, rig: { name, way, parts, note } })
    await away(async () => {
      await save('first')
      await save('second')
    })
    await act(flush)
    expect(refusedWrites()).toEqual([])
    const { rigs } = await asked.rigs()
    expect(rigs.find(({ id }) => id === rigId)).toMatchObject({ note: 'second', version: version + 2 })
  })
})

describe('a server that breaks over a write', () => {
  it('gets it again, and the page asks before it is passed; then it stands with its reason until it is given up', async () => {
    const write = writer()
    const first = box('Broken over')
    expect((await writesAnswered(500, () => write('boxCreate', first))).kind).toBe('waiting')
    expect((await writesAnswered(429, () => write('boxCreate', box('Behind it')))).kind).toBe('waiting')
    for (let n = 0; n < 4; n += 1) {
      expect(view().outbox.stuck).toBe(false)
      await writesAnswered(507, () => act(flush))
    }
    await until(() => view().outbox.stuck)
    expect(waitingWrites()).toHaveLength(2)
    act(setAside)
    await until(async () => (await boxNames()).includes('Behind it'))
    expect(await boxNames()).not.toContain('Broken over')
    expect(view().outbox).toMatchObject({ waiting: 0, refused: 1, stuck: false })
    const [kept] = refusedWrites()
    act(() => tryAgain(kept!.id))
    await until(async () => (await boxNames()).includes('Broken over'))
    expect(view().outbox.refused).toBe(0)
  })

  it('is not asked about while it answers nothing at all', async () => {
    const write = writer()
    await away(() => write('boxCreate', box('Nobody there')))
    for (let n = 0; n < 6; n += 1) await away(() => act(flush))
    expect(view().outbox.stuck).toBe(false)
    await act(flush)
  })
})

describe('a write that was refused after it had waited', () => {
  it('stands with its reason; what hangs together with it waits, and all else goes on', async () => {
    const write = writer()
    const known = (await asked.boxes()).boxes[0]!
    const batchBox = { ...box('Again'), boxId: known.id }
    await away(async () => {
      await write('boxCreate', batchBox)
      await write('fliesCount', { compartmentId: batchBox.compartments[0]!.id, variantId: newId(), counted: 1 })
      await write('boxCreate', box('After'))
    })
    await act(flush)
    expect(await boxNames()).toContain('After')
    expect(refusedWrites().map(({ kind, refused }) => [kind, (refused?.detail ?? '').length > 0])).toEqual([
      ['boxCreate', true],
    ])
    expect(waitingWrites().map(({ kind }) => kind)).toEqual(['fliesCount'])
    for (const { id } of refusedWrites()) act(() => giveUp(id))
    // the count goes now, and is refused for its own reason
    await until(() => refusedWrites().some(({ kind }) => kind === 'fliesCount'))
    for (const { id } of refusedWrites()) act(() => giveUp(id))
    await until(() => view().outbox.refused === 0 && view().outbox.waiting === 0)
  })
})

describe('taking back', () => {
  it('offline drops what was never sent, and not the last of the server', async () => {
    const write = writer()
    const { result } = callHook(() => useUndoLast(null), undefined)
    await write('boxCreate', box('Sent before'))
    await away(async () => {
      await write('boxCreate', box('Tried once'))
      await write('boxCreate', box('Never sent'))
      act(() => result.current())
      await until(() => waitingWrites().length === 1)
    })
    await act(flush)
    expect(await boxNames()).toEqual(expect.arrayContaining(['Sent before', 'Tried once']))
    expect(await boxNames()).not.toContain('Never sent')
  })

  it('of what may have arrived without an answer is a write behind it', async () => {
    const write = writer()
    const { result } = callHook(() => useUndoLast(null), undefined)
    // the server took it, and its answer was lost
    const { fetch } = globalThis
    await meanwhile(
      async ({ method }) => {
        if (method !== 'POST') return null
        return Promise.reject(new TypeError('fetch failed'))
      },
      async () => {
        await write('boxCreate', box('Answer lost'))
        act(() => result.current())
        await until(() => waitingWrites().length === 2)
      },
    )
    globalThis.fetch = fetch
    expect(waitingWrites().map(({ kind }) => kind)).toEqual(['boxCreate', 'undo'])
    await act(flush)
    expect(await boxNames()).not.toContain('Answer lost')
    expect(refusedWrites()).toEqual([])
  })

  it('three times quickly takes three, the last first', async () => {
    const write = writer()
    const names = ['One', 'Two', 'Three', 'Four'].map((name) => `${name} quick`)
    for (const name of names) await write('boxCreate', box(name))
    const { result } = callHook(() => useUndoLast(null), undefined)
    act(() => {
      result.current()
      result.current()
      result.current()
    })
    await until(async () => !(await boxNames()).includes('Two quick'))
    const left = await boxNames()
    expect(names.filter((name) => left.includes(name))).toEqual(['One quick'])
  })

  it('of an undo does it again, by its id', async () => {
    const write = writer()
    const { result } = callHook(() => useUndo(), undefined)
    const made = await write('boxCreate', box('There and back'))
    const id = made.kind === 'done' ? made.result.actionId : ''
    await act(() => result.current(id))
    expect(await boxNames()).not.toContain('There and back')
    const entry = (await asked.actions()).actions.find(({ actionId }) => actionId === id)
    expect(entry?.undoneBy).not.toBeNull()
    await act(() => result.current(entry!.undoneBy!))
    expect(await boxNames()).toContain('There and back')
    expect((await asked.actions()).actions.find(({ actionId }) => actionId === id)?.undoneBy).toBeNull()
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
