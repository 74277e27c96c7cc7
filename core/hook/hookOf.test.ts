import { describe, expect, it } from 'vitest'
import type { Property } from '../material/index.ts'
import { shippedMaterial } from '../testing/shippedMaterial.ts'
import { hookMassSdLog, hookOf } from './index.ts'
import { stepsOf } from '../testing/steps.ts'

const hook = shippedMaterial('hook-straight', '14', 'bronze')
const measured = (mm: number, off: number): Property => ({
  value: mm,
  low: mm - off,
  high: mm + off,
  evidence: 'entered',
})
const measuredHook = (overrides: Record<string, Property>) => ({ ...hook, overrides })

describe('hookOf', () => {
  it('takes what was measured and leaves the rest to the size', () => {
    const usual = hookOf(hook)
    const own = hookOf(measuredHook({ wireMm: measured(0.5, 0.01) }))
    expect(own).toMatchObject({ wireMm: 0.5, shankMm: usual?.shankMm, gapeMm: usual?.gapeMm })
    expect((own?.massMg ?? 0) / (usual?.massMg ?? 1)).toBeCloseTo((0.5 / (usual?.wireMm ?? 1)) ** 2, 1)
  })

  it('is null for what is no hook', () => {
    expect(hookOf(shippedMaterial('bead-brass-drilled', '2.8'))).toBeNull()
  })
})

describe('hookMassSdLog', () => {
  it('is the makers’ spread until the wire is measured, and least once the shank is too', () => {
    const wire = { wireMm: measured(0.42, 0.012) }
    const both = { ...wire, shankMm: measured(8.5, 0.15) }
    const sds = [hook, measuredHook(wire), measuredHook(both)].map(hookMassSdLog)
    expect(sds[0]).toBeCloseTo(Math.log(1.3) / 1.2815515655446, 6)
    expect(Math.max(...stepsOf(sds))).toBeLessThan(0)
    expect(sds[2]).toBeGreaterThan(0.03)
  })

  it('is not helped by the shank alone, since the wire counts twice', () => {
    expect(hookMassSdLog(measuredHook({ shankMm: measured(8.5, 0.15) }))).toBe(hookMassSdLog(hook))
  })
})
