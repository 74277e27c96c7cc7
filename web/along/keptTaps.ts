import type { WatersideTap } from '../../contract/index.ts'

/** Where a phone keeps the taps of an outing; it may refuse to. */
export interface KeptTaps {
  /** what was kept before: of an earlier opening of the page */
  readonly before: readonly WatersideTap[]
  /** whether what is written here can be read back */
  readonly keeps: boolean
  readonly keep: (taps: readonly WatersideTap[]) => boolean
}

const PROBE = 'heavy-thistle:probe'

/** Whether the storage of this browser takes something and gives it back. */
function readsBack(): boolean {
  try {
    localStorage.setItem(PROBE, 'x')
    const isThere = localStorage.getItem(PROBE) === 'x'
    localStorage.removeItem(PROBE)
    return isThere
  } catch {
    return false
  }
}

function parsed(text: string | null): readonly WatersideTap[] {
  try {
    const found: unknown = JSON.parse(text ?? '[]')
    return Array.isArray(found) ? (found as WatersideTap[]) : []
  } catch {
    return []
  }
}

/** The taps of an outing as this phone keeps them, under keys of that outing of that database alone. */
export function keptTaps(dataId: string, outingId: string): KeptTaps {
  const key = `heavy-thistle:along:${dataId}:${outingId}`
  if (!readsBack()) return { before: [], keeps: false, keep: () => false }
  return {
    before: parsed(localStorage.getItem(key)),
    keeps: true,
    keep: (taps) => {
      try {
        // another tab of the page may have kept some meanwhile
        const all = new Map([...parsed(localStorage.getItem(key)), ...taps].map((tap) => [tap.id, tap]))
        localStorage.setItem(key, JSON.stringify([...all.values()]))
        return true
      } catch {
        return false
      }
    },
  }
}
