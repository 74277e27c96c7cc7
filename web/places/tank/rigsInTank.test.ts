import { describe, expect, it } from 'vitest'
import { rigsCsv } from './rigsInTank.ts'
import type { RigInTank } from './rigsInTank.ts'

const rig = (depths: readonly number[]): RigInTank => ({
  name: 'Slow sinker',
  flies: ['Pepper Pot'],
  fishes: {
    ...{ kind: 'fishes', way: 'counted', hung: [0], carried: null, tight: null, toSetMm: null },
    moments: depths.map((depthMm, timeS) => ({
      ...{ timeS, points: [], flies: [], knots: [] },
      there: [
        { depthMm, onBed: false, band: timeS === 0 ? null : { lowMm: depthMm - 9, highMm: depthMm + 11 } },
      ],
    })),
  },
})

describe('rigs as a table', () => {
  it('has each fly by the second with its band, and nothing where it is not known', () => {
    const [head, first, second] = rigsCsv([rig([0, 84.4])])
      .trim()
      .split(/\r?\n/)
    expect(head).toContain('Slow sinker, Pepper Pot low mm')
    expect(first).toBe('0,0,,')
    expect(second).toBe('1,84,75,95')
  })
  it('goes on as long as the longest', () => {
    expect(
      rigsCsv([rig([0, 10]), rig([0, 10, 20])])
        .trim()
        .split(/\r?\n/),
    ).toHaveLength(4)
  })
})
