import { sum } from '../number/index.ts'

/** Medians of gaps that are thought of, as logarithm of seconds: from half a second to ten minutes, in even steps. */
const LEAST_LN = Math.log(0.5)
const STEP_LN = 0.06
const POINTS = 120
const medianLn = (i: number) => LEAST_LN + i * STEP_LN

/** How uneven a beat may be, as sd of the logarithm of its gaps, and by how much each gap is longer than the one before. */
const UNEVEN = [0.08, 0.13, 0.2, 0.28, 0.38] as const
const SLOWING = [0, 0.035, 0.07] as const
const EVEN_WEIGHT = [0.7, 0.15, 0.15] as const

/** How much longer a rest is than a gap within a burst, and how often one follows. */
const REST_TIMES = [3.5, 5.5, 9] as const
const RESTS = [0.2, 0.33, 0.5] as const
const IN_BURST = [0.15, 0.28] as const
/** After a rest hardly another one. */
const REST_AGAIN = 0.08

const SQRT_TAU = Math.sqrt(2 * Math.PI)
const density = (ln: number, at: number, sd: number) => Math.exp(-0.5 * ((ln - at) / sd) ** 2) / (sd * SQRT_TAU)

/** One way in which a fish may keep time: what is likely of it so far, for each median of its gaps. */
interface Way {
  readonly kind: 'steady' | 'bursts'
  readonly weight: number
  readonly slowing: number
  /** how likely all gaps so far are; in bursts, by what the last one was */
  readonly short: Float64Array
  readonly rest: Float64Array
  readonly sd: number
  readonly restLn: number
  readonly rests: number
}

const flat = () => new Float64Array(POINTS).fill(STEP_LN)
const none = () => new Float64Array(POINTS)

const ways = (): readonly Way[] => [
  ...UNEVEN.flatMap((sd) =>
    SLOWING.map((slowing, i): Way => ({
      ...{ kind: 'steady', slowing, sd, restLn: 0, rests: 0 },
      weight: (0.6 * EVEN_WEIGHT[i]!) / UNEVEN.length,
      ...{ short: flat(), rest: none() },
    })),
  ),
  ...REST_TIMES.flatMap((times) =>
    RESTS.flatMap((rests) =>
      IN_BURST.map((sd): Way => ({
        ...{ kind: 'bursts', slowing: 0, sd, rests },
        restLn: Math.log(times),
        weight: 0.4 / (REST_TIMES.length * RESTS.length * IN_BURST.length),
        ...{ short: flat(), rest: none() },
      })),
    ),
  ),
]

/** Seconds between which a fish is expected to rise next. */
export interface Window {
  readonly fromS: number
  readonly toS: number
}

/** How a fish keeps time, if it does. */
export interface Keeps {
  readonly kind: 'steady' | 'bursts'
  /** s from one rise to the next, within a burst where there are bursts */
  readonly gapS: number
  /** where it rises next in 8 of 10, from the last rise on: mostly one, in bursts up to two */
  readonly next: readonly Window[]
  /** it takes longer each time, as a fish that is full does */
  readonly isSlowing: boolean
}

const HOLDS = 0.8
/** What is less likely than this, the likeliest way being one, moves nothing. */
const HARDLY = 1e-5
const SLOWS_AT = 0.8

/**
 * Listens to one fish: steady gaps, log-normal about a median that may grow, or bursts with rests between, both against rises
 * by chance (exponential gaps). All scales are alike to both, so that their ratio is a fair bet against chance at every tap
 * (Ville's inequality): it reaches twenty in at most one of twenty beatless fishes.
 */
export class Beat {
  private readonly ways = ways()
  private gaps = 0
  private allS = 0
  private allLn = 0
  private lnFactorial = 0
  /** logarithm of what was divided out of the likelihoods, so that they stay figures */
  private lnScale = 0

