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
  readonly code: 'noName' | 'noneOfIt' | 'tooMany' | 'countOrSize'
}

const MOST = 999
/** Counts in words, as they stand before a name. */
const COUNT_WORDS: Readonly<Record<string, number>> = {
  'half a dozen': 6, 'half dozen': 6, 'a dozen': 12, 'one dozen': 12, dozen: 12, 'two dozen': 24, 'three dozen': 36,
  'a couple of': 2, 'a couple': 2, 'a pair of': 2, one: 1, two: 2, three: 3, four: 4, five: 5, six: 6,
  seven: 7, eight: 8, nine: 9, ten: 10, eleven: 11, twelve: 12, twenty: 20,
} // prettier-ignore
const COUNT_IN_WORDS = new RegExp(
  `^(${Object.keys(COUNT_WORDS)
    .sort((a, b) => b.length - a.length)
    .join('|')})\\s+(?:of\\s+)?(?=[\\p{L}#])`,
  'iu',
)
/** `x6`, `× 6` or `6x` at the end. */
const COUNT_AFTER = /(?:^|\s)(?:[x×*]\s*(\d{1,6})|(\d{1,6})\s*[x×])\s*$/iu
/** A count behind the size and a mark: `#14 – 6`, `14: 6`. */
const COUNT_BEHIND_SIZE = /(?<=\s#?\s?\d{1,2}(?:\/0)?)\s*[-–—,:]\s*(\d{1,6})$/u
/** `6 x olive jig` or `6× olive jig`. */
const COUNT_BEFORE = /^\s*(\d{1,6})\s*[x×]\s+/iu
/** `6 olive jig`. */
const FIGURE_BEFORE = /^(\d{1,6})\s+(?=\p{L})/u
/** `#14`, `size 14`, `sz 14`, or a bare 14 at the end. */
const SIZE = /(?:^|\s)(?:#\s?|size\s+|sz\.?\s+)(\d{1,2}(?:\/0)?)\b|\s(\d{1,2}(?:\/0)?)$/iu
const LARGEST_NUMBER = 32

/** The count that a line says by a mark of its own, and the line without it. */
function countOf(text: string): { readonly count: number | null; readonly rest: string } {
  for (const pattern of [COUNT_AFTER, COUNT_BEHIND_SIZE, COUNT_BEFORE]) {
    const found = pattern.exec(text)
    if (found) return { count: Number(found[1] ?? found[2]), rest: text.replace(pattern, '').trim() }
  }
  const words = COUNT_IN_WORDS.exec(text)
  return words
    ? {
        count: COUNT_WORDS[words[1]?.toLowerCase() ?? ''] ?? null,
        rest: text.replace(COUNT_IN_WORDS, '').trim(),
      }
    : { count: null, rest: text }
}

/** The hook size that a line says; null for none. */
function sizeOf(text: string): string | null {
  const found = SIZE.exec(text)
  const size = found?.[1] ?? found?.[2] ?? null
  return size !== null && (size.includes('/') || Number(size) <= LARGEST_NUMBER) ? size : null
}

/**
 * Reads a line of a name, a hook size and a count; a line without a count is of one fly. A figure before the name is
 * the count where the size stands elsewhere; alone it could be either, and is asked about.
 *
 * @example readFlyLine('olive jig 14 x6') // { kind: 'fly', name: 'olive jig', hookSize: '14', count: 6, … }
 * @example readFlyLine('a dozen olive jigs 14') // count 12
 */
export function readFlyLine(line: string): FlyLine | FlyLineFault {
  const text = line.normalize('NFC').replace(/\s+/g, ' ').trim()
  let { count, rest } = countOf(text)
  const hookSize = sizeOf(rest)
  const before = count === null ? FIGURE_BEFORE.exec(rest) : null
  if (before) {
    if (hookSize === null && Number(before[1]) <= LARGEST_NUMBER)
      return { kind: 'unclear', code: 'countOrSize' }
    count = Number(before[1])
    rest = rest.replace(FIGURE_BEFORE, '')
  }
  if (count !== null && count < 1) return { kind: 'unclear', code: 'noneOfIt' }
  if (count !== null && count > MOST) return { kind: 'unclear', code: 'tooMany' }
  const name = (hookSize === null ? rest : rest.replace(SIZE, ' '))
    .replace(/\s+/g, ' ')
    .replace(/[\s,;:–-]+$/, '')
    .trim()
  if (name === '') return { kind: 'unclear', code: 'noName' }
  return { kind: 'fly', name, written: rest, hookSize, count: count ?? 1 }
}
