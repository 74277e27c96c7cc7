import { describe, expect, it } from 'vitest'
import type { Sent } from '../api.ts'
import type { Waiting } from './kept.ts'
import { behind, nextToSend, subjectsOf } from './order.ts'

const sent = (id: string, kind: string, body: object) => ({ id, kind, body }) as unknown as Sent
const queued = (id: string, body: object, refused = false, kind = 'batchCount'): Waiting => ({
  ...sent(id, kind, body),
  seq: 1,
  tries: 1,
  faults: 0,
  ...(refused ? { refused: { detail: 'No.' } } : {}),
})

describe('the next to send', () => {
  it('is the first, whatever comes behind it', () => {
    expect(nextToSend([])).toBeNull()
    expect(nextToSend([queued('a', { batchId: 'x' }), queued('b', { batchId: 'y' })])?.id).toBe('a')
  })

  it('passes what was refused, but nothing of the same batch, box or record does', () => {
    const queue = [
      queued('a', { batchId: 'x' }, true),
      queued('b', { batchId: 'x' }),
      queued('c', { boxId: 'q', compartments: [{ id: 'p' }] }, true, 'boxCreate'),
      queued('d', { compartmentId: 'p', variantId: 'v' }, false, 'fliesCount'),
      queued('e', { batchId: 'y', compartmentId: 'other' }),
    ]
    expect(nextToSend(queue)?.id).toBe('e')
    expect(nextToSend(queue.slice(0, 4))).toBeNull()
    // what hangs together with one that is held is held as well
    expect(nextToSend([...queue.slice(0, 4), queued('f', { variantId: 'v' }, false, 'batchPlan')])).toBeNull()
  })

  it('holds the undo of a write that was refused', () => {
    expect(
      nextToSend([queued('a', { batchId: 'x' }, true), queued('b', { actionId: 'a' }, false, 'undo')]),
    ).toBeNull()
  })

  it('does not take two patterns for one because they serve the same food', () => {
    const serving = (patternId: string) => ({ patternId, serves: [{ foodStageId: 'dun' }] })
    const queue = [
      queued('a', serving('p'), true, 'patternSave'),
      queued('b', serving('q'), false, 'patternSave'),
    ]
    expect(nextToSend(queue)?.id).toBe('b')
  })
})

describe('subjectsOf', () => {
  it('are the write itself and all ids of its body, however deep', () => {
    const body = {
      boxId: 'q',
      name: 'Not an id',
      from: { compartmentId: 'p' },
      rows: [{ variantId: 'v', note: 'x' }],
    }
    expect([...subjectsOf(sent('a', 'fliesMove', body))].sort()).toEqual(['a', 'p', 'q', 'v'])
    expect(subjectsOf(sent('a', 'settingsSave', { change: {} })).has('settings')).toBe(true)
  })
})

describe('a write behind those that wait', () => {
  const save = (id: string, version: number | null, patternId = 'p') =>
    sent(id, 'patternSave', { patternId, version })
  const held = (id: string, version: number | null) => ({ ...queued(id, {}), ...save(id, version) }) as Waiting
  const versionOf = (body: unknown) => (body as { version: number | null }).version

  it('starts from the version that the one before will have made', () => {
    expect(versionOf(behind(save('c', 4), [held('a', 4), held('b', 5)]).body)).toBe(6)
    expect(versionOf(behind(save('c', null), [held('a', null)]).body)).toBe(1)
  })

  it('is sent as it is where none of its record waits, or one of another version does', () => {
    expect(behind(save('c', 4, 'other'), [held('a', 4)])).toEqual(save('c', 4, 'other'))
    expect(versionOf(behind(save('c', 7), [held('a', 4)]).body)).toBe(7)
    expect(behind(sent('c', 'undo', { actionId: 'a' }), [held('a', 4)])).toEqual(
      sent('c', 'undo', { actionId: 'a' }),
    )
  })
})
