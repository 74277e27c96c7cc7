import looks from './looks.json' with { type: 'json' }

/** An outline that naturals share; slenderness is length over greatest thickness. */
export interface Silhouette {
  readonly key: string
  readonly name: string
  readonly text: string
  readonly slenderness: number
  readonly widestAt: number
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

export const SILHOUETTES: readonly Silhouette[] = looks.silhouettes
export const MOVEMENTS: readonly Movement[] = looks.movements
export const TRIGGER_LOOKS: readonly TriggerLook[] = looks.triggers
