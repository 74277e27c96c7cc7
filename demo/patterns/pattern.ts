import type { Role } from '../../core/index.ts'

/** A variant: its hook as typed, what it has instead, where it lives, how many there are and are kept. */
export interface DemoVariant {
  readonly label: string
  readonly hook: string
  /** by the key of a line what is typed after its colon */
  readonly instead?: Readonly<Record<string, string>>
  /** keys of the lines that it leaves out */
  readonly without?: readonly string[]
  /** compartment by its label; none where it has no place */
  readonly home?: string
  readonly onHand: number
  readonly keep?: number
}

/** A pattern of the valley, its lines as they are typed. */
export interface DemoPattern {
  readonly name: string
  readonly purpose: 'imitation' | 'attractor' | 'searching'
  readonly serves: readonly string[]
  readonly waters: readonly ('freestone' | 'springFed' | 'lowlandStillwater' | 'reservoir' | 'uplandTarn')[]
  readonly fishedHow: readonly string[]
  readonly note: string
  readonly dislike?: number
  /** what it is kept for in the box */
  readonly roles?: readonly Role[]
  readonly lines: readonly string[]
  readonly variants: readonly DemoVariant[]
}

export const river = ['freestone', 'springFed'] as const
export const still = ['lowlandStillwater', 'reservoir', 'uplandTarn'] as const
