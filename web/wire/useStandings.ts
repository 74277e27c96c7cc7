import { useEffect, useSyncExternalStore } from 'react'
import type { StandingsView } from '../../contract/index.ts'
import { PATHS } from '../../contract/paths.ts'
import { api } from './api.ts'

/** What most pages show of it, the roll and the Column, can wait until their own answers are there. */
const WAIT_MS = 2500

let known: StandingsView | undefined
let askedAt = 0
let asking: AbortController | null = null
let waiting: ReturnType<typeof setTimeout> | null = null
const listeners = new Set<() => void>()

/** Asks again where the frame has come anew since; what is asked meanwhile takes its place. */
async function ask(frameAt: number): Promise<void> {
  asking?.abort()
  asking = new AbortController()
  const { signal } = asking
  try {
    const answer = await fetch(PATHS.standings, { signal })
    if (!answer.ok) return
    known = (await answer.json()) as StandingsView
    listeners.forEach((listener) => listener())
  } catch {
    // another question took its place, or nobody answers: what is known stands
    if (!signal.aborted) askedAt = Math.min(askedAt, frameAt - 1)
  }
}

/** Asks once the page has had time for all else, or at once. */
function askSoon(frameAt: number, atOnce: boolean): void {
  if (frameAt <= askedAt && !(atOnce && waiting)) return
  askedAt = Math.max(frameAt, askedAt)
  if (waiting) clearTimeout(waiting)
  waiting = setTimeout(
    () => {
      waiting = null
      void ask(frameAt)
    },
    atOnce ? 0 : WAIT_MS,
  )
}

function subscribe(listener: () => void) {
  listeners.add(listener)
  return () => listeners.delete(listener)
}

interface Came {
  readonly fulfilledTimeStamp?: number | undefined
}

const whenItCame = ({ fulfilledTimeStamp }: Came): Came => ({ fulfilledTimeStamp })

/**
 * How the foods stand that the water ahead asks for. Reckoned over all coming outings it takes the longest of all answers,
 * and is asked for apart from them: after a write the others are asked anew once none is on its way.
 *
 * @param atOnce where the page is about them
 */
export function useStandings(atOnce = false): StandingsView | undefined {
  const { fulfilledTimeStamp } = api.useFrameQuery(undefined, { selectFromResult: whenItCame })
  useEffect(() => {
    if (fulfilledTimeStamp) askSoon(fulfilledTimeStamp, atOnce)
  }, [fulfilledTimeStamp, atOnce])
  return useSyncExternalStore(subscribe, () => known)
}
