import type { FlyLine } from './flyLine.ts'

/** A fly that is there already. */
export interface NamedFly {
  readonly key: string
  readonly patternName: string
  readonly label: string
}

/** The words of a name, without plurals and punctuation. */
const wordsOf = (text: string): readonly string[] =>
  text
    .normalize('NFC')
    .toLocaleLowerCase('en')
    .split(/[^\p{L}\p{N}./]+/u)
    .filter(Boolean)
    .map((word) => (/^\p{L}{3,}s$/u.test(word) && !word.endsWith('ss') ? word.slice(0, -1) : word))

const holds = (words: readonly string[], some: readonly string[]) => some.every((word) => words.includes(word))

/**
 * Flies that a name and a hook size may mean: all that is written stands in their pattern's name and their label, and
 * the pattern's name stands in what is written, or it is the pattern that the list is about. One that is called just
 * so comes before all others. Case, punctuation, plurals and the order of words do not count.
 *
 * @param under name of the pattern under which the line stands
 */
export function fliesNamed(
  { name, hookSize, written }: Pick<FlyLine, 'name' | 'hookSize' | 'written'>,
  flies: readonly NamedFly[],
  under: string | null = null,
): readonly NamedFly[] {
  const said = [...wordsOf(name), ...(hookSize === null ? [] : [hookSize])]
  const whole = wordsOf(written)
  const meant = flies.filter(({ patternName, label }) => {
    const pattern = wordsOf(patternName)
    const all = [...pattern, ...wordsOf(label)]
    return (holds(all, said) || holds(all, whole)) && (patternName === under || holds(whole, pattern))
  })
  const exact = meant.filter(({ patternName, label }) =>
    holds(
      patternName === under ? [...wordsOf(patternName), ...whole] : whole,
      wordsOf(`${patternName} ${label}`),
    ),
  )
  return exact.length > 0 ? exact : meant
}
