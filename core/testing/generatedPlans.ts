import type { PlanProblem } from '../plan/index.ts'
import { randomFrom } from '../uncertainty/index.ts'

/** How large a plan is made up. */
export interface PlanSize {
  readonly needs: number
  readonly candidates: number
  readonly periods: number
  readonly materials: number
  readonly minutes: number
}

/** Hours that the first, second … fly adds, each a share of the one before. */
const fallingFrom = (hours: number, flies: number, share: number) =>
  Array.from({ length: flies }, (_, nth) => hours * share ** nth)

/** A plan as evenings before outings make it: needs that matter unequally, flies that serve a few of them, some stores short. */
export function generatedPlan(seed: number, size: PlanSize): PlanProblem {
  const random = randomFrom(seed)
  const upTo = (count: number) => Math.floor(random() * count)
  return {
    periods: Array.from({ length: size.periods }, (_, k) => {
      const minutes = Math.round(size.minutes * (0.5 + random()))
      return { key: `p${k}`, minutesByNights: [minutes, Math.round(minutes * random())] }
    }),
    needs: Array.from({ length: size.needs }, (_, n) => ({
      key: `n${n}`,
      period: upTo(size.periods),
      adds: fallingFrom(0.05 + random() ** 2, 1 + upTo(6), 0.3 + 0.5 * random()),
    })),
    candidates: Array.from({ length: size.candidates }, (_, c) => ({
      key: `c${c}`,
      minutesEach: 4 + upTo(11),
      dislike: random() < 0.3 ? random() : 0,
      trust: 'notFished' as const,
      onHand: random() < 0.5 ? upTo(3) : 0,
      most: upTo(7),
      nightsToDry: random() < 0.2 ? 2 : 1,
      survives: Array.from({ length: size.periods }, () => 0.6 + 0.4 * random()),
      uses: random() < 0.6 && size.materials > 0 ? [{ limit: upTo(size.materials), perFly: 1 + upTo(3) }] : [],
      serves: [...new Set(Array.from({ length: 1 + upTo(5) }, () => upTo(size.needs)))].map((need) => ({
        need,
        quality: 0.5 + 0.5 * random(),
      })),
      fixed: null,
    })),
    limits: Array.from({ length: size.materials }, (_, m) => {
      const start = upTo(12)
      return {
        key: `m${m}`,
        available: Array.from({ length: size.periods }, (__, k) => start + (k >= 2 ? 10 : 0)),
      }
    }),
  }
}
