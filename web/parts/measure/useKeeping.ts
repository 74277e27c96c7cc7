import { useState } from 'react'
import type { CommandInput, Problem } from '../../../contract/index.ts'
import { useCommand } from '../../wire/useCommand.ts'

/** Keeps a measurement: what was refused stands in the form with its reason, what was taken empties it. */
export function useKeeping(onKept: () => void) {
  const command = useCommand()
  const [problem, setProblem] = useState<Problem | null>(null)
  const keep = async <Kind extends 'dropTestSave' | 'weighingSave'>(kind: Kind, body: CommandInput<Kind>) => {
    setProblem(null)
    const delivery = await command(kind, body, { quietly: true })
    if (delivery.kind === 'refused') setProblem(delivery.problem)
    else onKept()
  }
  return { keep, problem }
}
