import { describe, expect, it } from 'vitest'
import { readingsOf } from './index.ts'
import type { Event } from './index.ts'

const read = (id: string, s: number, tempC: number): Event => ({ kind: 'waterTemp', tempC, id, atMs: 1000 * s })
const NONE = new Set<string>()

describe('readings of the water', () => {
  it('are one where a figure was set step by step, and two where it was read anew', () => {
    const events = [read('a', 0, 10), read('b', 2, 10.5), read('c', 4, 11), read('d', 3600, 12)]
    expect(readingsOf(events, NONE)).toEqual([
      { ids: ['a', 'b', 'c'], tempC: 11, atMs: 4000 },
      { ids: ['d'], tempC: 12, atMs: 3_600_000 },
    ])
  })

  it('know nothing of slips, of the air, and of what was made use of', () => {
    const events: readonly Event[] = [
      read('a', 0, 10),
      read('b', 2, 10.5),
      { kind: 'undo', of: 'b', id: 'u', atMs: 3000 },
      { kind: 'airTemp', tempC: 18, id: 'air', atMs: 5000 },
      read('c', 900, 13),
    ]
    expect(readingsOf(events, new Set(['c']))).toEqual([{ ids: ['a'], tempC: 10, atMs: 0 }])
  })
})
