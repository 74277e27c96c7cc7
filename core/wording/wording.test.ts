import { describe, expect, it } from 'vitest'
import * as wording from './index.ts'
import type { DisplayUnits } from '../quantity/index.ts'

const metric: DisplayUnits = { smallLength: 'mm', depth: 'm', speed: 'cm/s', temperature: '°C', mass: 'mg' }
const inches: DisplayUnits = { smallLength: 'in', depth: 'ft', speed: 'in/s', temperature: '°F', mass: 'gr' }

describe('figures', () => {
  it('speak in the units of the user', () => {
    expect(wording.speed(231, metric)).toBe('23 cm/s')
    expect(wording.speed(231, inches)).toBe('9.1 in/s')
    expect(wording.temperature(12.7, inches)).toBe('54.9 °F')
    expect(wording.depth(900, metric)).toBe('0.9 m')
    expect(wording.depth(900, inches)).toBe('3.0 ft')
    expect(wording.mass(143.9, metric)).toBe('144 mg')
    expect(wording.mass(143.9, inches)).toBe('2.22 gr')
  })

  it('give a band without repeating the unit', () => {
    expect(wording.speedBand({ value: 230, low: 190, high: 270, basis: ['catalogue'] }, metric)).toBe('19–27')
  })

  it('say where they come from by the best evidence', () => {
    expect(wording.provenance(['catalogue', 'timed'])).toBe('timed')
    expect(wording.provenance(['kindDefault'])).toBe('est.')
  })

  it('say chances in tens', () => {
    expect(wording.inTen(0.62)).toBe('6 in 10')
    expect(wording.inTen(0.01)).toBe('rarely')
  })

  it('show a bead both ways', () => {
    expect(wording.beadSize(2.8)).toBe('2.8 mm · 7/64 in')
    expect(wording.beadSize(3.3)).toBe('3.3 mm')
  })
})

describe('reasons', () => {
  it('say what is wrong and what would do', () => {
    const sentence = wording.fitSentence(
      {
        severity: 'fault',
        code: 'beadLargerThanGape',
        componentKey: 'bead',
        kind: 'bead',
        found: 4,
        limit: 3.1,
      },
      metric,
    )
    expect(sentence).toContain('4.0 mm')
    expect(sentence).toContain('3.1 mm')
    expect(wording.unclearSentence('speedUnlikely', ['9 cm/s'])).toContain('Did you mean 9 cm/s?')
  })
})

describe('dryingTip', () => {
  it('says how many nights, and nothing where it is dry within the evening', () => {
    expect(wording.dryingTip(0)).toBeNull()
    expect(wording.dryingTip(1)).toMatch(/overnight/)
    expect(wording.dryingTip(2)).toMatch(/2 nights/)
  })
})

describe('drawerName', () => {
  it('says family, size as the goods are said, and colour', () => {
    const bead = { kind: 'bead' as const, name: 'Tungsten alloy bead, slotted' }
    expect(wording.drawerName(bead, '2.8', 'copper')).toBe(
      'Tungsten alloy bead, slotted, 2.8 mm · 7/64 in, copper',
    )
    expect(wording.drawerName({ kind: 'hook', name: 'Hook, jig' }, '16', '')).toBe('Hook, jig, #16')
    expect(wording.drawerName({ kind: 'dubbing', name: 'Hare' }, '', 'tan')).toBe('Hare, tan')
  })
})

describe('entryWords', () => {
  const said = (cause: 'lost' | 'moved' | 'counted', delta: number, takesBack = false) =>
    wording.entryWords({ cause, delta, lossCause: cause === 'lost' ? 'tree' : null, takesBack })
  it('says why, which way, and what was taken back', () => {
    expect(said('lost', -1)).toBe('lost: tree')
    expect(said('moved', -2)).toBe('moved out')
    expect(said('moved', 2)).toBe('moved in')
    expect(said('counted', 0)).toBe('counted, as thought')
    expect(said('lost', 1, true)).toBe('taken back: lost: tree')
  })
})
