import type { FishesNot, FishesRig, RigInWater } from '../../../core/index.ts'
import type { JobProgress } from '../../workers/jobs.ts'
import { useJob } from '../useJob.ts'
import type { Worked } from '../useJob.ts'

const soFarOf = ({ soFar }: JobProgress<'rigFishes'>) => soFar

/**
 * Where a rig fishes, reckoned in a worker.
 *
 * @param input kept the same while nothing is changed; null while something is wanted yet
 * @param key   tells questions apart that stand beside each other
 */
export function useRigFishes(
  input: RigInWater | null,
  key = 'rigFishes',
): Worked<FishesRig | FishesNot, RigInWater> {
  const worked = useJob('rigFishes', input, { key, soFar: soFarOf })
  return input ? worked : { ...worked, found: null, of: null }
}
