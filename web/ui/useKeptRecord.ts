import { useState } from 'react'

const keyOf = (name: string) => `heavy-thistle:look:${name}`

/** Texts by name as they were kept; what is missing or no text is as given. */
function readKept<Kept extends object>(name: string, usual: Kept): Kept {
  try {
    const kept: unknown = JSON.parse(sessionStorage.getItem(keyOf(name)) ?? 'null')
    if (!kept || typeof kept !== 'object') return usual
    const known = Object.entries(kept).filter(([key, text]) => key in usual && typeof text === 'string')
    return { ...usual, ...Object.fromEntries(known) }
  } catch {
    return usual
  }
}

/** Several texts of how something is looked at, kept as long as this tab is open: whoever comes back finds them. */
export function useKeptRecord<Kept extends { readonly [Key in keyof Kept]: string }>(
  name: string,
  usual: Kept,
): readonly [Kept, (change: Partial<Kept>) => void] {
  const [kept, setKept] = useState(() => readKept(name, usual))
  return [
    kept,
    (change) => {
      const next = { ...kept, ...change }
      sessionStorage.setItem(keyOf(name), JSON.stringify(next))
      setKept(next)
    },
  ]
}
