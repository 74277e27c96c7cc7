import { describe, expect, it } from 'vitest'
import type { FishesUnder } from '../rig/index.ts'
import { underFloatSentences } from './rig.ts'

const UNITS = { depth: 'm', speed: 'cm/s', mass: 'mg' } as Parameters<typeof underFloatSentences>[2]
const SET = { setMm: 1200, overBedMm: 150, surfaceMmPerS: 600 }
const found: FishesUnder = {
  drifted: { depthMm: 998, lagMm: 632, speedMmPerS: 524, loadMg: 51.8, holds: true },
  band: { lowMm: 975, highMm: 1021 },
  onBed: false,
  mayTouch: false,
  toSetMm: 1060,
}

describe('a fly under a float', () => {
  it('is said by how deep it is, how far behind, what the float bears, and what to set', () => {
    expect(underFloatSentences(found, SET, UNITS)).toEqual([
      'Set at 1.20 m it drifts 1.00 m down, likely 0.97 m to 1.02 m, 0.63 m behind its float.',
      'The float goes 52 cm/s where the surface goes 60 cm/s.',
      'It bears 52 mg.',
      'For 0.15 m above the bed set 1.06 m.',
    ])
  })

  it('may touch the bed where its band reaches it', () => {
    const [drifts] = underFloatSentences({ ...found, mayTouch: true }, SET, UNITS)
    expect(drifts).toMatch(/behind its float, and may touch the bed\.$/)
  })

  it('drags on the bed, draws its float under, or is not brought down, and that is said', () => {
    const bad = { ...found, onBed: true, toSetMm: null, drifted: { ...found.drifted, holds: false } }
    expect(underFloatSentences(bad, { ...SET, surfaceMmPerS: 0 }, UNITS)).toEqual([
      'Set at 1.20 m it drags along the bed.',
      'It is drawn under: 52 mg hang from it.',
      'No leader brings it to 0.15 m above the bed here.',
    ])
  })
})
