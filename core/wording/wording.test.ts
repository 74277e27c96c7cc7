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

  it('say natural lengths roughly and lengths at the vise finely', () => {
    expect(wording.smallSpan(5, 8, metric)).toBe('5–8 mm')
    expect(wording.smallSpan(5, 8, inches)).toBe('0.20–0.31 in')
    expect(wording.smallSpan(9, 9, metric)).toBe('9 mm')
    expect(wording.fineSpan(1.2, 3.4, metric)).toBe('1.2–3.4 mm')
    expect(wording.fineSpan(1.2, 3.4, inches)).toBe('0.047–0.134 in')
    expect(wording.cutLength(118, metric)).toBe('12 cm')
    expect(wording.cutLength(118, inches)).toBe('4.6 in')
  })

  it('say a water as high, as fast and as warm as its angler reads it', () => {
    expect(wording.height(310, metric)).toBe('310 m')
    expect(wording.height(310, inches)).toBe('1017 ft')
    expect(wording.current(650, metric)).toBe('0.65 m/s')
    expect(wording.current(650, inches)).toBe('2.13 ft/s')
    expect(wording.wholeTemperature(19.2, inches)).toBe('67 °F')
    expect(wording.degreesOnly(-0.4, metric)).toBe('0°')
  })

  it('give what is in a drawer in units that fit the amount', () => {
    expect(wording.stockAmount(1250, 'count', metric)).toBe('12.5')
    expect(wording.stockAmount(120, 'mm', metric)).toBe('12 cm')
    expect(wording.stockAmount(9144, 'mm', metric)).toBe('9.1 m')
    expect(wording.stockAmount(9144, 'mm', inches)).toBe('30.0 ft')
    expect(wording.stockAmount(6, 'mg', metric)).toBe('6 mg')
    expect(wording.stockAmount(8400, 'mg', metric)).toBe('8.4 g')
    expect(wording.stockAmount(648, 'mg', inches)).toBe('10.0 gr')
    expect(wording.stockAmount(1290, 'patch', metric)).toBe('12.9 cm²')
    expect(wording.stockAmount(1290.32, 'patch', inches)).toBe('2.00 in²')
  })

  it('give the parts of a fly so that they add up', () => {
    expect(wording.partMass(23.44, metric)).toBe('23.4 mg')
    expect(wording.partMass(0.04, metric)).toBe('0.04 mg')
    expect(wording.partMass(-3.4, metric)).toBe('−3.4 mg')
    expect(wording.partMass(64.8, inches)).toBe('1.000 gr')
  })

  it('give a band without repeating the unit', () => {
    expect(wording.speedBand({ low: 190, high: 270 }, metric)).toBe('19–27')
  })

  it('say where they come from by the best evidence', () => {
    expect(wording.provenance(['catalogue', 'timed'])).toBe('timed')
    expect(wording.provenance(['kindDefault'])).toBe('est.')
    expect(wording.provenance(['beadWeighed', 'hookWeighed', 'catalogue'])).toBe('est., hook and bead weighed')
    expect(wording.provenance(['weighed'])).toBe('weighed')
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
