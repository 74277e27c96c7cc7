import type { ComponentKind } from './dressing.ts'

/** What is found when a fly is checked. A fault means that it cannot be tied so; a caution that it can, but badly. */
export interface FitFinding {
  readonly severity: 'fault' | 'caution'
  readonly code:
    | 'beadLargerThanGape'
    | 'beadDoesNotPassBend'
    | 'gapeClosed'
    | 'gapeNarrowed'
    | 'jigNeedsSlot'
    | 'headsCollide'
    | 'wireLongerThanShank'
    | 'beadAndWireCrowdShank'
    | 'tooManyTurns'
    | 'overdressed'
    | 'eyeCrowded'
    | 'threadTooFine'
    | 'ribMats'
    | 'mayRoll'
  readonly componentKey: string
  readonly kind: ComponentKind
  /** what was found and what would do: mm, turns, denier or a share */
  readonly found: number
  readonly limit: number
}

/** A finding about a component. */
export const finding = (
  { key, kind }: { readonly key: string; readonly kind: ComponentKind },
  severity: FitFinding['severity'],
  code: FitFinding['code'],
  found: number,
  limit: number,
): FitFinding => ({ severity, code, componentKey: key, kind, found, limit })
