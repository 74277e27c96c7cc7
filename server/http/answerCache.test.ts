import { gunzipSync } from 'node:zlib'
import { describe, expect, it } from 'vitest'
import { makeAnswerCache } from './answerCache.ts'

describe('makeAnswerCache', () => {
  it('asks once until a write or 15 s have passed', async () => {
    let [writes, now, asked] = [0, 0, 0]
    const cache = makeAnswerCache(
      () => writes,
      () => now,
    )
    const ask = () => cache.answer('/a', () => Promise.resolve({ asked: (asked += 1) }))
    expect((await ask()).text).toBe('{"asked":1}')
    expect((await ask()).text).toBe('{"asked":1}')
    writes += 1
    expect((await ask()).text).toBe('{"asked":2}')
    now += 15_001
    const answer = await ask()
    expect(answer.text).toBe('{"asked":3}')
    expect(gunzipSync(await answer.gzipped()).toString()).toBe(answer.text)
  })

  it('does not keep a failure', async () => {
    let fails = true
    const cache = makeAnswerCache(() => 0)
    const ask = () => cache.answer('/a', () => (fails ? Promise.reject(new Error('no')) : Promise.resolve(1)))
    await expect(ask()).rejects.toThrow('no')
    fails = false
    expect((await ask()).text).toBe('1')
  })
})
