import { sizeNumber } from '../../material/index.ts'
import { finding } from '../finding.ts'
import type { FitFinding } from '../finding.ts'
import type { Fly, FlyComponent } from '../fly.ts'
import { threadSubstance } from '../substance/wound.ts'
import { threadStrandMm } from '../thread.ts'
import { THREAD_LAYER_MM } from '../threadWidth.ts'
import { PLAIN } from './kindOf.ts'
import type { KindOf } from './kindOf.ts'

/** Thread, in denier, that holds soft fur and that holds flared hair or a strip of skin. */
const THREAD_FOR = { fur: 40, hair: 100 }
/** Thread finer than this share of what is wanted snaps. */
const TOO_FINE = 0.7

function threadFit(thread: FlyComponent, fly: Fly): readonly FitFinding[] {
  const denier = sizeNumber(thread.material)
  if (denier === null || fly.components.find(({ kind }) => kind === 'thread') !== thread) return []
  const goods = fly.components.map(({ material }) => material.family.kind)
  const limit = goods.includes('hair') || goods.includes('strip') ? THREAD_FOR.hair : THREAD_FOR.fur
  return denier < limit * TOO_FINE ? [finding(thread, 'caution', 'threadTooFine', denier, limit)] : []
}

/** The tying thread, with all that it binds in and the head. */
export const thread: KindOf = {
  ...PLAIN,
  madeOf: ['thread'],
  asks: () => ['layers'],
  place: { from: 0.1, to: 1, side: 'around' },
  usual: () => ({ layers: 2 }),
  layer: 'underbody',
  traits: [],
  addedDiameterMm: ({ layers = 1 }) => 2 * THREAD_LAYER_MM * layers,
  substance: threadSubstance,
  strandMm: threadStrandMm,
  fit: threadFit,
  step: { verb: 'start', order: 30, threadEndsAt: 'to' },
  drawn: 'thread',
}
