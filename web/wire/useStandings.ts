import { useEffect, useSyncExternalStore } from 'react'
import type { StandingsView } from '../../contract/index.ts'
import { PATHS } from '../../contract/paths.ts'
import { useFrameQuery } from './api.ts'

let known: StandingsView | undefined
let askedAt = 0
let asking: AbortController | null = null
const listeners = new Set<() => void>()

/** Asks again where the frame has come anew since. */
async function ask(frameAt: number): Promise<void> {
  if (frameAt <= askedAt) return
  askedAt = frameAt
  asking?.abort()
  asking = new AbortController()
  const answer = await fetch(PATHS.standings, { signal: asking.signal }).catch(() => null)
  if (!answer?.ok || askedAt !== frameAt) return
  known = (await answer.json()) as StandingsView
  listeners.forEach((listener) => listener())
}

function subscribe(listener: () => void) {
  listeners.add(listener)
  return () => listeners.delete(listener)
}

/**
 * How the foods stand that the water ahead asks for. Reckoned over all coming outings it takes the longest of all answers,
 * and is asked for apart from them: after a write the others are asked anew once none is on its way.
 */
export function useStandings(): StandingsView | undefined {
  const { fulfilledTimeStamp } = useFrameQuery()
  useEffect(() => void ask(fulfilledTimeStamp ?? 0), [fulfilledTimeStamp])
  return useSyncExternalStore(subscribe, () => known)
}
