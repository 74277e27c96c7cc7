import { beforeEach, describe, expect, it } from 'vitest'
import { memoryStorage } from '../testing/memoryStorage.ts'
import { dropFromOutbox, keepInOutbox, readOutbox } from './outbox.ts'
import type { Sent } from './api.ts'

const sent = (id: string, count = 1) => ({ id, kind: 'batchCount', body: { count } }) as unknown as Sent

beforeEach(() => {
  globalThis.localStorage = memoryStorage()
})

describe('the outbox', () => {
  it('is empty at first, and keeps writes in their order until each is dropped', () => {
    expect(readOutbox()).toEqual([])
    keepInOutbox(sent('a'))
    keepInOutbox(sent('b'))
    keepInOutbox(sent('c'))
    expect(readOutbox().map(({ id }) => id)).toEqual(['a', 'b', 'c'])
    dropFromOutbox('b')
    dropFromOutbox('never there')
    expect(readOutbox().map(({ id }) => id)).toEqual(['a', 'c'])
  })

  it('keeps a write once, however often it is kept', () => {
    keepInOutbox(sent('a', 1))
    keepInOutbox(sent('a', 2))
    expect(readOutbox()).toEqual([sent('a', 2)])
  })

  it('leaves out what is no write, and what is torn', () => {
    const store = (value: unknown) => localStorage.setItem('heavy-thistle:outbox', JSON.stringify(value))
    store([sent('a'), null, 'b', { id: '', kind: 'x', body: {} }, { id: 'c', body: {} }, { id: 'd', kind: 'x' }, { id: 'e', kind: 'x', body: null }, sent('f')]) // prettier-ignore
    expect(readOutbox().map(({ id }) => id)).toEqual(['a', 'f'])
    store({ id: 'a' })
    expect(readOutbox()).toEqual([])
    localStorage.setItem('heavy-thistle:outbox', '[{"id":')
    expect(readOutbox()).toEqual([])
  })
})
