import { createHash, randomInt, timingSafeEqual } from 'node:crypto'

/** How long a code admits a phone. */
export const CODE_MS = 600_000
/** How many tries a code bears in all, whoever makes them. */
export const CODE_TRIES = 5
/** Letters that are not taken for one another: eight of 32 are 40 bits. */
const LETTERS = '0123456789ABCDEFGHJKMNPQRSTVWXYZ'
const LENGTH = 8

/** A code that is shown on the computer. */
export interface Code {
  readonly code: string
  readonly untilMs: number
  readonly triesLeft: number
}

/** What a code said by a phone comes to. */
export type Tried = 'right' | 'wrong' | 'none'

/** As a code is kept: in capitals, without what parts it, and with O, I and L for what they were meant to be. */
const plain = (said: string) =>
  said
    .toUpperCase()
    .replace(/[^0-9A-Z]/g, '')
    .replaceAll('O', '0')
    .replace(/[IL]/g, '1')

const hashed = (text: string) => createHash('sha256').update(text).digest()
const isSame = (a: string, b: string) => timingSafeEqual(hashed(a), hashed(b))

const newCode = () => Array.from({ length: LENGTH }, () => LETTERS[randomInt(LETTERS.length)]).join('')

/** The one code that is open, if any: for ten minutes, five tries, one phone. */
export function makeCode(nowMs: () => number) {
  let open: Code | null = null
  const current = () => (open && nowMs() < open.untilMs && open.triesLeft > 0 ? open : (open = null))
  return {
    current,
    /** Opens a code; the one before it admits nobody any more. */
    open: (): Code => (open = { code: newCode(), untilMs: nowMs() + CODE_MS, triesLeft: CODE_TRIES }),
    /** Tries what a phone says; the right one is spent by it, as the fifth wrong one spends it. */
    attempt(said: string): Tried {
      const asked = current()
      if (!asked) return 'none'
      if (isSame(plain(said), asked.code)) {
        open = null
        return 'right'
      }
      open = { ...asked, triesLeft: asked.triesLeft - 1 }
      return 'wrong'
    },
  }
}
