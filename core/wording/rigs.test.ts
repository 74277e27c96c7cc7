import { describe, expect, it } from 'vitest'
import type { DisplayUnits } from '../quantity/index.ts'
import type { FishesRig, RigSense } from '../rig/index.ts'
import { readSpool } from '../rig/index.ts'
import { bringToSentence, dragFreeSentence, lineRateSentence, lineSentences, otherFliesSentences, rigFlySentences, rigForbidsSentence, rigNotSentence, rigPartWords, rigPhraseWords, rigSenseSentence, rigSentences, spoolSentence, thickness, weakestSentence, wornSentence } from './rigs.ts' // prettier-ignore

const UNITS: DisplayUnits = { smallLength: 'mm', depth: 'm', speed: 'cm/s', temperature: '°C', mass: 'mg' }
const INCHES: DisplayUnits = { smallLength: 'in', depth: 'ft', speed: 'in/s', temperature: '°F', mass: 'gr' }
const nameOf = () => 'Wet Slate #18'
const nth = (i: number) => ['Wet Slate #18', 'Third Button #16'][i] ?? ''

describe('a part of a rig in words', () => {
  it('has its lengths and thickness in the user’s units', () => {
    const part = { kind: 'tippet', lengthMm: 600, diameterMm: 0.14, stuff: 'nylon' } as const
    expect(rigPartWords(part, nameOf, UNITS)).toBe('60 cm of 0.14 mm nylon')
    expect(rigPartWords(part, nameOf, INCHES)).toBe('23.6 in of .0055 in nylon')
    expect(thickness(0.1524, INCHES)).toBe('.0060 in')
  })
  it('names its fly, or that none is chosen', () => {
    expect(rigPartWords({ kind: 'point', fly: 'a' }, nameOf, UNITS)).toBe('point: Wet Slate #18')
    expect(rigPartWords({ kind: 'dropper', lengthMm: 150, fly: null }, nameOf, UNITS)).toBe(
      'dropper of 15 cm: no fly chosen yet',
    )
  })
  it('says of a phrase what was taken as usual, or asks', () => {
    const part = { kind: 'float', diameterMm: 12, massMg: 200 } as const
    expect(rigPhraseWords({ text: 'float 12 mm', part, assumed: ['mass'] }, nameOf, UNITS)).toBe(
      'float, 12 mm, 200 mg (taken as usual: weight)',
    )
    expect(rigPhraseWords({ text: '60', part: null, unread: 'length', near: [] }, nameOf, UNITS)).toMatch(
      /^how long\?/,
    )
    expect(
      rigPhraseWords({ text: 'point Wet', part: null, unread: 'fly', near: ['Wet Slate #18'] }, nameOf, UNITS),
    ).toBe('which fly? Wet Slate #18')
  })
})

