import { EventEmitter, once } from 'node:events'
import { describe, expect, it } from 'vitest'
import { countWrites, noteReads, noteWrite } from '../db/kept.ts'
import { heard, makeAnswerCache } from './answerCache.ts'

/** A database that nobody wrote to yet, and one that is written to. */
const opened = () => {
  const db = {}
  countWrites(db)
  return { db, write: (...tables: string[]) => noteWrite(db, new Set(tables)) }
}

describe('makeAnswerCache', () => {
  it('asks once until a table that was read is written to', async () => {
    let [now, asked] = [0, 0]
    const { db, write } = opened()
    const cache = makeAnswerCache(db, () => now)
    const ask = () =>
      cache.answer('/a', async () => {
        await Promise.resolve()
        noteReads(['box'])
        return { asked: (asked += 1) }
      })
    expect((await ask()).toString()).toBe('{"asked":1}')
    write('material')
    expect((await ask()).toString()).toBe('{"asked":1}')
    write('material', 'box')
    expect((await ask()).toString()).toBe('{"asked":2}')
    write('*')
    expect((await ask()).toString()).toBe('{"asked":3}')
    now += 3_600_000
    expect((await ask()).toString()).toBe('{"asked":3}')
  })

  it.each([
    ['goes on', false, ['1', '1', '2']],
    ['stands', true, ['1', '1', '1']],
  ])('asks anew after 15 s what hangs on a clock that %s', async (_what, stands, said) => {
    let [now, asked] = [0, 0]
    const cache = makeAnswerCache(opened().db, () => now)
    const clock = heard({ nowMs: () => now, stands })
    const ask = () => cache.answer('/a', () => Promise.resolve((clock.nowMs(), (asked += 1))))
    const texts = []
    for (const afterMs of [0, 14_999, 2]) {
      now += afterMs
      texts.push((await ask()).toString())
    }
    expect(texts).toEqual(said)
  })

  it('does not share what was begun before a write, even where it had not read the table yet', async () => {
    const { db, write } = opened()
    const cache = makeAnswerCache(db)
    const gate = new EventEmitter()
    const first = cache.answer('/a', async () => {
      await once(gate, 'open')
      noteReads(['box'])
      return 'before'
    })
    write('box')
    const second = cache.answer('/a', () => Promise.resolve('after'))
    gate.emit('open')
    expect((await first).toString()).toBe('"before"')
    expect((await second).toString()).toBe('"after"')
    expect((await cache.answer('/a', () => Promise.resolve('late'))).toString()).toBe('"after"')
  })

  it('does not keep a failure', async () => {
    let fails = true
    const cache = makeAnswerCache(opened().db)
    const ask = () => cache.answer('/a', () => (fails ? Promise.reject(new Error('no')) : Promise.resolve(1)))
    await expect(ask()).rejects.toThrow('no')
    fails = false
    expect((await ask()).toString()).toBe('1')
  })
})
