import type { CoverCell } from '../../../../core/index.ts'

/** How the state of a cell is said and coloured. */
export const STATES: Readonly<Record<CoverCell['state'], { readonly word: string; readonly colour: string }>> =
  {
    covered: { word: 'covered', colour: 'var(--moss)' },
    thin: { word: 'thin', colour: 'var(--brass)' },
    missing: { word: 'hole', colour: 'var(--madder)' },
    notAsked: { word: '', colour: 'var(--quiet)' },
  }
