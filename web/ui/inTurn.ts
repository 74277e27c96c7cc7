import { flushSync } from 'react-dom'

const soon = new Set<() => void>()
const later = new Set<() => void>()

/** No more is begun in a frame that took so long already, ms. */
const SHARE_OF_A_FRAME_MS = 6

/** Whoever scrolls, and what is seen since, is left alone with the machine so long: pictures are being drawn, ms. */
const AFTER_WHAT_IS_SEEN_MS = 300
let quietFrom = 0
const leaveAlone = () => {
  quietFrom = performance.now() + AFTER_WHAT_IS_SEEN_MS
}
/** The sheet scrolls, not the window: its event is heard on its way down. */
const ANYWHERE = { capture: true, passive: true }

function doNext(): void {
  const start = performance.now()
  while (soon.size + later.size > 0 && performance.now() - start < SHARE_OF_A_FRAME_MS) {
    if (soon.size === 0 && performance.now() < quietFrom) break
    const queue = soon.size > 0 ? soon : later
    const [next] = queue
    if (!next) return
    if (queue === soon) leaveAlone()
    // whole, before the frame is painted: what is there must not be gone for a moment
    flushSync(next)
    queue.delete(next)
  }
  if (soon.size + later.size > 0) requestAnimationFrame(doNext)
  else document.removeEventListener('scroll', leaveAlone, ANYWHERE)
}

/**
 * Does a few things a frame: all at once would hold up a sheet that is being scrolled. What is to be seen comes before
 * what makes it answer to a hand. Answers how to leave it.
 */
export function doInTurn(task: () => void, when: 'soon' | 'later'): () => void {
  const queue = when === 'soon' ? soon : later
  if (soon.size + later.size === 0) {
    document.addEventListener('scroll', leaveAlone, ANYWHERE)
    requestAnimationFrame(doNext)
  }
  queue.add(task)
  return () => void queue.delete(task)
}
