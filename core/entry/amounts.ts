import type { Component, Place, Proportion } from '../dressing/index.ts'
import { FIELD_LIMITS } from '../dressing/index.ts'
import { parseDecimal, parseQuantity } from '../quantity/index.ts'
import { NUMBER, NUMBER_WORDS } from './words.ts'

/** What amounts say of a component. */
export type Amount = Omit<Partial<Component>, 'place'> & {
  readonly place?: Partial<Place>
  /** whole feathers, and fibres one by one, where nothing else can be meant */
  readonly feathers?: number
  readonly hairs?: number
}

/** A line without the amounts that were found in it. */
export interface Extracted {
  readonly amount: Amount
  /** the words that said each of them */
  readonly words: Readonly<Partial<Record<keyof Amount, string>>>
  /** what is left: goods, size, colour, and what was not understood */
  readonly rest: string
}

const SIDES: Readonly<Record<string, Place['side']>> = {
  'above': 'above', 'on top': 'above', 'over the top': 'above', 'upright': 'above', 'below': 'below', 'beneath': 'below',
  'underneath': 'below', 'around': 'around', 'all round': 'around', 'tented': 'around', 'both sides': 'both',
  'each side': 'both', 'to the sides': 'both', 'spent': 'both',
} // prettier-ignore

const OF: Readonly<Record<string, 'shank' | 'gape' | 'hookLength' | 'bead'>> = {
  shank: 'shank', gape: 'gape', gap: 'gape', hook: 'hookLength', fly: 'hookLength', flie: 'hookLength', bead: 'bead',
} // prettier-ignore

const SHARES: Readonly<Record<string, number>> = {
  'three quarters': 3 / 4, 'two thirds': 2 / 3, half: 1 / 2, third: 1 / 3, quarter: 1 / 4,
} // prettier-ignore

/** What a figure or a number in words means; null for none. */
export function numberOf(text: string): number | null {
  const words = text.trim().toLowerCase()
  const said = NUMBER_WORDS[words]
  if (said !== undefined) return said
  const parsed = parseDecimal(words)
  return parsed.kind === 'number' && parsed.value >= 0 ? parsed.value : null
}

/** Amounts as patterns, each with what it says; one that makes no sense leaves its words in the line. */
type Reading = readonly [pattern: RegExp, of: (found: RegExpExecArray) => Amount | null]

const whole = (text: string, of: (count: number) => Amount): Amount | null => {
  const count = numberOf(text)
  return count !== null && Number.isInteger(count) ? of(count) : null
}

const stretchOf = (from: number | null, to: number | null): Amount | null =>
  from !== null && to !== null && from <= to && to <= 1 ? { place: { from, to } } : null

/** `rear ⅔`, `front third`, `middle half`: a stretch of the shank by its end. */
function partOfShank(end: string, share: number | null): Amount | null {
  if (share === null || share <= 0 || share > 1) return null
  if (/^(?:rear|back|hind|last)/.test(end)) return stretchOf(1 - share, 1)
  if (/^mid/.test(end)) return stretchOf((1 - share) / 2, (1 + share) / 2)
  return stretchOf(0, share)
}

const lengthOf = (factor: number | null, of: string): Amount | null => {
  const proportion: Proportion | null =
    factor === null || OF[of] === undefined ? null : ({ factor, of: OF[of] } as Proportion)
  return proportion && { length: proportion }
}

const shareOf = (text: string) => SHARES[text] ?? numberOf(text)
const re = (pattern: string) => new RegExp(`(?<![\\p{L}\\d.,/#])${pattern}(?![\\p{L}\\d])`, 'iu')
const SHARE_WORDS = Object.keys(SHARES).join('|')

