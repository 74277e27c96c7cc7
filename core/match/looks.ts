import looks from './looks.json' with { type: 'json' }
import type { TailLook, WingLook } from './outline.ts'

/** What a natural carries over or behind its body, as far as its outline asks for it. */
export type WingWanted = 'none' | 'upright' | 'folded' | 'spent' | 'sunk' | 'tuft' | 'swept' | 'bushy'

/** An outline that naturals share. */
export interface Silhouette {
  readonly key: string
  readonly name: string
  readonly text: string
  /** length over greatest thickness */
  readonly slenderness: number
  /** where it is widest, 0 front to 1 rear */
  readonly widestAt: number
  readonly wing: WingWanted
  readonly tail: TailLook
  readonly curved: boolean
  /** whether long legs are half of what it is */
  readonly longLegs: boolean
  /** whether tail, wing or strip of a fly count for its length: fish, leeches, worms, stoneflies */
  readonly wholeFly: boolean
}

/** A way of moving, and how an angler shows it. */
export interface Movement {
  readonly key: string
  readonly name: string
  readonly text: string
  readonly shownBy: string
}

/** What of a natural a fish may go by, and what tiers make it of. */
export interface TriggerLook {
  readonly key: string
  readonly name: string
  readonly text: string
  readonly madeOf: string
}

export const SILHOUETTES = looks.silhouettes as readonly Silhouette[]
export const MOVEMENTS: readonly Movement[] = looks.movements
export const TRIGGER_LOOKS: readonly TriggerLook[] = looks.triggers

/** How near each look of a fly's wings comes to what a natural asks for. Judgement. */
export const WING_LIKENESS: Readonly<Record<WingWanted, Readonly<Record<WingLook, number>>>> = {
  none:    { none: 1,    upright: 0.25, folded: 0.4,  spent: 0.25, bushy: 0.3,  hackled: 0.4,  swept: 0.85 },
  upright: { none: 0.35, upright: 1,    folded: 0.4,  spent: 0.35, bushy: 0.5,  hackled: 0.85, swept: 0.4 },
  folded:  { none: 0.5,  upright: 0.45, folded: 1,    spent: 0.4,  bushy: 0.65, hackled: 0.65, swept: 0.6 },
  spent:   { none: 0.35, upright: 0.35, folded: 0.4,  spent: 1,    bushy: 0.35, hackled: 0.6,  swept: 0.5 },
  sunk:    { none: 0.5,  upright: 0.3,  folded: 1,    spent: 0.8,  bushy: 0.35, hackled: 0.5,  swept: 0.85 },
  tuft:    { none: 0.55, upright: 1,    folded: 0.55, spent: 0.65, bushy: 0.35, hackled: 0.6,  swept: 0.65 },
  swept:   { none: 0.5,  upright: 0.5,  folded: 0.8,  spent: 0.6,  bushy: 0.35, hackled: 0.6,  swept: 1 },
  bushy:   { none: 0.6,  upright: 0.55, folded: 0.5,  spent: 0.45, bushy: 1,    hackled: 0.8,  swept: 0.5 },
} // prettier-ignore

/** The same for what is behind the body. Judgement. */
export const TAIL_LIKENESS: Readonly<Record<TailLook, Readonly<Record<TailLook, number>>>> = {
  none:  { none: 1,    fine: 0.8,  soft: 0.4, shuck: 0.6 },
  fine:  { none: 0.85, fine: 1,    soft: 0.55, shuck: 0.6 },
  soft:  { none: 0.5,  fine: 0.55, soft: 1,   shuck: 0.55 },
  shuck: { none: 0.65, fine: 0.75, soft: 0.5, shuck: 1 },
} // prettier-ignore
