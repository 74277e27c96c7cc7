import type { MaterialLine } from '../../contract/index.ts'
import { wording } from '../../core/index.ts'

type DrawerState = 'out' | 'low' | 'notCounted' | 'countNeeded' | 'enough'

/** How a drawer stands. Below nought means that flies were tied from it and nobody counted it. */
export function stateOf({ onHand, minimumAmount }: MaterialLine): DrawerState {
  if (onHand === null) return 'notCounted'
  if (onHand < 0) return 'countNeeded'
  if (onHand === 0) return 'out'
  return minimumAmount !== null && onHand < minimumAmount ? 'low' : 'enough'
}

export const STATE_WORDS: Readonly<Record<DrawerState, string>> = {
  out: 'out',
  low: 'low',
  notCounted: 'not counted',
  countNeeded: 'count needed',
  enough: '',
}
export const STATE_COLOURS: Readonly<Record<DrawerState, string>> = {
  out: 'var(--madder)',
  low: 'var(--brass)',
  notCounted: 'var(--quiet)',
  countNeeded: 'var(--quiet)',
  enough: 'var(--ink)',
}

export const drawerTitle = (line: MaterialLine): string =>
  wording.drawerName(line, line.sizeKey, line.colourName)
