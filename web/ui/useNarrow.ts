import { useSyncExternalStore } from 'react'

/** As the style sheets have it: a phone. */
const NARROW = '(max-width: 700px)'

function whenChanged(then: () => void): () => void {
  const query = matchMedia(NARROW)
  query.addEventListener('change', then)
  return () => query.removeEventListener('change', then)
}

/** Whether the window is as narrow as a phone's. */
export const useNarrow = (): boolean => useSyncExternalStore(whenChanged, () => matchMedia(NARROW).matches)
