import type { CoverCell } from '../../../../core/index.ts'

/** How the state of a cell is said and coloured. */
export const STATES: Readonly<Record<CoverCell['state'], { readonly word: string; readonly colour: string }>> =
  {
    covered: { word: 'covered', colour: 'var(--moss)' },
    short: { word: 'short', colour: 'var(--brass)' },
    none: { word: 'none', colour: 'var(--quiet)' },
    hole: { word: 'hole', colour: 'var(--madder)' },
    notAsked: { word: '', colour: 'var(--quiet)' },
  }
