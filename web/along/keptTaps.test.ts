import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import type { WatersideTap } from '../../contract/index.ts'
import { memoryStorage } from '../testing/memoryStorage.ts'
import { keptTaps } from './keptTaps.ts'

const platform = globalThis as { localStorage?: Storage }
const before = platform.localStorage
beforeEach(() => {
  platform.localStorage = memoryStorage()
})
afterEach(() => {
  if (before) platform.localStorage = before
  else delete platform.localStorage
})

const drift = (id: string, atMs = 1) => ({ id, atMs, kind: 'drift' }) as WatersideTap

describe('taps kept on a phone', () => {
  it('are there when the page is opened again', () => {
    const first = keptTaps('data', 'outing')
    expect(first).toMatchObject({ before: [], keeps: true })
    expect(first.keep([drift('a'), drift('b')])).toBe(true)
    expect(keptTaps('data', 'outing').before).toEqual([drift('a'), drift('b')])
  })

  it('are of one outing of one database', () => {
    keptTaps('data', 'outing').keep([drift('a')])
    expect(keptTaps('data', 'other').before).toEqual([])
    expect(keptTaps('others', 'outing').before).toEqual([])
  })

  it('of two tabs are both kept, each once, in the order they came', () => {
    const [one, other] = [keptTaps('data', 'outing'), keptTaps('data', 'outing')]
    one.keep([drift('a')])
    other.keep([drift('b')])
    one.keep([drift('a'), drift('c')])
    expect(keptTaps('data', 'outing').before.map(({ id }) => id)).toEqual(['a', 'b', 'c'])
  })

  it('that cannot be read are none, and do not stop new ones', () => {
    for (const nonsense of ['{', '"x"', '{"a":1}', 'null']) {
      platform.localStorage!.setItem('heavy-thistle:along:data:outing', nonsense)
      const kept = keptTaps('data', 'outing')
      expect(kept.before).toEqual([])
      expect(kept.keep([drift('a')])).toBe(true)
      expect(keptTaps('data', 'outing').before).toEqual([drift('a')])
    }
  })

  it('leave nothing behind of the trial whether storage works', () => {
    keptTaps('data', 'outing')
    expect(platform.localStorage!.length).toBe(0)
  })

  it('are said not to be kept where storage refuses, forgets or is missing', () => {
    const refusing = { ...memoryStorage(), setItem: () => { throw new Error('denied') } } // prettier-ignore
    const forgetting = { ...memoryStorage(), setItem: () => undefined }
    for (const storage of [refusing, forgetting, undefined]) {
      platform.localStorage = storage as Storage
      const kept = keptTaps('data', 'outing')
      expect(kept.keeps).toBe(false)
      expect(kept.keep([drift('a')])).toBe(false)
    }
  })

  it('are said not to be kept any more once storage is full', () => {
    const storage = memoryStorage()
    platform.localStorage = storage
    const kept = keptTaps('data', 'outing')
    kept.keep([drift('a')])
    storage.setItem = () => {
      throw new DOMException('full', 'QuotaExceededError')
    }
    expect(kept.keep([drift('b')])).toBe(false)
  })
})
