import { canonicalJson } from '../db/ids.ts'

/** Says that what a change left was changed again since. */
export const CHANGED_SINCE = Symbol('changed since')

type Fields = Readonly<Record<string, unknown>>

const isFields = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value)
const same = (a: unknown, b: unknown): boolean => canonicalJson(a ?? null) === canonicalJson(b ?? null)

/**
 * A value once a change of it is taken back: what the change touched is as it was before, what it did not touch is as it
 * is now. Records are taken field by field, lists and plain values as a whole.
 *
 * @param before what it was before the change
 * @param after  what the change left
 * @param now    what it is now
 * @returns the value, or `CHANGED_SINCE` where something that the change touched is no longer as it left it
 */
export function takeBack(before: unknown, after: unknown, now: unknown): unknown {
  if (same(before, after)) return now
  if (same(after, now)) return before
  if (!isFields(before) || !isFields(after) || !isFields(now)) return CHANGED_SINCE
  const fields = new Set([...Object.keys(before), ...Object.keys(after), ...Object.keys(now)])
  const back: Record<string, unknown> = {}
  for (const field of fields) {
    const value = takeBack(before[field], after[field], now[field])
    if (value === CHANGED_SINCE) return CHANGED_SINCE
    if (value !== undefined) back[field] = value
  }
  return back
}

/** A change of a record: what it was before and after. */
export interface Change {
  readonly before: unknown
  readonly after: unknown
}

/** Whether two changes of one record touched the same of it, by the same measure as `takeBack`. */
export function overlap(one: Change, other: Change): boolean {
  if (same(one.before, one.after) || same(other.before, other.after)) return false
  const [a, b, c, d] = [one.before, one.after, other.before, other.after]
  if (!isFields(a) || !isFields(b) || !isFields(c) || !isFields(d)) return true
  return [...new Set([...Object.keys(a), ...Object.keys(b)])].some((field) =>
    overlap({ before: a[field], after: b[field] }, { before: c[field], after: d[field] }),
  )
}
