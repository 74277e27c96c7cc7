import { useEffect, useMemo, useState } from 'react'
import { v7 } from 'uuid'
import type { WatersideTap } from '../../contract/index.ts'

/** How the log fares on its way home. */
export type HomeState = 'home' | 'onTheWay' | 'away' | 'shownOut' | 'refused'

const MOST_AT_ONCE = 500
const PATIENCE_MS = 10_000
const AGAIN_MS = 5_000

/** What became of one delivery. */
async function deliver(home: string, taps: readonly WatersideTap[]): Promise<HomeState> {
  try {
    const { ok, status } = await fetch(home, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ id: v7(), taps }),
      signal: AbortSignal.timeout(PATIENCE_MS),
    })
    if (ok) return 'home'
    if (status === 401) return 'shownOut'
    return status >= 500 ? 'away' : 'refused'
  } catch {
    return 'away'
  }
}

/**
 * Sends what is noted home of itself while home is near, and again when it comes near; each tap is kept there once,
 * however often it is sent.
 *
 * @param home where to; null for a page that lies in a file and asks nobody
 * @param known taps that home had when the page was made
 */
export function useSendHome(
  home: string | null,
  known: readonly WatersideTap[],
  taps: readonly WatersideTap[],
): { readonly waiting: number; readonly state: HomeState } {
  const [there, setThere] = useState<ReadonlySet<string>>(() => new Set(known.map(({ id }) => id)))
  const [state, setState] = useState<HomeState>('home')
  const [attempt, setAttempt] = useState(0)
  const waiting = useMemo(() => taps.filter(({ id }) => !there.has(id)), [taps, there])
  useEffect(() => {
    const tryAgain = () => setAttempt((n) => n + 1)
    addEventListener('online', tryAgain)
    return () => removeEventListener('online', tryAgain)
  }, [])
  useEffect(() => {
    if (home === null || waiting.length === 0) return
    let isOver = false
    let timer = 0
    const batch = waiting.slice(0, MOST_AT_ONCE)
    void deliver(home, batch).then((became) => {
      if (became === 'home') setThere((before) => new Set([...before, ...batch.map(({ id }) => id)]))
      if (isOver) return
      setState(became)
      if (became === 'away') timer = window.setTimeout(() => setAttempt((n) => n + 1), AGAIN_MS)
    })
    return () => {
      isOver = true
      clearTimeout(timer)
    }
  }, [home, waiting, attempt])
  return { waiting: waiting.length, state: waiting.length > 0 && state === 'home' ? 'onTheWay' : state }
}
