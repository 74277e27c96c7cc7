import { useState } from 'react'
import type { CommandInput, Problem } from '../../../contract/index.ts'
import { askedOf } from '../useNow.ts'
import { useMoment } from '../useMoment.ts'
import { useLarderQuery } from '../../wire/answers.ts'
import { api } from '../../wire/api.ts'
import { askOnce } from '../../wire/askOnce.ts'
import { useAppDispatch } from '../../wire/store.ts'
import { useCommand } from '../../wire/useCommand.ts'
import { whatItChanged } from './whatItChanged.ts'
import type { Known } from './whatItChanged.ts'

type NoteKind = 'observationSave' | 'sampleSave' | 'observationArchive'

/** Keeps notes of foods, and says what they changed at the reach of the moment. */
export function useNoting() {
  const moment = useMoment()
  const command = useCommand()
  const dispatch = useAppDispatch()
  const stages = useLarderQuery().data?.stages ?? []
  const [said, setSaid] = useState<readonly string[]>([])
  const [problem, setProblem] = useState<Problem | null>(null)

  const known = async (): Promise<Known | null> => {
    if (!moment) return null
    const { reachId, on } = moment
    const anew = { forceRefetch: true }
    const [season, now] = await Promise.all([
      askOnce(dispatch(api.endpoints.reachSeason.initiate({ reachId, on }, anew))),
      askOnce(dispatch(api.endpoints.moment.initiate(askedOf(moment), anew))),
    ])
    return season.data && now.data ? { season: season.data, moment: now.data } : null
  }

  /** True once it is kept; what it changed is said then. */
  async function note<Kind extends NoteKind>(
    kind: Kind,
    body: CommandInput<Kind>,
    stageIds: readonly string[],
  ): Promise<boolean> {
    setSaid([])
    const before = await known()
    const delivery = await command(kind, body, { quietly: true })
    setProblem(delivery.kind === 'refused' ? delivery.problem : null)
    if (delivery.kind === 'refused') return false
    const after = delivery.kind === 'done' ? await known() : null
    setSaid(
      before && after
        ? whatItChanged(before, after, stageIds, stages)
        : ['Kept here; what it changes is told once the server has it.'],
    )
    return true
  }
  return { note, said, problem }
}
