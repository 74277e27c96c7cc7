import { describe, expect, it } from 'vitest'
import materials from '../material/shipped/materials.json' with { type: 'json' }
import { shippedFamilies } from '../material/shipped/catalogue.ts'
import { hookCurve, makeHook } from './index.ts'

const standard = { style: 'straight', xLong: 0, xHeavy: 0, steps: 'wholeSizes' } as const

describe('makeHook', () => {
  it('agrees with the reference table of every style and size within 1.5 %', () => {
    let compared = 0
    for (const style of materials.hookStyles) {
      const family = shippedFamilies.find(({ key }) => key === style.family)
      if (!family?.hook) throw new Error(`family of ${style.key} has no hook`)
      for (const [size, row] of Object.entries(style.bySize)) {
        const hook = makeHook(Number(size), family.hook)
        expect(hook.shankMm / row.shankMm).toBeCloseTo(1, 1.8)
        expect(Math.abs(hook.massMg / row.massMg - 1), `${style.key} ${size}`).toBeLessThan(0.015)
        compared += 1
      }
    }
    expect(compared).toBeGreaterThan(80)
  })

  it('gives nX long the shank of a hook n sizes larger', () => {
    const long = makeHook(16, { ...standard, xLong: 2 })
    expect(long.shankMm).toBeCloseTo(makeHook(14, standard).shankMm, 9)
    expect(long.gapeMm).toBeCloseTo(makeHook(16, standard).gapeMm, 9)
  })

  it('counts even sizes double where the convention says so', () => {
    const whole = makeHook(16, { ...standard, xHeavy: 2 })
    const even = makeHook(16, { ...standard, xHeavy: 1, steps: 'evenSizes' })
    expect(even.wireMm).toBeCloseTo(whole.wireMm, 9)
  })

  it.each([0, 1, 26, 100, NaN])('refuses size %s', (size) => {
    expect(() => makeHook(size, standard)).toThrow(RangeError)
  })
})

describe('hookCurve', () => {
  it('opens the gape between shank and point', () => {
    const hook = makeHook(12, standard)
    const point = hookCurve(hook).at(-1)
    expect(point?.yMm).toBeCloseTo(-(hook.gapeMm + hook.wireMm), 6)
    expect(point?.xMm).toBeCloseTo(hook.shankMm - 0.7 * hook.gapeMm, 6)
  })

  it('bends the neck of a jig hook towards the point, before the eye', () => {
    const start = hookCurve(makeHook(16, { ...standard, style: 'jig60' }))[0]
    expect(start?.yMm).toBeLessThan(0)
    expect(start?.xMm).toBeLessThan(0)
  })

  it('is as long as the wire without its eye and point taper', () => {
    const hook = makeHook(14, { ...standard, style: 'curved' })
    const curve = hookCurve(hook)
    const drawn = curve.slice(1).reduce((sum, p, i) => {
      const before = curve[i] ?? p
      return sum + Math.hypot(p.xMm - before.xMm, p.yMm - before.yMm)
    }, 0)
    const eyeMm = Math.PI * (0.2 * hook.gapeMm + hook.wireMm)
    const taperedAwayMm = (0.7 * hook.gapeMm) / 3
    expect(drawn / (hook.wireLengthMm - eyeMm + taperedAwayMm)).toBeCloseTo(1, 2)
  })
})
