import { useMemo } from 'react'
import { plannedOf } from '../../contract/planned.ts'
import type { Planned } from '../../contract/planned.ts'
import type { PlanView } from '../../contract/index.ts'
import { usePlanQuery } from './answers.ts'

/** Several parts of a page ask for it: it is put together once an answer. */
const putTogether = new WeakMap<PlanView, Planned>()

/** What plan and cover are made from; nothing until it has come. */
export function usePlanned(skip = false): Planned | undefined {
  const { data } = usePlanQuery(undefined, { skip })
  return useMemo(() => {
    if (!data) return undefined
    const known = putTogether.get(data) ?? plannedOf(data)
    putTogether.set(data, known)
    return known
  }, [data])
}
