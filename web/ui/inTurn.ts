import { flushSync } from 'react-dom'

const soon = new Set<() => void>()
const later = new Set<() => void>()

/** No more is begun in a frame that took so long already, ms. */
const SHARE_OF_A_FRAME_MS = 6

/** What is seen is left alone with the machine so long: its pictures are being drawn, ms. */
const AFTER_WHAT_IS_SEEN_MS = 300
let quietFrom = 0

function doNext(): void {
  const start = performance.now()
  while (soon.size + later.size > 0 && performance.now() - start < SHARE_OF_A_FRAME_MS) {
    if (soon.size === 0 && start < quietFrom) break
    const queue = soon.size > 0 ? soon : later
    const [next] = queue
    if (!next) return
    if (queue === soon) quietFrom = start + AFTER_WHAT_IS_SEEN_MS
    // whole, before the frame is painted: what is there must not be gone for a moment
    flushSync(next)
    queue.delete(next)
  }
  if (soon.size + later.size > 0) requestAnimationFrame(doNext)
}

/**
 * Does a few things a frame: all at once would hold up a sheet that is being scrolled. What is to be seen comes before
 * what makes it answer to a hand. Answers how to leave it.
 */
export function doInTurn(task: () => void, when: 'soon' | 'later'): () => void {
  const queue = when === 'soon' ? soon : later
  if (soon.size + later.size === 0) requestAnimationFrame(doNext)
  queue.add(task)
  return () => void queue.delete(task)
}
