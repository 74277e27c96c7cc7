import { useEffect, useState } from 'react'
import type { FishesNot, FishesRig, RigInWater } from '../../../core/index.ts'
import { runJob } from '../../workers/gateway.ts'

/** Where a rig fishes: what was found last, and whether it is of this rig already. */
export interface RigFound {
  readonly found: FishesRig | FishesNot | null
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
  const [told, setTold] = useState<{ readonly of: RigInWater | null; readonly found: RigFound['found'] }>({
    of: null,
    found: null,
  })
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
  return { found: input ? told.found : null, isOfThis: told.of === input }
}
