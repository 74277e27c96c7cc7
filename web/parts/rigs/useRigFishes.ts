import { useEffect, useState } from 'react'
import type { FishesNot, FishesRig, RigInWater } from '../../../core/index.ts'
import { runJob } from '../../workers/gateway.ts'

/** Where a rig fishes: what was found last, of what, and whether that is what is asked now. */
export interface RigFound {
  readonly found: FishesRig | FishesNot | null
  /** what it was found of: every word beside it is of that too, or old figures stand beside new ones */
  readonly of: RigInWater | null
  readonly isOfThis: boolean
}

/**
 * Where a rig fishes, reckoned in a worker. What was found of the rig before stands until there is something of this one,
 * so that nothing jumps while it is dragged.
 *
 * @param lane  tells questions apart that stand beside each other
 * @param input kept the same while nothing is changed; null while something is wanted yet
 */
export function useRigFishes(input: RigInWater | null, lane = 'rigFishes'): RigFound {
  const [told, setTold] = useState<Omit<RigFound, 'isOfThis'>>({ of: null, found: null })
  useEffect(() => {
    if (!input) return undefined
    const controller = new AbortController()
    void runJob('rigFishes', input, {
      key: lane,
      signal: controller.signal,
      onProgress: ({ soFar }) => (soFar ? setTold({ of: input, found: soFar }) : undefined),
    }).then((found) => {
      if (found.kind === 'fishes' || found.kind === 'not') setTold({ of: input, found })
    })
    return () => controller.abort()
  }, [input, lane])
  return input ? { ...told, isOfThis: told.of === input } : { found: null, of: null, isOfThis: false }
}
