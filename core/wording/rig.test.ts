import { describe, expect, it } from 'vitest'
import type { FishesUnder } from '../rig/index.ts'
import { countSentence, keptSentence, tightLineSentences, underFloatSentences } from './rig.ts'

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

describe('a tight line in sentences', () => {
  const found = {
    hung: {
      points: [],
      flies: [],
      knots: [],
      fliesMm: [870],
      onBed: false,
      inWaterMm: 1270,
      surfaceDeg: 45.6,
      sagMm: 64,
      tipMg: 190,
    },
    band: { lowMm: 840, highMm: 900 },
    mayTouch: true,
    finerMm: 880,
    toLeadMmPerS: 760,
  }
  const LED = { ledMmPerS: 680, overBedMm: 150 }

  it('says how deep at this pace, what a finer tippet would do, and how fast to lead for a height over the bed', () => {
    expect(tightLineSentences(found, LED, UNITS)).toEqual([
      'Led at 68 cm/s it hangs 0.87 m down, likely 0.84 m to 0.90 m, and may touch the bed.',
      '1.27 m of the leader are in the water, and enter it at 46°; the rest sags 6 cm.',
      'On tippet one X finer it would hang 0.88 m down.',
      'For 0.15 m above the bed lead it at 76 cm/s.',
    ])
  })

  it('tells no depth of what lies on the bed, and says where no pace does it', () => {
    const onBed = { ...found, hung: { ...found.hung, onBed: true }, finerMm: null, toLeadMmPerS: null }
    const [first, , last] = tightLineSentences(onBed, LED, UNITS)
    expect(first).toBe('Led at 68 cm/s it is on the bed: how hard it drags there is not reckoned.')
    expect(last).toBe('No pace brings it to 0.15 m above the bed here.')
  })
})

describe('a count in a sentence', () => {
  it('says how long to count, that sixty does not do, or that the water is not so deep', () => {
    expect(countSentence(30.6, { wantedMm: 2000, bedMm: 5000 }, UNITS)).toBe('To 2.00 m count 31.')
    expect(countSentence(null, { wantedMm: 2000, bedMm: 5000 }, UNITS)).toBe(
      'A count of sixty does not bring it to 2.00 m.',
    )
    expect(countSentence(null, { wantedMm: 2000, bedMm: 900 }, UNITS)).toBe('2.00 m is deeper than the water.')
  })
})

describe('a retrieve in a sentence', () => {
  it('says count, strips and pause, and how long the fly is where it is wanted', () => {
    const kept = { countS: 14, retrieve: { mmPerS: 300, stripMm: 300, pauseS: 1 }, inBandS: 21.2, wholeS: 40.4 }
    expect(keptSentence(kept, UNITS)).toBe(
      "Count 14, then strip 0.30 m at 30 cm/s, a second's pause after each: between the two for 21 s of 40.",
    )
    expect(keptSentence({ ...kept, retrieve: { ...kept.retrieve, pauseS: 0 } }, UNITS)).toContain(
      ', without a pause:',
    )
    expect(keptSentence(null, UNITS)).toBe('No count up to a minute keeps it there, however it is retrieved.')
  })
})
