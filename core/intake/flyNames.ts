import type { FlyLine } from './flyLine.ts'

/** A fly that is there already. */
export interface NamedFly {
  readonly key: string
  readonly patternName: string
  readonly label: string
}

const folded = (text: string) =>
  text
    .normalize('NFC')
    .toLocaleLowerCase('en')
    .replace(/[^\p{L}\p{N}.]+/gu, ' ')
    .trim()

/**
 * Flies that a name and a hook size may mean: the one whose pattern and label are just that, else those of a pattern of
 * that name, on that hook where one is said. Case and punctuation do not count.
 */
export function fliesNamed(
  { name, hookSize, written }: Pick<FlyLine, 'name' | 'hookSize' | 'written'>,
  flies: readonly NamedFly[],
): readonly NamedFly[] {
  const sought = folded(name)
  const whole = folded(written)
  const exact = flies.filter(({ patternName, label }) => folded(`${patternName} ${label}`) === whole)
  if (exact.length > 0) return exact
  const ofPattern = flies.filter(({ patternName }) => folded(patternName) === sought)
  if (hookSize === null) return ofPattern
  return ofPattern.filter(({ label }) => folded(label).split(' ').includes(hookSize))
}
