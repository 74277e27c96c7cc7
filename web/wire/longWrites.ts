import type { WorkView } from '../../contract/index.ts'
import { PATHS } from '../../contract/paths.ts'
import { wording } from '../../core/index.ts'
import { setWork } from './state.ts'
import { store } from './store.ts'

const LOOK_EACH_MS = 400

/** Stops a long write that is under way; nothing of it is kept. */
export const stopLongWrite = (id: string): Promise<unknown> =>
  fetch(PATHS.workStop, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ id }),
  }).catch(() => undefined)

/**
 * Shows in the tray how far a long write is, with a way to stop it.
 *
 * @returns how to end that, when the write was answered
 */
export function watchLongWrite(id: string): () => void {
  let over = false
  let shown = false
  const look = async () => {
    const answer = await fetch(PATHS.work).then(
      (response) => response.json() as Promise<WorkView>,
      () => null,
    )
    const found = answer?.work.find((work) => work.id === id)
    if (over || !found) return
    shown = true
    store.dispatch(setWork({ label: wording.puttingInSentence, done: found.done / found.total, stopId: id }))
  }
  const timer = setInterval(() => void look(), LOOK_EACH_MS)
  return () => {
    over = true
    clearInterval(timer)
    if (shown) store.dispatch(setWork(null))
  }
}
