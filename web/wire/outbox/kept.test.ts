import { beforeEach, describe, expect, it } from 'vitest'
import { memoryStorage } from '../../testing/memoryStorage.ts'
import { hasRoom, keep, letGo, readQueue } from './kept.ts'
import type { Waiting } from './kept.ts'

const waiting = (id: string, seq: number, change: Partial<Waiting> = {}): Waiting => ({
  ...({ id, kind: 'batchCount', body: { count: 1 } } as unknown as Waiting),
  seq,
  tries: 0,
  faults: 0,
  ...change,
})
const ids = (dataId = 'own') => readQueue(dataId).map(({ id }) => id)

beforeEach(() => {
  globalThis.localStorage = memoryStorage()
})

describe('what is kept', () => {
  it('is empty at first, and stands in the order of its places, whatever the order of keeping', () => {
    expect(ids()).toEqual([])
    for (const [id, seq] of [
      ['c', 12],
      ['a', 2],
      ['b', 3],
    ] as const)
      expect(keep('own', waiting(id, seq))).toBe(true)
    expect(ids()).toEqual(['a', 'b', 'c'])
    letGo('own', { id: 'b', seq: 3 })
    letGo('own', { id: 'never there', seq: 1 })
    expect(ids()).toEqual(['a', 'c'])
  })

  it('is kept once, as it was kept last', () => {
    keep('own', waiting('a', 1))
    keep('own', waiting('a', 1, { tries: 3, refused: { detail: 'No.' } }))
    expect(readQueue('own')).toEqual([waiting('a', 1, { tries: 3, refused: { detail: 'No.' } })])
  })

  it('waits for its own data: the demo’s never reach one’s own at the same address', () => {
    keep('demo', waiting('a', 1))
    keep('own', waiting('b', 1))
    expect(ids('own')).toEqual(['b'])
    expect(ids('demo')).toEqual(['a'])
  })

  it('leaves out what is no write, and what is torn', () => {
    keep('own', waiting('a', 1))
    const put = (name: string, text: string) => localStorage.setItem(`heavy-thistle:outbox:own:${name}`, text)
    for (const [i, stored] of [
      null,
      'b',
      { id: '', kind: 'x', body: {}, seq: 1 },
      { id: 'c', body: {}, seq: 1 },
      { id: 'd', kind: 'x', seq: 1 },
      { id: 'e', kind: 'x', body: null, seq: 1 },
      { id: 'f', kind: 'x', body: {} },
    ].entries())
      put(String(i), JSON.stringify(stored))
    put('torn', '{"id":')
    expect(ids()).toEqual(['a'])
  })

  it('is held by the page where the browser has no room, and says so', () => {
    keep('own', waiting('a', 1))
    const { setItem } = localStorage
    localStorage.setItem = () => {
      throw new DOMException('full', 'QuotaExceededError')
    }
    expect(hasRoom()).toBe(false)
    expect(keep('own', waiting('b', 2))).toBe(false)
    expect(ids()).toEqual(['a', 'b'])
    localStorage.setItem = setItem
    expect(hasRoom()).toBe(true)
    expect(keep('own', waiting('b', 2, { tries: 1 }))).toBe(true)
    expect(readQueue('own')[1]?.tries).toBe(1)
    letGo('own', waiting('b', 2))
    expect(ids()).toEqual(['a'])
  })
})
