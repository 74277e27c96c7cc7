import { describe, expect, it } from 'vitest'
import { readDropTest, readTimes } from './dropTest.ts'
import type { DropUnits, Written } from './dropTest.ts'

const metres: DropUnits = { depth: 'm', vessel: 'cm' }
const written = (change: Partial<Written> = {}): Written => ({
  variantId: 'fly', depth: '1.2', vessel: '', timing: 'thumb', wet: 'soaked', line: 'none', lineLength: '0.5', lineWas: 'offTheSpool', times: '3.1 3.2 3.3', ...change,
}) // prettier-ignore

describe('readTimes', () => {
  it.each([
    ['3.1 3.2', [3.1, 3.2], null],
    ['3,1; 3,2', [3.1, 3.2], null],
    ['3.1s\n2.9s', [3.1, 2.9], null],
    ['3.1 soon 2.9 later', [3.1, 2.9], 'soon'],
    ['0', [], '0'],
    ['-2', [], '-2'],
    ['', [], null],
  ])('reads “%s”', (text, times, unclear) => {
    expect(readTimes(text)).toEqual({ times, unclear })
  })
})

describe('readDropTest', () => {
  it('has depth, mean and the test in core’s units', () => {
    const { depthMm, meanS, test, faults } = readDropTest(written({ vessel: '8', line: '0.15' }), metres)
    expect(depthMm).toBe(1200)
    expect(meanS).toBeCloseTo(3.2, 9)
    expect(faults).toEqual({})
    expect(test).toMatchObject({
      variantId: 'fly',
      vesselMm: 80,
      tippet: { diameterMm: 0.15, densityMgPerMm3: 1.13, lengthMm: 500, curlDeg: 15 },
      times: [3.1, 3.2, 3.3].map((timeS) => ({ timeS, setAside: false })),
    })
  })

  it('has no tube in open water and no line where it hung on none', () => {
    expect(readDropTest(written(), metres).test).toMatchObject({ vesselMm: null, tippet: null })
  })

  it('reads feet and inches where the user does', () => {
    const { depthMm, test } = readDropTest(written({ depth: '4', vessel: '3' }), { depth: 'ft', vessel: 'in' })
    expect(depthMm).toBeCloseTo(1219.2, 6)
    expect(test?.vesselMm).toBeCloseTo(76.2, 6)
  })

  it.each([
    ['depth', '0.04', 'At least 0.05 m.'],
    ['depth', '10.1', 'At most 10 m.'],
    ['depth', 'deep', 'Write a figure.'],
    ['vessel', '0.9', 'At least 1 cm.'],
    ['vessel', '501', 'At most 500 cm.'],
    ['times', 'now', '“now” is no time.'],
  ] as const)('says what is wrong with a %s of “%s”, and keeps nothing', (field, text, fault) => {
    const { faults, test } = readDropTest(written({ [field]: text }), metres)
    expect(faults[field]).toBe(fault)
    expect(test).toBeNull()
  })

  it.each([['depth', '0.05'], ['depth', '10'], ['vessel', '1'], ['vessel', '500']] as const)('takes a %s of %s', (field, text) => {
    expect(readDropTest(written({ [field]: text }), metres).test).not.toBeNull()
  }) // prettier-ignore

  it('is not ready without a fly or without a time', () => {
    expect(readDropTest(written({ variantId: null }), metres).test).toBeNull()
    expect(readDropTest(written({ times: '  ' }), metres).test).toBeNull()
  })
})