  /** One more gap, s. */
  hear(gapS: number): void {
    const gap = Math.max(gapS, 0.2)
    const ln = Math.log(gap)
    const n = this.gaps
    for (const way of this.ways) {
      const { short, rest, sd, restLn, rests, slowing, kind } = way
      for (let i = 0; i < POINTS; i += 1) {
        const at = medianLn(i) + slowing * n
        if (kind === 'steady') short[i]! *= density(ln, at, sd)
        else {
          const [wasShort, wasRest] =
            n === 0 ? [short[i]! * (1 - rests), short[i]! * rests] : [short[i]!, rest[i]!]
          const toRest = n === 0 ? wasRest : wasShort * rests + wasRest * REST_AGAIN
          const toShort = n === 0 ? wasShort : wasShort * (1 - rests) + wasRest * (1 - REST_AGAIN)
          short[i] = toShort * density(ln, at, sd)
          rest[i] = toRest * density(ln, at + restLn, sd)
        }
      }
    }
    this.gaps += 1
    this.allS += gap
    this.allLn += ln
    this.lnFactorial += Math.log(Math.max(n, 1))
    const top = Math.max(...this.ways.map((way) => this.likely(way)), 1e-300)
    for (const { short, rest } of this.ways) {
      for (let i = 0; i < POINTS; i += 1) {
        short[i]! /= top
        rest[i]! /= top
      }
    }
    this.lnScale += Math.log(top)
  }

  /** How many times as likely as chance what was heard is, if the fish keeps time. */
  get odds(): number {
    const all = sum(this.ways.map((way) => way.weight * this.likely(way)))
    // by chance, of whatever rate: ∫ λⁿ e^(−λΣ) dλ/λ = (n−1)! / Σⁿ, as density of the gaps' logarithms
    const lnChance = this.allLn + this.lnFactorial - this.gaps * Math.log(this.allS)
    return Math.exp(Math.log(all) + this.lnScale - lnChance)
  }

  /** How it keeps time, as far as it does. */
  get keeps(): Keeps {
    const share = (wanted: (way: Way) => boolean) =>
      sum(this.ways.filter(wanted).map((way) => way.weight * this.likely(way)))
    const kind =
      share((way) => way.kind === 'steady') >= share((way) => way.kind === 'bursts') ? 'steady' : 'bursts'
    const steady = share((way) => way.kind === 'steady')
    const slower = share(({ kind: is, slowing }) => is === 'steady' && slowing > 0)
    return {
      kind,
      gapS: this.gapOf(kind),
      next: this.next(),
      isSlowing: kind === 'steady' && slower > SLOWS_AT * steady,
    }
  }

  private likely({ short, rest }: Way): number {
    let all = 0
    for (let i = 0; i < POINTS; i += 1) all += short[i]! + rest[i]!
    return all
  }

  /** The gap that is expected now, by all ways of a kind, s. */
  private gapOf(kind: Way['kind']): number {
    let [all, ln] = [0, 0]
    for (const way of this.ways) {
      if (way.kind !== kind) continue
      for (let i = 0; i < POINTS; i += 1) {
        const weight = way.weight * (way.short[i]! + way.rest[i]!)
        all += weight
        ln += weight * (medianLn(i) + way.slowing * this.gaps)
      }
    }
    return Math.exp(ln / all)
  }

  /** Where the next gap lies in 8 of 10: the stretches in which it is densest, in the logarithm of time. */
  private next(): readonly Window[] {
    const dense = new Float64Array(POINTS + 40)
    for (const { short, rest, sd, restLn, rests, slowing, kind, weight } of this.ways) {
      for (let i = 0; i < POINTS; i += 1) {
        const toRest = kind === 'steady' ? 0 : short[i]! * rests + rest[i]! * REST_AGAIN
        const toShort = short[i]! + rest[i]! - toRest
        if (toShort + toRest < HARDLY) continue
        const at = medianLn(i) + slowing * this.gaps
        for (let k = 0; k < dense.length; k += 1) {
          const ln = medianLn(k)
          if (Math.abs(ln - at) < 4 * sd) dense[k]! += weight * toShort * density(ln, at, sd)
          if (toRest > 0 && Math.abs(ln - at - restLn) < 4 * sd)
            dense[k]! += weight * toRest * density(ln, at + restLn, sd)
        }
      }
    }
    const all = sum([...dense])
    const order = [...dense.keys()].sort((a, b) => dense[b]! - dense[a]!)
    const within = new Set<number>()
    let held = 0
    for (const k of order) {
      if (held >= HOLDS * all) break
      within.add(k)
      held += dense[k]!
    }
    const windows: { fromS: number; toS: number }[] = []
    for (const k of [...within].sort((a, b) => a - b)) {
      const [fromS, toS] = [Math.exp(medianLn(k) - STEP_LN / 2), Math.exp(medianLn(k) + STEP_LN / 2)]
      const last = windows.at(-1)
      if (last && within.has(k - 1)) last.toS = toS
      else windows.push({ fromS, toS })
    }
    return windows
  }
}
