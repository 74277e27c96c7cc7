import { useMemo } from 'react'
import type { PlannedNeed } from '../../../core/index.ts'
import { useFrameQuery, useLarderQuery } from '../../wire/answers.ts'
import { planInputs } from '../../../contract/planned.ts'
import type { Planned } from '../../../contract/planned.ts'
import { useJob } from '../useJob.ts'
import type { Worked } from '../useJob.ts'

/** What an outing asks of the boxes, with the flies that serve it. */
export function useOutingNeeds(planned: Planned | undefined, outingId: string): Worked<readonly PlannedNeed[]> {
  const { data: frame } = useFrameQuery()
  const { data: larder } = useLarderQuery()
  const input = useMemo(() => {
    if (!planned || !frame || !larder) return null
    const inputs = planInputs(planned, [], { ...frame, stages: larder.stages })
    return { ...inputs, outings: inputs.outings.filter(({ key }) => key === outingId) }
  }, [planned, frame, larder, outingId])
  return useJob('plannedNeeds', input, { key: 'outingNeeds' })
}
