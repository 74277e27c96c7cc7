import type { MaterialKind } from './material.ts'

const SMALLEST_MM = 0.8
const LARGEST_MM = 12

/** Whether goods of a kind may come in a size that no list has: beads, by their diameter in mm. */
export function canBeMadeIn(kind: MaterialKind, sizeKey: string): boolean {
  const mm = Number(sizeKey)
  return kind === 'bead' && /^\d{1,2}(?:\.\d{1,2})?$/.test(sizeKey) && mm >= SMALLEST_MM && mm <= LARGEST_MM
}
