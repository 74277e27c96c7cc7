import { massesFor, readDrop, resolveDressing } from '../../core/index.ts'
import type { DropOutcome, DropTest, Material, Measured } from '../../core/index.ts'
import type { RevisionBody } from '../db/schema.ts'
import { textHash } from '../db/ids.ts'
import { materialIdsOf } from './materials.ts'

/** What a drop test says of its fly, or that the recipe of the fly is not complete. */
export type DropRead = DropOutcome | { readonly kind: 'incomplete' }

/** All that the reading of a drop hangs on. */
export interface DropInput {
  readonly test: DropTest
  readonly body: RevisionBody
  readonly materials: ReadonlyMap<string, Material>
  readonly weighed: Pick<Measured, 'goods' | 'flies'>
}

const known = new Map<string, DropRead>()
/** Drops that are remembered before all of them are let go. */
const MOST_DROPS = 500

function reckoned({ test, body, materials, weighed }: DropInput): DropRead {
  const fly = resolveDressing(body.dressing, { hookMaterialId: body.hookMaterialId, swaps: [] }, materials)
  if (fly.kind !== 'fly') return { kind: 'incomplete' }
  return readDrop(test, fly, massesFor(fly, test.variantId, weighed))
}

/**
 * What a drop test says of its fly. Each is solved anew many times, and every pattern that is saved asks for all of them:
 * what was read of the same test, recipe, materials and weighings is remembered.
 */
export function readDropOnce(input: DropInput): DropRead {
  const { test, body, materials, weighed } = input
  const key = textHash(
    JSON.stringify([test, body, materialIdsOf(body).map((id) => materials.get(id) ?? null), weighed]),
  )
  const read = known.get(key) ?? reckoned(input)
  if (known.size >= MOST_DROPS) known.clear()
  known.set(key, read)
  return read
}