const READINGS: readonly Reading[] = [
  [
    re(`from\\s+(${NUMBER})(\\s*%)?\\s+to\\s+(${NUMBER})(\\s*%)?`),
    ([, from = '', , to = '', percent]) => {
      const scale = percent ? 100 : 1
      const [a, b] = [numberOf(from), numberOf(to)]
      return a === null || b === null ? null : stretchOf(a / scale, b / scale)
    },
  ],
  [
    re(`(rear|back|hind|last|front|fore|head|first|mid|middle)\\s+(${SHARE_WORDS}|${NUMBER})(?:\\s+of\\s+(?:the\\s+)?(?:shank|body|hook))?`),
    ([, end = '', share = '']) => partOfShank(end.toLowerCase(), shareOf(share.toLowerCase())),
  ],
  [
    re(`(${SHARE_WORDS}|${NUMBER})\\s*(?:x|×|times)?\\s*(?:of\\s+)?(?:the\\s+|a\\s+)?(shank|gape|gap|hook|fly|flie|bead)s?(?:\\s+(?:length|width|long|wide)s?)?`),
    ([, factor = '', of = '']) => lengthOf(shareOf(factor.toLowerCase()), of.toLowerCase()),
  ],
  [re('(?:as\\s+long\\s+as\\s+the\\s+)?(shank|gape|gap)(?:\\s+(?:length|width|long|wide))'), ([, of = '']) => lengthOf(1, of.toLowerCase())],
  [re('as\\s+long\\s+as\\s+the\\s+(shank|hook|gape|gap)'), ([, of = '']) => lengthOf(1, of.toLowerCase())],
  [re(`(${NUMBER})\\s*(?:touching\\s+|close\\s+|open\\s+)?(?:turns?|wraps?|t)`), ([, turns = '']) => turnsOf(turns)],
  [re(`(${NUMBER}\\s*(?:mm|in|"))\\s*wide`), ([, width = '']) => widthOf(width)],
  [re(`bulk\\s*:?\\s*(${NUMBER})`), ([, bulk = '']) => bulkOf(numberOf(bulk))],
  [re(`(?:turns?|wraps?)\\s*:?\\s*(${NUMBER})`), ([, turns = '']) => turnsOf(turns)],
  [re(`(${NUMBER})\\s*layers?`), ([, layers = '']) => whole(layers, (count) => ({ layers: count }))],
  [re(`(${NUMBER})\\s*(?:fibres?|fibers?|barbs?|hairs?|whisks?)`), ([, count = '']) => whole(count, (hairs) => ({ hairs }))],
  [re(`(${NUMBER})\\s*(?:strands?|lengths?|pieces?)`), ([, count = '']) => whole(count, (strands) => ({ strands }))],
  [re(`(${NUMBER})\\s*(?:feathers?|plumes?)`), ([, count = '']) => whole(count, (feathers) => ({ feathers }))],
  [re(`(?:strands)\\s*:?\\s*(\\d+)(?![.,/])`), ([, count = '']) => whole(count, (strands) => ({ strands }))],
  [re('clipped(?:\\s+flush)?\\s+(?:above\\s+and\\s+below|below\\s+and\\s+above|top\\s+and\\s+bottom)'), () => ({ clipped: 0, place: { side: 'both' } })],
  [re('clipped(?:\\s+flush)?\\s+below'), () => ({ clipped: 0 })],
  [re('(knotted|bent|cut(?!\\s+across))'), ([, formed = '']) => ({ formed: formed.toLowerCase() as 'knotted' })],
  [re('(?:with\\s+floatant|greased|treated\\s+with\\s+floatant)'), () => ({ treatment: 'floatant' })],
  ...Object.entries(SIDES).map(([words, side]): Reading => [re(words.replace(/ /g, '\\s+')), () => ({ place: { side } })]),
] // prettier-ignore

function widthOf(text: string): Amount | null {
  const parsed = parseQuantity(text, 'length', 'mm', FIELD_LIMITS.widthMm)
  return parsed.kind === 'quantity' ? { widthMm: parsed.value } : null
}

const bulkOf = (bulk: number | null): Amount | null => (bulk !== null && bulk <= 1 ? { bulk } : null)

function turnsOf(text: string): Amount | null {
  const turns = numberOf(text)
  return turns === null ? null : { turns }
}

/** Finds the amounts of a line wherever they stand in it: counts, lengths by the hook, side, stretch, shears. */
export function extractAmounts(text: string): Extracted {
  let rest = text
  let amount: Amount = {}
  let words: Extracted['words'] = {}
  for (const [pattern, of] of READINGS) {
    const found = pattern.exec(rest)
    const made = found && of(found)
    if (!found || !made) continue
    rest = `${rest.slice(0, found.index)} , ${rest.slice(found.index + found[0].length)}`
    amount = { ...amount, ...made, place: { ...amount.place, ...made.place } }
    words = { ...words, ...Object.fromEntries(Object.keys(made).map((field) => [field, found[0].trim()])) }
  }
  return { amount, words, rest }
}
