import { sum } from '../number/index.ts'

/** A fish that takes each n-th natural takes it so often, one early or late now and then, else as it comes. */
const TAKES = { nth: 0.8, beside: 0.08, any: 0.04 }
const NTHS = [2, 3, 4, 5, 6, 7, 8] as const
const EACH = 1 / NTHS.length

function likelyAt(nth: number, count: number): number {
  const any = TAKES.any * (1 / nth) * (1 - 1 / nth) ** (count - 1)
  if (count === nth) return TAKES.nth + any
  return (Math.abs(count - nth) === 1 ? TAKES.beside : 0) + any
}

/** How sure it is that a fish takes each n-th natural: against taking any by chance, and which n. */
export interface EveryNth {
  /** how many times as likely as chance at its best: at most one fish in twenty that takes any ever reaches twenty */
  readonly odds: number
  readonly nth: number
  /** share that this n has among all */
  readonly share: number
}

/** What naturals that passed between rises say, one count a rise, the one that was taken included. */
export function everyNth(counts: readonly number[]): EveryNth {
  const known = counts.filter((count) => count >= 1)
  const byN = NTHS.map((nth) => ({
    nth,
    likely: EACH * known.reduce((all, count) => all * likelyAt(nth, count), 1),
  }))
  const all = sum(byN.map(({ likely }) => likely))
  // chance at its best: each natural taken as often as they were
  const p = known.length / Math.max(sum(known), 1)
  const lnChance = sum(known.map((count) => Math.log(p) + (count > 1 ? (count - 1) * Math.log1p(-p) : 0)))
  const best = byN.reduce((a, b) => (b.likely > a.likely ? b : a))
  return { odds: known.length === 0 ? 1 : all / Math.exp(lnChance), nth: best.nth, share: best.likely / all }
}
