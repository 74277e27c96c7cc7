import { describe, expect, it } from 'vitest'
import type { MaterialLine } from '../../contract/index.ts'
import { drawerTitle, STATE_COLOURS, STATE_WORDS, stateOf } from './drawerState.ts'

const drawer = (onHand: number | null, minimumAmount: number | null) =>
  ({ onHand, minimumAmount }) as MaterialLine

describe('how a drawer stands', () => {
  it.each([
    [null, null, 'notCounted'],
    [null, 10, 'notCounted'],
    [-1, 10, 'countNeeded'],
    [-0.5, null, 'countNeeded'],
    [0, null, 'out'],
    [0, 10, 'out'],
    [9, 10, 'low'],
    [10, 10, 'enough'],
    [0.5, null, 'enough'],
  ] as const)('%s of at least %s is %s', (onHand, least, state) => {
    expect(stateOf(drawer(onHand, least))).toBe(state)
  })

  it('is said in words wherever something is to be done, and never by colour alone', () => {
    const words = Object.entries(STATE_WORDS)
    expect(words.filter(([, said]) => said === '').map(([state]) => state)).toEqual(['enough'])
    expect(new Set(words.map(([, said]) => said)).size).toBe(words.length)
    expect(STATE_COLOURS.out).not.toBe(STATE_COLOURS.low)
  })

  it('is titled by its goods, size and colour', () => {
    const title = drawerTitle({ kind: 'bead', name: 'Slotted tungsten bead', sizeKey: '2.8', colourName: 'copper' } as MaterialLine) // prettier-ignore
    for (const part of ['tungsten', '2.8', 'copper']) expect(title).toContain(part)
  })
})
