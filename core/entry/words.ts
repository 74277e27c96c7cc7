/** Figures written as words. */
export const NUMBER_WORDS: Readonly<Record<string, number>> = {
  'half a': 0.5, half: 0.5, a: 1, one: 1, single: 1, two: 2, double: 2, pair: 2, three: 3, four: 4, five: 5, six: 6,
  seven: 7, eight: 8, nine: 9, ten: 10, eleven: 11, twelve: 12, fifteen: 15, twenty: 20,
} // prettier-ignore

const VULGAR = '¼½¾⅓⅔⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞'
/** A figure in any notation, as a pattern: mixed, vulgar, fraction, decimal, whole. */
export const FIGURE = `(?:\\d+(?:\\s+|-)\\d+\\s*/\\s*\\d+|\\d*[\\s-]?[${VULGAR}]|\\d+\\s*/\\s*\\d+|\\d*[.,]\\d+|\\d+)`
/** A figure or a number in words. */
export const NUMBER = `(?:${FIGURE}|\\b(?:${Object.keys(NUMBER_WORDS).join('|')})\\b)`

/** Words that say nothing of the goods. */
const EMPTY: ReadonlySet<string> = new Set([
  'of', 'the', 'a', 'an', 'and', 'with', 'in', 'for', 'from', 'to', 'x', 'on', 'some', 'wound', 'tied',
]) // prettier-ignore

/** A word without its plural, for holding words against each other. */
export const stemOf = (word: string): string => {
  if (/^\p{L}{2,}(?:ches|shes|sses|xes)$/u.test(word)) return word.slice(0, -2)
  return /^\p{L}{3,}s$/u.test(word) && !word.endsWith('ss') ? word.slice(0, -1) : word
}

/** The words of a text, in small letters, without plurals; hyphens part them. */
export const wordsOf = (text: string): readonly string[] =>
  text
    .toLowerCase()
    .replace(/[’']s?\b/gu, (mark) => (mark.length > 1 ? '' : ' '))
    .split(/[^\p{L}]+/u)
    .filter(Boolean)
    .map(stemOf)

/** {@link wordsOf} without those that say nothing. */
export const tellingWordsOf = (text: string): readonly string[] =>
  wordsOf(text).filter((word) => !EMPTY.has(word))
