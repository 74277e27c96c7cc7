import { describe, expect, it } from 'vitest'
import type { MomentView, StandingsView } from '../../contract/index.ts'
import { censusMarks, holeMarks } from './hung.ts'

const view = {
  moment: { on: '2026-06-06' },
  foods: [
    { foodStageId: 'dun', name: 'Mayfly, dun', fromMm: 0, toMm: 0, onIt: 0.2 },
    { foodStageId: 'smut', name: 'Reed smut, adult', fromMm: 0, toMm: 0, onIt: 0.02 },
  ],
} as unknown as MomentView
const stage = (foodStageId: string, standing: string, on: string, reachName: string) => ({ foodStageId, standing, on, reachName }) // prettier-ignore
const standings = (...stages: object[]) => ({ stages }) as unknown as StandingsView

describe('holes in the Column', () => {
  it('are those of the water that is looked at: its reach, its day', () => {
    const holes = (...stages: object[]) =>
      holeMarks(view, standings(...stages), 'Bridge Reach').map(({ id }) => id)
    expect(holes(stage('dun', 'hole', '2026-06-06', 'Bridge Reach'))).toEqual(['hole:dun'])
    expect(holes(stage('dun', 'thin', '2026-06-06', 'Bridge Reach'))).toEqual([])
    expect(holes(stage('smut', 'hole', '2026-06-13', 'Lavvel Brook'))).toEqual([])
    expect(holes(stage('smut', 'hole', '2026-06-06', 'Lavvel Brook'))).toEqual([])
    expect(holes(stage('smut', 'hole', '2026-06-13', 'Bridge Reach'))).toEqual([])
    expect(holeMarks(view, undefined, 'Bridge Reach')).toEqual([])
    const best = {
      ...{ variantId: 'v', patternId: 'p', name: 'Paper Lantern #10' },
      batch: { count: 3, compartmentId: 'c' },
    }
    const led = (fly: object | null) =>
      holeMarks(
        view,
        standings({ ...stage('dun', 'hole', '2026-06-06', 'Bridge Reach'), best: fly }),
        'Bridge Reach',
      )[0]
    expect(led(best)).toMatchObject({
      words: 'Paper Lantern #10 would serve · B or the vise queues 3',
      to: '/patterns/p?variant=v',
      batch: { variantId: 'v', count: 3, compartmentId: 'c' },
    })
    expect(led(null)).toMatchObject({ words: 'design one', to: '/patterns/new?serves=dun', batch: null })
  })
})

describe('flies in the Column', () => {
  it('stand apart where they are packed, and are named before what is missing', () => {
    const fly = (variantId: string, onHand: number, par: number, packed: number) => ({ variantId, patternId: 'p', patternName: 'Barley Sugar', label: '#14', depthMm: 300, onHand, par, packed, drawingKey: 'k' }) // prettier-ignore
    const flies = [fly('there', 3, 3, 0), fly('gone', 0, 3, 0), fly('along', 3, 3, 2)]
    const marks = censusMarks({ flies } as unknown as MomentView)
    expect(marks.map(({ look }) => look)).toEqual(['fly', 'out', 'packed'])
    expect(marks.map(({ words }) => words)).toEqual(['3 of 3', '0 of 3', '2 packed, 3 of 3'])
    expect([...marks].sort((a, b) => b.rank - a.rank).map(({ id }) => id)).toEqual(['along', 'gone', 'there'])
  })
})
