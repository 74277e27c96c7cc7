import { describe, expect, it } from 'vitest'
import { drawerUses, readyDays } from './index.ts'

const drawers = [
  { key: 'bead', onHand: 500, leadTimeDays: 4 },
  { key: 'hook', onHand: null, leadTimeDays: 9 },
  { key: 'wire', onHand: 100, leadTimeDays: null },
]
const bill = [
  { materialId: 'bead', perFly: 100 },
  { materialId: 'hook', perFly: 100 },
  { materialId: 'wire', perFly: 60 },
]

describe('readyDays', () => {
  it('waits for a delivery once the batches before have emptied the drawer', () => {
    const batches = [
      { bill, count: 3 },
      { bill, count: 3 },
    ]
    expect(readyDays(batches, drawers, '2026-06-29')).toEqual([null, '2026-07-03'])
  })

  it('waits for nothing that was never counted, or of which nobody knows how long it takes', () => {
    expect(readyDays([{ bill: bill.slice(1), count: 50 }], drawers, '2026-06-29')).toEqual([null])
  })
})

describe('drawerUses', () => {
  it('sums what evenings take, and names the evening on which a drawer runs short', () => {
    const batch = { bill, setup: { thread: '', hook: '', bead: '' }, count: 4, minutes: 32 }
    const evenings = [
      { on: '2026-06-30', batch, count: 4 },
      { on: '2026-07-01', batch, count: 2 },
    ]
    expect(drawerUses(evenings, drawers)).toEqual([
      { key: 'bead', amount: 600, neededOn: '2026-07-01' },
      { key: 'hook', amount: 600, neededOn: null },
      { key: 'wire', amount: 360, neededOn: '2026-06-30' },
    ])
  })
})
