import type { LossCause } from './names.ts'

/** What a ledger tells of an entry. */
export interface EntryCause {
  readonly cause:
    | 'tied'
    | 'lost'
    | 'given'
    | 'retired'
    | 'found'
    | 'moved'
    | 'counted'
    | 'corrected'
    | 'bought'
    | 'used'
    | 'wasted'
  readonly lossCause: LossCause | string | null
  readonly delta: number
  /** takes an earlier entry back */
  readonly takesBack: boolean
}

/** Why something came or went: `lost: tree`, `moved in`, `counted, one less`. */
export function entryWords({ cause, lossCause, delta, takesBack }: EntryCause): string {
  const words = causeWords(cause, lossCause, delta)
  return takesBack ? `taken back: ${words}` : words
}

function causeWords(cause: EntryCause['cause'], lossCause: string | null, delta: number): string {
  switch (cause) {
    case 'lost':
      return lossCause ? `lost: ${lossCause}` : 'lost'
    case 'moved':
      return delta < 0 ? 'moved out' : 'moved in'
    case 'corrected':
      return delta < 0 ? 'recipe corrected, no longer of this one' : 'recipe corrected'
    case 'counted':
      return delta === 0 ? 'counted, as thought' : delta < 0 ? 'counted, fewer' : 'counted, more'
    default:
      return cause
  }
}
