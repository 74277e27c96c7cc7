import { colourDistance } from '../colour/index.ts'
import type { NamedFamily } from './goods.ts'
import { wordsOf } from './words.ts'

/** Colours by the words that tiers use, as a dye would look: what a colour that is not in a list is near to. */
const HEX: Readonly<Record<string, string>> = {
  black: '#1a1a1a', white: '#f4f2ec', grey: '#8a8a88', gray: '#8a8a88', silver: '#c0c4c8', gold: '#c9a227', copper: '#b4642d',
  bronze: '#7a5b34', brass: '#b59a45', red: '#b3261e', ruby: '#8d1b2f', claret: '#5e1a2b', maroon: '#57202a', wine: '#5e1a2b',
  pink: '#e58aa3', salmon: '#e68a70', peach: '#f0b48c', orange: '#dd7a22', amber: '#c98a2e', ginger: '#b5793c', rust: '#8e4a26',
  brown: '#6b4a2f', tan: '#b79a72', fawn: '#b79a72', beige: '#d2bf9b', cream: '#e9dfc3', ivory: '#ece4cf', yellow: '#e0c53a',
  chartreuse: '#b6d43a', lime: '#a6cf3a', green: '#4c7a3d', olive: '#6b6a35', insect: '#7a8f3a', blue: '#3a5f9a', navy: '#22345c',
  turquoise: '#3f9a9a', teal: '#2f6f70', purple: '#5b3a7a', violet: '#6a4a9a', lilac: '#a58bc0', lavender: '#a58bc0', magenta: '#b0307a',
  clear: '#e8e8e4', pearl: '#e4e6e8', natural: '#a08a6a', dun: '#7f8488', badger: '#d8cfb8', grizzle: '#9a9a96', grizzly: '#9a9a96',
  furnace: '#6a3b22', nickel: '#9aa0a4', lead: '#6d7278', fluorescent: '#e8f03a', fluo: '#e8f03a', pale: '#cfcabb', dark: '#3a3632',
  light: '#d6d0c0', hot: '#f0512a', iron: '#565c60', wood: '#a98a5a', bleached: '#ddd0b0', speckled: '#8a7a60', mottled: '#8a7658',
  barred: '#8a8276',
} // prettier-ignore

/** Words that say a colour, or how light or hot it is. */
export const isColourWord = (word: string): boolean => HEX[word] !== undefined

const NEAREST = 3

/** The colour of a family that words mean: the one that is called so, or none with the nearest by hue. */
export interface ColourFound {
  /** null where it does not come in that colour */
  readonly name: string | null
  readonly nearest: readonly string[]
  /** how the words may look, as a first guess to be changed */
  readonly hex: string
}

/**
 * The colour that was meant: of those that have all the words the one with the fewest others; its first where none is
 * said.
 *
 * @param colourWords words that say a colour and nothing else
 * @param words       all words typed, since a metal is name and colour at once
 */
export function colourFor(
  family: NamedFamily,
  colourWords: readonly string[],
  words: readonly string[],
): ColourFound {
  const named = family.colours.map(({ name, hexDry }) => ({ name, hexDry, parts: wordsOf(name) }))
  const first = named[0]?.name ?? ''
  const exact = named.filter(({ parts }) => parts.every((part) => words.includes(part)))
  const longest = [...exact].sort((a, b) => b.parts.length - a.parts.length)[0]
  const wanted = HEX[colourWords.at(-1) ?? ''] ?? '#808080'
  if (colourWords.length === 0) return { name: longest?.name ?? first, nearest: [], hex: wanted }
  const holding = named
    .filter(({ parts }) =>
      colourWords.every((word) => parts.includes(word) || (word === 'gray' && parts.includes('grey'))),
    )
    .sort((a, b) => a.parts.length - b.parts.length)
  if (holding[0]) return { name: holding[0].name, nearest: [], hex: wanted }
  const distance = ({ name, hexDry }: (typeof named)[number]) =>
    colourDistance(hexDry ?? HEX[wordsOf(name).at(-1) ?? ''] ?? '#808080', wanted)
  const nearest = [...named].sort((a, b) => distance(a) - distance(b)).slice(0, NEAREST)
  return { name: null, nearest: nearest.map(({ name }) => name), hex: wanted }
}
