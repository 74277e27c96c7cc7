import { describe, expect, it } from 'vitest'
import { sum } from '../number/index.ts'
import { reachOf, sceneFor, stages } from '../testing/season.ts'
import { epochDayOf } from './calendar.ts'
import { choosyIn, clarityOf, feedingAt, NOTHING_SAID, seenShare } from './index.ts'
import type { Clarity } from './index.ts'

describe('clarity', () => {
  it('is told against what is usual of the water', () => {
    expect(clarityOf(571, 2000)).toBe('coloured')
    expect(clarityOf(1800, 2000)).toBe('usual')
    expect(clarityOf(3000, 2000)).toBe('clear')
  })

  it('hides the small and not the large, and only where it is coloured', () => {
    expect(seenShare('coloured', 3)).toBeLessThan(seenShare('coloured', 10))
    expect(seenShare('coloured', 40)).toBe(1)
    for (const clarity of ['clear', 'usual', null] as const) expect(seenShare(clarity, 3)).toBe(1)
  })

  it('makes fish forgive in coloured water and look in clear', () => {
    expect(choosyIn('coloured', 0.6)).toBeLessThan(choosyIn(null, 0.6))
    expect(choosyIn('clear', 0.6)).toBeGreaterThan(choosyIn('usual', 0.6))
    expect(choosyIn('clear', 0.95)).toBe(1)
  })

  it('moves fish from small foods to large ones, and to whatever comes', () => {
    const scene = sceneFor({ reach: reachOf(3, 16.6), draws: 200 })
    const at = (clarity: Clarity | null) => {
      const now = feedingAt(stages, scene, epochDayOf('2026-07-20'), 780, { ...NOTHING_SAID, clarity })
      const of = (within: (mm: number) => boolean) =>
        sum(now.stages.filter(({ lengthMmHigh }) => within(lengthMmHigh)).map(({ onIt }) => onIt))
      return { small: of((mm) => mm <= 7), large: of((mm) => mm >= 15), whatever: now.whatever }
    }
    const [clear, coloured] = [at('usual'), at('coloured')]
    expect(coloured.small).toBeLessThan(clear.small)
    expect(coloured.large).toBeGreaterThan(clear.large)
    expect(coloured.whatever).toBeGreaterThan(clear.whatever)
    expect(at(null)).toEqual(clear)
  })
})
