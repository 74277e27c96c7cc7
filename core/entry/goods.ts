import type { MaterialKind } from '../material/index.ts'
import { ALSO_CALLED } from './alsoCalled.ts'
import { wordsOf } from './words.ts'

/** Goods that a line may mean. */
export interface NamedFamily {
  readonly id: string
  readonly name: string
  readonly kind: MaterialKind
  readonly sizes: readonly string[]
  readonly colours: readonly { readonly name: string; readonly hexDry?: string }[]
}

/** How well goods account for what was typed. */
export interface Likeness {
  readonly family: NamedFamily
  /** typed words that belong to its name, to its kind, or to one of its colours */
  readonly byName: ReadonlySet<string>
  readonly byColour: ReadonlySet<string>
  readonly points: number
}

const KIND_WORDS: Readonly<Partial<Record<MaterialKind, string>>> = {
  dubbing: 'dubbing fur', wire: 'wire', bead: 'bead', thread: 'thread', hackle: 'hackle feather', fibre: 'fibre',
  hair: 'hair', strip: 'strip', chenille: 'chenille', yarn: 'yarn', foam: 'foam', rubber: 'rubber', herl: 'herl',
  quill: 'quill', floss: 'floss', tinsel: 'tinsel', cdc: 'cdc', marabou: 'marabou', feather: 'feather', sheet: 'sheet',
  resin: 'resin', eyes: 'eye', cone: 'cone',
} // prettier-ignore

const POINTS = { exact: 3, begins: 2, also: 2, kind: 1, colour: 1, whole: 1, first: 0.5, ofKind: 0.25 }

/** Words of a name, whether typed in full or by their beginning. */
const begins = (word: string, part: string) => word.length >= 3 && part.startsWith(word)

/** Holds goods against typed words, parts and amounts taken away. */
export function likenessOf(family: NamedFamily, typed: readonly string[]): Likeness {
  const name = wordsOf(family.name)
  const also = wordsOf(ALSO_CALLED[family.name] ?? '')
  const kind = wordsOf(KIND_WORDS[family.kind] ?? family.kind)
  const colours = family.colours.flatMap((colour) => wordsOf(colour.name))
  const byName = new Set<string>()
  const byColour = new Set<string>()
  let points = 0
  for (const word of typed) {
    if (colours.includes(word)) byColour.add(word)
    if (name.includes(word)) points += POINTS.exact + (kind.includes(word) ? POINTS.ofKind : 0)
    else if (also.includes(word)) points += POINTS.also
    else if (name.some((part) => begins(word, part))) points += POINTS.begins
    else if (kind.includes(word)) points += POINTS.kind
    else {
      if (byColour.has(word)) points += POINTS.colour
      continue
    }
    byName.add(word)
  }
  // its first word says most of it, but not the kind of goods, which others are as well
  const [first = ''] = name
  if (typed.includes(first) && !kind.includes(first)) points += POINTS.first
  // all of its name was typed: nothing else can be meant so well
  if (name.length > 0 && name.every((part) => typed.includes(part))) points += POINTS.whole
  return { family, byName, byColour, points }
}

/**
 * Goods in falling order of how well they account for what was typed: by points, then by how much of their own name
 * was left unsaid.
 */
export function rankedGoods(families: readonly NamedFamily[], typed: readonly string[]): readonly Likeness[] {
  return families
    .map((family) => likenessOf(family, typed))
    .filter(({ points, byName }) => points > 0 && byName.size > 0)
    .sort((a, b) => b.points - a.points)
}
