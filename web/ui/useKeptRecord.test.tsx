// @vitest-environment jsdom
import { act, renderHook } from '@testing-library/react'
import { beforeEach, describe, expect, it } from 'vitest'
import { useKeptRecord } from './useKeptRecord.ts'

const USUAL = { purpose: 'all', sort: 'name' }
const looked = (name = 'patterns') => renderHook(() => useKeptRecord(name, USUAL)).result
/** What another release of the page may have left in this tab. */
const leave = (text: string) => {
  looked().current[1]({ sort: 'speed' })
  const key = sessionStorage.key(0)
  if (key === null) throw new Error('nothing was kept')
  sessionStorage.setItem(key, text)
}

beforeEach(() => sessionStorage.clear())

describe('how something is looked at', () => {
  it('is as usual at first, and then as it was left in this tab', () => {
    const first = looked()
    expect(first.current[0]).toEqual(USUAL)
    act(() => first.current[1]({ sort: 'speed' }))
    act(() => first.current[1]({ purpose: 'searching' }))
    expect(first.current[0]).toEqual({ purpose: 'searching', sort: 'speed' })
    expect(looked().current[0]).toEqual({ purpose: 'searching', sort: 'speed' })
    expect(looked('stores').current[0]).toEqual(USUAL)
  })

  it.each([
    ['no JSON', '{"sort":', USUAL],
    ['nothing', 'null', USUAL],
    ['a text', '"speed"', USUAL],
    ['a name that is gone', '{"order":"speed"}', USUAL],
    [
      'what is no text, beside what is',
      '{"sort":7,"purpose":"searching"}',
      { purpose: 'searching', sort: 'name' },
    ],
  ])('reads %s without harm', (_, text, read) => {
    leave(text)
    expect(looked().current[0]).toEqual(read)
  })
})
