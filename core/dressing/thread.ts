import { sizeNumber } from '../material/index.ts'
import type { FlyComponent } from './fly.ts'
import { threadWidthMm } from './threadWidth.ts'

const BINDING_TURNS = 8
const HEAD_TURNS = 14

/**
 * Thread on the fly, mm: its layers in touching turns over its place, eight turns for each component bound in,
 * and the head.
 */
export function threadLengthMm(thread: FlyComponent, all: readonly FlyComponent[], shankMm: number): number {
  const widthMm = threadWidthMm(sizeNumber(thread.material) ?? 70)
  const placeMm = Math.min(thread.toMm - thread.fromMm, shankMm)
  const baseTurns = ((thread.layers ?? 1) * placeMm) / widthMm
  const bound = all.filter(({ kind }) => kind !== 'bead' && kind !== 'thread' && kind !== 'coat')
  const binding = bound.reduce((sum, { coreMm }) => sum + BINDING_TURNS * Math.PI * coreMm, 0)
  return baseTurns * Math.PI * thread.coreMm + binding + HEAD_TURNS * Math.PI * (thread.coreMm + 0.4)
}
