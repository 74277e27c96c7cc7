import { useEffect, useSyncExternalStore } from 'react'
import { api } from '../wire/api.ts'
import { askOnce } from '../wire/askOnce.ts'
import { store } from '../wire/store.ts'
import type { FlySketch } from '../../core/index.ts'

/** Asked for at once; the server takes a few more. */
const PORTION = 50

const known = new Map<string, FlySketch>()
const listeners = new Set<() => void>()
let wanted = new Set<string>()
const onTheirWay = new Set<string>()

/** Asks for all sketches that were wanted since the last time, a few requests for a whole list. */
async function fetchWanted(): Promise<void> {
  const keys = [...wanted]
  wanted = new Set()
  keys.forEach((key) => onTheirWay.add(key))
  for (let at = 0; at < keys.length; at += PORTION) {
    const asked = api.endpoints.drawings.initiate(keys.slice(at, at + PORTION))
    const { data } = await askOnce(store.dispatch(asked))
    for (const [key, sketch] of Object.entries(data?.sketches ?? {})) known.set(key, sketch)
    listeners.forEach((listener) => listener())
  }
  // one that did not come is asked for again by the next that shows it
  keys.forEach((key) => onTheirWay.delete(key))
}

function want(key: string): void {
  if (known.has(key) || onTheirWay.has(key)) return
  if (wanted.size === 0) setTimeout(() => void fetchWanted(), 0)
  wanted.add(key)
}

function subscribe(listener: () => void) {
  listeners.add(listener)
  return () => listeners.delete(listener)
}

/** Asks at once for what a page will show bit by bit: else each bit would ask for its own. */
export function useSketchesToCome(keys: readonly (string | null)[]): void {
  useEffect(() => {
    for (const key of keys) if (key) want(key)
  }, [keys])
}

/** The sketch of a drawing's key, which names its content: once fetched it is kept. Null until it is there. */
export function useSketch(key: string | null): FlySketch | null {
  useEffect(() => {
    if (key) want(key)
  }, [key])
  return useSyncExternalStore(subscribe, () => (key ? (known.get(key) ?? null) : null))
}