describe('where a rig fishes in sentences', () => {
  const there = [
    { depthMm: 480, band: { lowMm: 470, highMm: 490 }, onBed: false },
    { depthMm: 812, band: { lowMm: 810, highMm: 813 }, onBed: false },
  ]
  const fishes: FishesRig = {
    ...{ kind: 'fishes', way: 'carried', hung: [0, 1], tight: null, toSetMm: 1000 },
    carried: { speedMmPerS: 620, loadMg: 137, holds: true },
    moments: [{ timeS: 0, points: [], flies: [], knots: [], there }],
  }
  const input = {
    current: { depthMm: 900, surfaceMmPerS: 750, roughnessMm: 60 },
    overBedMm: 150,
    parts: [
      { kind: 'float', diameterMm: 12, massMg: 200 },
      { kind: 'tippet', lengthMm: 1700, diameterMm: 0.14, stuff: 'nylon' },
    ],
  } as const

  it('says each fly with what is likely where that is worth saying', () => {
    expect(rigFlySentences({ there }, ['Slate', 'Button'], UNITS)).toEqual([
      'Slate 0.48 m down, likely 0.47 m to 0.49 m.',
      'Button 0.81 m down, hardly otherwise.',
    ])
    expect(rigFlySentences({ there: [{ ...there[0]!, onBed: true }] }, ['Slate'], UNITS)).toEqual([
      'Slate is on the bed.',
    ])
  })

  it('says pace, load and what to set, and nothing of that before it was searched', () => {
    expect(rigSentences(fishes, input, UNITS)).toEqual([
      'The float goes 62 cm/s where the surface goes 75 cm/s.',
      'It bears 137 mg.',
      'It is set to 1.70 m; for the lowest fly 0.15 m above the bed set 1.00 m.',
    ])
    const early = {
      ...fishes,
      toSetMm: null,
      moments: [{ ...fishes.moments[0]!, there: [{ ...there[0]!, band: null }] }],
    }
    expect(rigSentences(early, input, UNITS)).toHaveLength(2)
    const under = { ...fishes, carried: { ...fishes.carried!, holds: false } }
    expect(rigSentences(under, input, UNITS)[1]).toBe('It is drawn under: 137 mg hang from it.')
  })

  it('says why not, what a water forbids, and how to bring it there', () => {
    expect(rigNotSentence({ kind: 'not', why: 'noFly' })).toMatch(/^Choose its flies/)
    expect(rigForbidsSentence('Lavvel Brook', [])).toBe('')
    expect(rigForbidsSentence('Lavvel Brook', ['noIndicator', 'maxFlies'])).toBe(
      'Not at Lavvel Brook, by your note of its rules: no indicator, fewer flies on a leader.',
    )
    expect(bringToSentence({ kind: 'set', fly: 1, settingMm: 870 }, nth, UNITS)).toBe(
      'Third Button #16: set it to 0.87 m',
    )
    expect(bringToSentence({ kind: 'count', fly: 0, fromS: 6, toS: 8 }, nth, UNITS)).toBe(
      'Wet Slate #18: count 6 to 8',
    )
    expect(bringToSentence({ kind: 'count', fly: 0, fromS: 41, toS: 60 }, nth, UNITS)).toBe(
      'Wet Slate #18: count 41 or more',
    )
    expect(bringToSentence({ kind: 'lead', fly: 1, ledMmPerS: 620 }, nth, UNITS)).toBe(
      'Third Button #16: lead it at 62 cm/s',
    )
  })
})

