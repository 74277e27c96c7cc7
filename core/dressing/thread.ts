import { sizeNumber } from '../material/index.ts'
import type { Seat } from './substance/substance.ts'
import { threadWidthMm } from './threadWidth.ts'

const BINDING_TURNS = 8
const HEAD_TURNS = 14
const USUAL_DENIER = 70

/**
 * Thread on the fly, mm: its layers in touching turns over its place, eight turns for each component bound in,
 * and the head.
 */
export function threadStrandMm({ component: thread, boundIn, hook }: Seat): number {
  const widthMm = threadWidthMm(sizeNumber(thread.material) ?? USUAL_DENIER)
  const placeMm = Math.min(thread.toMm - thread.fromMm, hook.shankMm)
  const baseTurns = ((thread.layers ?? 1) * placeMm) / widthMm
  const binding = boundIn.reduce((sum, { coreMm }) => sum + BINDING_TURNS * Math.PI * coreMm, 0)
  return baseTurns * Math.PI * thread.coreMm + binding + HEAD_TURNS * Math.PI * (thread.coreMm + 0.4)
}
