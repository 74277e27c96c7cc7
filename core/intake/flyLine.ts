/** A line like `olive jig 14 x6`, as people note flies that they bought, were given or found. */
export interface FlyLine {
  readonly kind: 'fly'
  readonly name: string
  /** all of it but the count, as it may be called in full */
  readonly written: string
  /** null where the line names none */
  readonly hookSize: string | null
  readonly count: number
}

export type FlyLineFault = {
  readonly kind: 'unclear'
  readonly code: 'noName' | 'noneOfIt' | 'tooMany'
}

const MOST = 999
/** `x6`, `× 6` or `6x` at the end. */
const COUNT_AFTER = /(?:^|\s)(?:[x×*]\s*(\d{1,6})|(\d{1,6})\s*[x×])\s*$/iu
/** `6 x olive jig` or `6× olive jig`. */
const COUNT_BEFORE = /^\s*(\d{1,6})\s*[x×]\s+/iu
/** `#14`, `size 14`, `sz 14`, or a bare 14 at the end. */
const SIZE = /(?:^|\s)(?:#\s?|size\s+|sz\.?\s+)(\d{1,2}(?:\/0)?)\b|\s(\d{1,2}(?:\/0)?)$/iu
const LARGEST_NUMBER = 32

/**
 * Reads a line of a name, a hook size and a count; a line without a count is of one fly.
 *
 * @example readFlyLine('olive jig 14 x6') // { kind: 'fly', name: 'olive jig', hookSize: '14', count: 6, … }
 */
export function readFlyLine(line: string): FlyLine | FlyLineFault {
  let text = line.normalize('NFC').replace(/\s+/g, ' ').trim()
  const after = COUNT_AFTER.exec(text)
  const before = after ? null : COUNT_BEFORE.exec(text)
  const said = after?.[1] ?? after?.[2] ?? before?.[1]
  const count = said === undefined ? 1 : Number(said)
  if (count < 1) return { kind: 'unclear', code: 'noneOfIt' }
  if (count > MOST) return { kind: 'unclear', code: 'tooMany' }
  text = text.replace(COUNT_AFTER, '').replace(before ? COUNT_BEFORE : '', '')
  const written = text.trim()
  const found = SIZE.exec(text)
  const size = found?.[1] ?? found?.[2] ?? null
  const isSize = size !== null && (size.includes('/') || Number(size) <= LARGEST_NUMBER)
  const name = (isSize ? text.replace(SIZE, ' ') : text)
    .replace(/\s+/g, ' ')
    .replace(/[\s,;:–-]+$/, '')
    .trim()
  if (name === '') return { kind: 'unclear', code: 'noName' }
  return { kind: 'fly', name, written, hookSize: isSize ? size : null, count }
}
