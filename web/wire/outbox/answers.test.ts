import { describe, expect, it } from 'vitest'
import { attemptOf, pauseAfter } from './answers.ts'

const problem = { code: 'busy', detail: 'Try again.', fields: [] }

describe('what a failed attempt means', () => {
  it.each([400, 404, 409, 413, 415, 422])('%d settles it', (status) => {
    expect(attemptOf({ status, data: problem })).toEqual({ kind: 'refused', problem })
  })

  it.each([401, 403, 408, 429])('%d lets it wait', (status) => {
    expect(attemptOf({ status, data: problem })).toEqual({ kind: 'wait', detail: 'Try again.', fault: false })
  })

  it.each([500, 502, 503, 507])('%d lets it wait and counts as a fault', (status) => {
    expect(attemptOf({ status, data: problem })).toEqual({ kind: 'wait', detail: 'Try again.', fault: true })
    expect(attemptOf({ status, data: 'bad gateway' })).toEqual({ kind: 'wait', detail: null, fault: true })
  })

  it('no answer lets it wait, and so does one that is none of this server', () => {
    for (const error of [
      undefined,
      null,
      { status: 'FETCH_ERROR' },
      { status: 'TIMEOUT_ERROR' },
      { status: 'PARSING_ERROR', originalStatus: 400 },
      { status: 404, data: 'no such page' },
    ])
      expect(attemptOf(error)).toMatchObject({ kind: 'wait', fault: false })
  })
})

describe('pauses', () => {
  it('grow from half a second to ten', () => {
    expect([1, 2, 3, 4, 5, 6, 40].map(pauseAfter)).toEqual([500, 1000, 2000, 4000, 8000, 10_000, 10_000])
  })
})
