import { describe, expect, it } from 'vitest'
import {
  chooseMoment,
  find,
  light,
  pin,
  sayOfHour,
  setOutbox,
  setTrouble,
  setWork,
  toggleKeys,
  view,
} from './state.ts'

const at = (...actions: readonly Parameters<typeof view.reducer>[1][]) =>
  actions.reduce(view.reducer, view.getInitialState())

describe('what places share', () => {
  it('pins one subject at a time, and lets go of it when it is pinned again', () => {
    expect(at(pin('a')).pinned).toBe('a')
    expect(at(pin('a'), pin('b')).pinned).toBe('b')
    expect(at(pin('a'), pin('a')).pinned).toBeNull()
  })

  it('keeps what it knows of unsent writes where the same is told again', () => {
    const count = { writeId: 'w', eventId: 'e', batchId: 'b', kind: 'done', stepKey: null } as never
    const told = at(setOutbox({ waiting: 1, counts: [count] }))
    const again = view.reducer(told, setOutbox({ waiting: 1, counts: [{ ...(count as object) } as never] }))
    expect(again.outbox).toBe(told.outbox)
    const more = view.reducer(again, setOutbox({ waiting: 2, counts: [count] }))
    expect(more.outbox).toEqual({ ...told.outbox, waiting: 2 })
    expect(more.outbox.counts).toBe(told.outbox.counts)
  })

  it('follows the next outing until a moment is chosen, and again after', () => {
    const moment = { reachId: 'r', on: '2026-06-06', localMin: 780 }
    expect(at(chooseMoment(moment)).moment).toEqual(moment)
    expect(at(chooseMoment(moment), chooseMoment(null)).moment).toBeNull()
  })

  it('adds to what is said of the hour, whatever was said meanwhile, and takes back what is left open', () => {
    const of = { reachId: 'r', on: '2026-06-06', localMin: 780 }
    const said = (...each: readonly Parameters<typeof sayOfHour>[0]['said'][]) =>
      at(...each.map((one) => sayOfHour({ of, said: one }))).moment?.said
    expect(said({ waterTempC: 15.5 }, { airTempC: 18 })).toEqual({ waterTempC: 15.5, airTempC: 18 })
    expect(said({ waterTempC: 15.5 }, { waterTempC: undefined, level: 'rising' })).toEqual({ level: 'rising' })
    const elsewhere = { ...of, reachId: 'other' }
    expect(at(chooseMoment(elsewhere), sayOfHour({ of, said: { level: 'steady' } })).moment).toEqual({ ...elsewhere, said: { level: 'steady' } }) // prettier-ignore
  })

  it('shows the keys and hides them', () => {
    expect(at(toggleKeys()).showKeys).toBe(true)
    expect(at(toggleKeys(), toggleKeys()).showKeys).toBe(false)
  })

  it('keeps what is lit, at work, wrong, waiting and sought apart', () => {
    const work = { label: 'Sampling the band', done: 0.5 }
    expect(at(light('x'), setWork(work), setTrouble('no line'), setOutbox({ waiting: 2 }), setOutbox({ trouble: 'gone' }), find('actions'))).toMatchObject({
      lit: 'x', work, trouble: 'no line', outbox: { waiting: 2, trouble: 'gone', refused: 0 }, finding: 'actions', pinned: null, moment: null,
    }) // prettier-ignore
  })
})
