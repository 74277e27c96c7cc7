import { useEffect, useState } from 'react'
import type { PlannedNeed } from '../../../core/index.ts'
import { useFrameQuery, useLarderQuery } from '../../wire/api.ts'
import { planInputs } from '../../../contract/planned.ts'
import type { Planned } from '../../../contract/planned.ts'
import { runJob } from '../../workers/gateway.ts'

/** What an outing asks of the boxes, with the flies that serve it; null while that is worked out. */
export function useOutingNeeds(planned: Planned | undefined, outingId: string): readonly PlannedNeed[] | null {
  const { data: frame } = useFrameQuery()
  const { data: larder } = useLarderQuery()
  const [needs, setNeeds] = useState<readonly PlannedNeed[] | null>(null)
  useEffect(() => {
    if (!planned || !frame || !larder) return
    const controller = new AbortController()
    const work = async () => {
      const inputs = planInputs(planned, [], { ...frame, stages: larder.stages })
      const outings = inputs.outings.filter(({ key }) => key === outingId)
      const found = await runJob(
        'plannedNeeds',
        { ...inputs, outings },
        { key: 'outingNeeds', signal: controller.signal },
      )
      if (!controller.signal.aborted && !('kind' in found)) setNeeds(found)
    }
    void work()
    return () => controller.abort()
  }, [planned, frame, larder, outingId])
  return needs
}
