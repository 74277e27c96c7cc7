import { describe, expect, it } from 'vitest'
import { readLog, writeLog } from './index.ts'
import type { Event } from './index.ts'

const of = { dataId: 'data-1', outingId: 'outing-1' }
const taps: readonly Event[] = [
  { id: 'a', atMs: 1, kind: 'watch' },
  { id: 'b', atMs: 2, kind: 'sign', signKey: 'duns-upright', seen: true },
  { id: 'c', atMs: 3, kind: 'take', end: 'landed', lengthMm: 310 },
]
const text = writeLog(of, taps)

describe('a log that comes home', () => {
  it('is what was sent', () => {
    expect(readLog(text)).toEqual({ kind: 'log', ...of, taps, missing: 0, unread: 0, isChanged: false })
    expect(readLog(writeLog(of, []))).toMatchObject({ taps: [], isChanged: false })
  })

  it('is the same with the line ends and the words around it that a mail program puts there', () => {
    const mailed = `Here is today:\r\n\r\n${text.replaceAll('\n', '\r\n')}\r\nSent from a phone`
    expect(readLog(mailed)).toMatchObject({ taps, isChanged: false })
  })

  it('cut short at any letter gives the taps that are whole, and says that it is not', () => {
    for (let length = text.indexOf('\n') + 1; length < text.length - 1; length += 1) {
      const cut = readLog(text.slice(0, length))
      if (cut.kind !== 'log') throw new Error(`nothing at ${length}`)
      expect(cut.isChanged, `${length}`).toBe(true)
      for (const [i, tap] of cut.taps.entries()) if (typeof tap === 'object') expect(tap).toEqual(taps[i])
    }
  })

  it('with a line lost, or one edited, says so', () => {
    const lines = text.split('\n')
    expect(readLog(lines.filter((_, i) => i !== 2).join('\n'))).toMatchObject({ missing: 1, isChanged: true })
    expect(readLog(text.replace('310', '610'))).toMatchObject({ missing: 0, isChanged: true })
    expect(readLog(text.replace('{"id":"b"', '{"id":"b'))).toMatchObject({
      unread: 1,
      missing: 1,
      isChanged: true,
    })
  })

  it('is none where it is something else', () => {
    for (const other of ['', 'name,count\nDun,3', '{"taps":[]}', 'heavy-thistle log 1'])
      expect(readLog(other)).toEqual({ kind: 'none' })
  })
})