describe('what a rig lacks in sentences', () => {
  const said = (sense: RigSense) => rigSenseSentence(sense, nth, UNITS)
  it('says what it does, and what would', () => {
    expect(said({ kind: 'heavyDropper', dropper: 0, point: 1 })).toBe(
      'Wet Slate #18 is heavier than the point: Third Button #16 streams up to its level. Tie the heaviest to the point.',
    )
    expect(said({ kind: 'tooFine', fly: 1, x: 7.1, aboutX: 5.3 })).toMatch(
      /^7X is fine for Third Button #16: .* about 5X/,
    )
    expect(said({ kind: 'sinksUnderDry', fly: 0, pullsMg: 6.2 })).toContain(
      'pulls at Wet Slate #18 with 6.2 mg',
    )
    expect(said({ kind: 'step', fromMm: 0.3, toMm: 0.14 })).toMatch(/^From 0\.30 mm to 0\.14 mm/)
  })
  it('says what counts say of a line, with how sure that is', () => {
    expect(lineRateSentence({ factor: 0.94, sdLog: 0.08, reckonedS: [58] }, 1)).toBe(
      'By one count its line is taken to sink 6 % slower than its spool says, likely 15 % slower to 4 % faster.',
    )
    expect(lineRateSentence({ factor: 1.001, sdLog: 0.05, reckonedS: [58, 60] }, 2)).toMatch(
      /^By 2 counts its line is taken to sink as its spool says, likely 6 % slower to 7 % faster/,
    )
  })
  it('says what follows from a spool, and how far rate and weight are apart', () => {
    const spool = { diameterMm: 1, rateMmPerS: 75, weight: { massMg: 160 * 64.799, lengthMm: 9144 } }
    expect(spoolSentence(readSpool(spool)!, spool, UNITS)).toMatch(
      /^So it is of 1\.44 g\/cm³, and sinks 6\.\d cm\/s in water of 20\.0 °C\. By its rate it would be of 1\.55, 8 % more/,
    )
    const rateAlone = { ...spool, weight: null }
    expect(spoolSentence(readSpool(rateAlone)!, rateAlone, UNITS)).toBe(
      'So it is of 1.55 g/cm³, and sinks 7.5 cm/s in water of 20.0 °C.',
    )
    const piece = { kind: 'line', sort: 'sinking', lengthMm: 9000, diameterMm: 1.05, rateMmPerS: 51 } as const
    const tip = { ...piece, lengthMm: 1500, diameterMm: 0.82, rateMmPerS: 43 }
    expect(lineSentences([piece, tip], UNITS)).toEqual([
      '1.05 mm thick, sinks 5.1 cm/s in water of 20.0 °C.',
      'Its last 1.50 m: 0.82 mm, sinks 4.3 cm/s.',
    ])
    expect(lineSentences([{ ...piece, rateMmPerS: null }], UNITS)[0]).toMatch(
      /^1\.05 mm thick, floats in water/,
    )
  })
  it('says which flies would do instead', () => {
    const rig = { parts: [{ kind: 'dry', fly: 'd' } as const], overBedMm: 150, way: 'carried' as const }
    const dries = ['a', 'b', 'c', 'd', 'e'].map((key) => ({ key, spareMg: 40 }))
    const said = otherFliesSentences(
      { point: { key: 'p', depthMm: 812 }, dries },
      rig,
      (key) => `Fly ${key}`,
      UNITS,
    )
    expect(said[0]).toContain('within 0.15 m of the bed, and does not lie on it: Fly p, 0.81 m down.')
    expect(said[1]).toBe('Dries on hand that bear what hangs from it: Fly a, Fly b, Fly c, Fly d and 1 more.')
    const none = otherFliesSentences({ point: null, dries: [] }, { ...rig, parts: [] }, String, UNITS)
    expect(none).toEqual(['No point on hand fishes within 0.15 m of the bed without lying on it.'])
  })
  it('says how long a cast drifts free, and how that hangs on its slack', () => {
    expect(dragFreeSentence({ forS: 2.1, lowS: 1.6, highS: 2.4000000000000004 })).toBe(
      'Laid so it drifts free for about 2.1 s, 1.6 s to 2.4 s by how its slack lies; then its line draws it.',
    )
    expect(dragFreeSentence({ forS: null, lowS: 12, highS: null })).toContain(
      'about more than 20 s, 12.0 s to more than 20 s',
    )
    expect(dragFreeSentence({ forS: null, lowS: null, highS: null })).toContain('nothing draws it')
  })
  it('says how far knots are trusted, and when they are to be tied anew', () => {
    const worn = { fishedMin: 0, days: 0, stuff: 'nylon' } as const
    const said = (more: object) => wornSentence({ ...worn, ...more }, 'Mon 1 Jun')
    expect(said({})).toBe('Tied Mon 1 Jun, not fished since: trusted as new.')
    expect(said({ fishedMin: 300, days: 2 })).toBe(
      'Tied Mon 1 Jun, fished for 5 h since: 92 % of that is trusted, by judgement.',
    )
    expect(said({ fishedMin: 600 })).toMatch(/: 85 % of that is trusted, by judgement\. Tie its knots anew\.$/)
  })
  it('names the knot that goes first', () => {
    expect(
      weakestSentence({ after: 0, knot: 'surgeon', holdsKg: 1.58, diameterMm: 0.16, stuff: 'nylon' }, UNITS),
    ).toBe('The weakest is the surgeon’s knot at 0.16 mm: about 1.6 kg when wet, a quarter more or less.')
    expect(weakestSentence(null, UNITS)).toBe('')
  })
})
