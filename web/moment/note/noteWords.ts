import type { CommandInput } from '../../../contract/index.ts'

export type Noted = CommandInput<'observationSave'>['observation']

/** What may be said of a food. */
export const KINDS: readonly { readonly id: Noted['kind']; readonly name: string }[] = [
  { id: 'firstSeen', name: 'saw the first' },
  { id: 'thick', name: 'saw it thick' },
  { id: 'lastSeen', name: 'saw the last' },
  { id: 'absent', name: 'looked, none' },
  { id: 'counted', name: 'counted some' },
]

/** How it was found. */
export const METHODS: readonly { readonly id: Noted['method']; readonly name: string }[] = [
  { id: 'seen', name: 'by eye' },
  { id: 'stone', name: 'under stones' },
  { id: 'seine', name: 'in a seine' },
  { id: 'fishSample', name: 'in a fish' },
]

/** A whole number up to a limit; null where nothing is written, undefined where it is none. */
export const wholeUpTo = (text: string, most: number): number | null | undefined =>
  text.trim() === '' ? null : /^\d+$/.test(text.trim()) && Number(text) <= most ? Number(text) : undefined
