// @vitest-environment jsdom
import { beforeEach, describe, expect, it } from 'vitest'
import { keepMoment, keptMoment } from './keptMoment.ts'
import { forgetOwn, noteOwn, takeLastOwn } from './ownActions.ts'
import { noteMinted, onePress } from './pressedTwice.ts'

beforeEach(() => sessionStorage.clear())

const later = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms))
const store = (key: string, text: string) => sessionStorage.setItem(key, text)
/** What stands in this tab's storage under a name that begins so. */
const stored = () => Object.entries(sessionStorage) as [string, string][]

describe('the moment that was chosen in this tab', () => {
  const moment = { reachId: 'upper', on: '2026-06-06', localMin: 780 }

  it('is there after the tab is loaded anew, with what was said of the hour, until it is let go', () => {
    expect(keptMoment()).toBeNull()
    keepMoment({ ...moment, said: { level: 'rising', airTempC: 14 } })
    expect(keptMoment()).toEqual({ ...moment, said: { level: 'rising', airTempC: 14 } })
    keepMoment(null)
    expect(keptMoment()).toBeNull()
    expect(stored()).toEqual([])
  })

  it.each([
    ['no JSON', '{'],
    ['nothing', 'null'],
    ['a reach that is none', JSON.stringify({ ...moment, reachId: 7 })],
    ['a day that is none', JSON.stringify({ ...moment, on: '6 June' })],
    ['a day and more', JSON.stringify({ ...moment, on: '2026-06-06T13:00' })],
    ['a minute that is none', JSON.stringify({ ...moment, localMin: 12.5 })],
    ['no minute', JSON.stringify({ reachId: 'upper', on: '2026-06-06' })],
  ])('is none where %s is kept', (_, text) => {
    keepMoment(moment)
    const [[key] = ['']] = stored()
    store(key, text)
    expect(keptMoment()).toBeNull()
  })
})

describe('actions of this tab', () => {
  it('are taken from the last to the first, each once', () => {
    for (const id of ['a', 'b', 'c']) noteOwn(id)
    expect([takeLastOwn(), takeLastOwn(), takeLastOwn(), takeLastOwn()]).toEqual(['c', 'b', 'a', null])
  })

  it('are no more where they were refused', () => {
    for (const id of ['a', 'b', 'a']) noteOwn(id)
    forgetOwn('a')
    expect([takeLastOwn(), takeLastOwn()]).toEqual(['b', null])
  })

  it('are the last two hundred', () => {
    for (let n = 0; n < 203; n += 1) noteOwn(String(n))
    const taken: string[] = []
    for (let id = takeLastOwn(); id !== null; id = takeLastOwn()) taken.push(id)
    expect(taken).toHaveLength(200)
    expect([taken[0], taken.at(-1)]).toEqual(['202', '3'])
  })

  it.each(['[', '{"a":1}', '7'])('are none where %s is stored, and can be noted all the same', (text) => {
    noteOwn('a')
    const [[key] = ['']] = stored()
    store(key, text)
    expect(takeLastOwn()).toBeNull()
    noteOwn('b')
    expect(takeLastOwn()).toBe('b')
  })
})

describe('one press', () => {
  /** Sends a press and answers how many were sent in all. */
  function presses() {
    let sent = 0
    const press = (kind: string, body: unknown) => onePress(kind, body, () => Promise.resolve((sent += 1)))
    return { press, sent: () => sent }
  }

  it('that trembles is sent once, and both hear what was answered', async () => {
    const { press, sent } = presses()
    const answers = await Promise.all([press('trembles', { count: 1 }), press('trembles', { count: 1 })])
    expect(answers).toEqual([1, 1])
    expect(sent()).toBe(1)
  })

  it('is the same whatever ids were made for it, and another where they were not', async () => {
    const { press, sent } = presses()
    for (const id of ['new-1', 'new-2']) {
      noteMinted(id)
      await press('count', { id, of: 'batch', also: [id] })
    }
    expect(sent()).toBe(1)
    await press('count', { id: 'old', of: 'batch', also: ['old'] })
    expect(sent()).toBe(2)
  })

  it('is another where it asks for something else, or after a while', async () => {
    const { press, sent } = presses()
    await press('count', { count: 1 })
    await press('count', { count: 2 })
    await press('lose', { count: 2 })
    expect(sent()).toBe(3)
    await later(450)
    await press('lose', { count: 2 })
    expect(sent()).toBe(4)
  })

  it('is another where something else was sent between', async () => {
    const { press, sent } = presses()
    for (const kind of ['there', 'back', 'there']) await press(kind, {})
    expect(sent()).toBe(3)
  })
})
