import { describe, expect, it } from 'vitest'
import { resolveDressing } from '../dressing/index.ts'
import { emerger, hackledDry } from '../testing/shippedMaterial.ts'
import { evaluateFly, LIST_CONDITIONS } from './index.ts'

function floating(made: ReturnType<typeof emerger>) {
  const fly = resolveDressing(made.dressing, made.variant, made.materials)
  if (fly.kind !== 'fly') throw new Error(JSON.stringify(fly.missing))
  const report = evaluateFly(fly, LIST_CONDITIONS)
  if (report.kind !== 'floats') throw new Error(report.kind)
  return report
}

describe('an emerger with a tuft', () => {
  it('hangs tail down, its head at the film, less than straight down', () => {
    const { hangs, ride } = floating(emerger(1.5))
    expect(ride.posture).toBe('hanging')
    expect(hangs?.noseDownDeg).toBeLessThan(-20)
    expect(hangs?.noseDownDeg).toBeGreaterThan(-90)
    // the film cuts the tuft between its foot and its top
    expect(hangs?.filmAt.yMm).toBeGreaterThan(0)
  })

  it('hangs the flatter the further up its tuft the film meets it', () => {
    const deg = (gapes: number) => {
      const { hangs } = floating(emerger(gapes))
      return { deg: hangs?.noseDownDeg ?? NaN, at: hangs?.filmAt.yMm ?? NaN }
    }
    const [long, short] = [deg(2), deg(1.2)]
    expect(Math.sign(long.at - short.at)).toBe(Math.sign(long.deg - short.deg))
  })

  it('does not where hackle holds the fly level', () => {
    expect(floating(hackledDry()).hangs).toBeNull()
  })
})
