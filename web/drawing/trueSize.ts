import { useSyncExternalStore } from 'react'

const KEY = 'heavy-thistle:px-per-mm'
/** What CSS assumes of a screen: 96 px to the inch. */
const ASSUMED = 96 / 25.4
const listeners = new Set<() => void>()

function read(): number {
  const stored = Number(localStorage.getItem(KEY))
  return stored > 1 && stored < 20 ? stored : ASSUMED
}

/** Keeps how many pixels of this screen make a millimetre. */
export function calibrateScreen(pxPerMm: number): void {
  localStorage.setItem(KEY, String(pxPerMm))
  listeners.forEach((listener) => listener())
}

/** Pixels of this screen in a millimetre: as calibrated with a bank card, else as CSS assumes. */
export function useTrueSize(): number {
  return useSyncExternalStore((listener) => {
    listeners.add(listener)
    return () => listeners.delete(listener)
  }, read)
}
