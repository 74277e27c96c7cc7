/** Words that only tell a food from its kin: the first to be left out. */
const KIN = /^(large|small|pale|dark|common|long|broad|great|little) /i

/**
 * Names of a food's stage, from the whole to the shortest, by leaving out words: `Large burrowing mayfly, rising nymph`,
 * `burrowing mayfly, rising nymph`, `mayfly, rising nymph`, `mayfly, rising`, `Large burrowing, rising nymph`, `mayfly`.
 */
export function foodNames(whole: string): readonly string[] {
  const cut = whole.lastIndexOf(', ')
  const [food, stage] = cut < 0 ? [whole, ''] : [whole.slice(0, cut), whole.slice(cut + 2)]
  const plain = food.replace(/ \([^)]*\)/, '')
  const noun = plain.split(' ').at(-1) ?? plain
  const kin = plain.replace(KIN, '')
  const foods = [food, plain, kin, noun]
  const firstOfStage = stage.split(' ')[0] ?? ''
  const joined = (of: string, at: string) => (at ? `${of}, ${at}` : of)
  return [
    ...new Set([
      ...foods.map((of) => joined(of, stage)),
      ...[kin, noun].map((of) => joined(of, firstOfStage)),
      ...(stage && plain !== noun ? [joined(plain.slice(0, -noun.length - 1), stage)] : []),
      noun,
    ]),
  ]
}

/**
 * Names of a variant, from the whole to the shortest: with its label, its size alone, without either, its pattern's last
 * word. What tells it from others of its size stands before the bare name, for where two would be called alike.
 */
export function flyNames(pattern: string, label: string): readonly string[] {
  const size = /#\S+/.exec(label)?.[0] ?? ''
  const last = pattern.split(' ').at(-1) ?? pattern
  const rest = label.replace(size, '').trim()
  const sized = size ? [`${pattern} ${size}`, `${last} ${size}`] : []
  const apart = rest && size ? [`${last} ${rest}`] : []
  return [...new Set([`${pattern} ${label}`, ...sized, ...apart, pattern, last])]
}

/** Names of a place, from the whole to the shortest: what stands after a comma goes first, then word after word. */
export function placeNames(label: string): readonly string[] {
  const words = (label.split(', ')[0] ?? label).split(' ')
  const shorter = words.map((_, left) =>
    words
      .slice(0, words.length - left)
      .join(' ')
      .replace(/ (and|or|of|the|to|in)$/, ''),
  )
  return [...new Set([label, ...shorter])]
}

/**
 * A name for each of several, from the whole to the shortest that has room; where two would be called alike, another of
 * their names that has room and tells them apart.
 */
export function thatTellApart(
  all: readonly (readonly string[])[],
  widthPx: number,
  widthOf: (text: string) => number,
): readonly string[] {
  const first = all.map((names) => thatFits(names, widthPx, widthOf))
  const isAlike = (name: string) => first.filter((other) => other === name).length > 1
  const used = new Set(first)
  return all.map((names, i) => {
    const usual = first[i] ?? ''
    if (!isAlike(usual)) return usual
    const other =
      names.find((name) => name.length > usual.length && widthOf(name) <= widthPx && !used.has(name)) ?? usual
    used.add(other)
    return other
  })
}

/** The longest of some names, from the whole to the shortest, that has room; the shortest where none has. */
export const thatFits = (
  names: readonly string[],
  widthPx: number,
  widthOf: (text: string) => number,
): string => names.find((name) => widthOf(name) <= widthPx) ?? names.at(-1) ?? ''
