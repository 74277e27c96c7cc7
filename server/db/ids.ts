import { createHash } from 'node:crypto'
import { v5, v7 } from 'uuid'

const NAMESPACE = '6f1d3c1e-7b0a-5c52-9a55-0d6a1b7e3f10'

/** A new id, in order of time. */
export const newId = <Id extends string = string>(): Id => v7() as Id

/** The fixed id of a shipped or demo row, made of its key. */
export const fixedId = <Id extends string = string>(key: string): Id => v5(key, NAMESPACE) as Id

/** JSON with sorted keys and figures at nine digits, so that the same content has the same text. */
export function canonicalJson(value: unknown): string {
  return JSON.stringify(value, (_key, inner: unknown) => {
    if (typeof inner === 'number' && !Number.isInteger(inner)) return Number(inner.toPrecision(9))
    if (inner && typeof inner === 'object' && !Array.isArray(inner)) {
      return Object.fromEntries(Object.entries(inner).sort(([a], [b]) => (a < b ? -1 : 1)))
    }
    return inner
  })
}

/** SHA-256 of a text, in hexadecimal digits. */
export const textHash = (text: string): string => createHash('sha256').update(text).digest('hex')

/** Hash of content: that of its canonical JSON. */
export const contentHash = (value: unknown): string => textHash(canonicalJson(value))
