import { describe, expect, it } from 'vitest'
import { COUNTS_NAMED } from '../../../contract/countsNamed.ts'
import type { Sent } from '../api.ts'
import { afterDelivery, countsHere, REMEMBERED } from './counts.ts'

const count = (id: string, kind = 'done', stepKey: string | null = null) =>
  ({ id, kind: 'batchCount', body: { eventId: `event ${id}`, batchId: 'olives', kind, stepKey, count: 1 } }) as unknown as Sent // prettier-ignore
const undo = (id: string, actionId: string) => ({ id, kind: 'undo', body: { actionId } }) as unknown as Sent
const note = { id: 'n', kind: 'batchNote', body: { batchId: 'olives', note: 'sparser' } } as unknown as Sent
const delivered = (...sent: readonly Sent[]) =>
  sent.reduce<ReturnType<typeof afterDelivery>>((before, one) => afterDelivery(before, one), [])
const idsOf = (counts: ReturnType<typeof countsHere>) => counts.map(({ writeId }) => writeId)

describe('what was counted here', () => {
  it('is what waits and counts flies: done, spoiled, through a step; not where the work stands', () => {
    const queue = [count('a'), note, count('b', 'spoiled'), count('c', 'station', 'rib'), count('d', 'step', 'rib'), count('e', 'pause')] // prettier-ignore
    expect(countsHere([], queue)).toEqual([
      { writeId: 'a', eventId: 'event a', batchId: 'olives', kind: 'done', stepKey: null },
      { writeId: 'b', eventId: 'event b', batchId: 'olives', kind: 'spoiled', stepKey: null },
      { writeId: 'c', eventId: 'event c', batchId: 'olives', kind: 'station', stepKey: 'rib' },
    ])
  })

  it('is what was delivered too, once, however often', () => {
    expect(idsOf(countsHere(delivered(count('a'), count('b'), note, count('a')), [count('c')]))).toEqual(['b', 'a', 'c']) // prettier-ignore
  })

  it('is not what waits to be taken back, delivered or not; and is again where that is taken back', () => {
    const before = delivered(count('a'))
    expect(idsOf(countsHere(before, [count('b'), undo('u', 'b'), undo('v', 'a')]))).toEqual([])
    expect(idsOf(countsHere(before, [count('b'), undo('u', 'b'), undo('v', 'u')]))).toEqual(['a', 'b'])
  })

  it('is not what was taken back', () => {
    expect(idsOf(delivered(count('a'), count('b'), undo('u', 'a')))).toEqual(['b'])
  })

  it('is remembered for a while, and never longer than a view names it beside what others count', () => {
    expect(REMEMBERED).toBeLessThan(COUNTS_NAMED / 2)
    const many = Array.from({ length: REMEMBERED + 3 }, (_, n) => count(String(n)))
    const kept = idsOf(delivered(...many))
    expect([kept.length, kept[0], kept.at(-1)]).toEqual([REMEMBERED, '3', String(REMEMBERED + 2)])
  })
})
