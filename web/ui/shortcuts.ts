import { createContext, useContext, useEffect } from 'react'

/** Keys of a place, by `KeyboardEvent.key`; single keys never fire while typing. */
export type PlaceKeys = Readonly<Record<string, () => void>>

/** Where places hang their keys; the frame listens. */
export const PlaceKeysContext = createContext<{ current: PlaceKeys }>({ current: {} })

/** Gives the place that is open keys of its own. */
export function usePlaceKeys(keys: PlaceKeys): void {
  const holder = useContext(PlaceKeysContext)
  useEffect(() => {
    holder.current = keys
    return () => {
      if (holder.current === keys) holder.current = {}
    }
  }, [holder, keys])
}

/** Whether a key belongs to a field: there only the browser's own meaning counts. */
export function isTyping(target: EventTarget | null): boolean {
  const element = target instanceof HTMLElement ? target : null
  return Boolean(
    element?.closest(
      'input:not([type="checkbox"]), textarea, select, [contenteditable="true"], [role="listbox"]',
    ),
  )
}
