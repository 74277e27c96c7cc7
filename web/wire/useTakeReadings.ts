import { useState } from 'react'
import { toFailure, useTakeReadingsMutation } from './api.ts'
import type { ReadingsAsText } from './api.ts'
import { newId } from './useCommand.ts'

const UNDER_THE_SURFACE_MM = 300

/** Takes rows of readings in, as JSON; true once they are kept. */
export type TakeReadings = (source: ReadingsAsText['source'], rowsJson: string) => Promise<boolean>

/** Takes readings of a reach in: true once they are kept; else why they were refused. */
export function useTakeReadings(reachId: string) {
  const [send] = useTakeReadingsMutation()
  const [refused, setRefused] = useState<string | null>(null)
  const take: TakeReadings = async (source, rowsJson) => {
    const { error } = await send({
      id: newId(),
      importId: newId(),
      reachId,
      depthMm: UNDER_THE_SURFACE_MM,
      source,
      rowsJson,
    })
    if (!error) {
      setRefused(null)
      return true
    }
    const failure = toFailure(error)
    setRefused(
      failure.kind === 'problem'
        ? failure.problem.detail
        : 'The server does not answer. Nothing was taken in; try again when it does.',
    )
    return false
  }
  return { take, refused }
}
