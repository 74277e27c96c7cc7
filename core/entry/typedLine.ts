import { COMPONENT_KINDS, KINDS } from '../dressing/index.ts'
import type { Component, ComponentKind, Place } from '../dressing/index.ts'
import { parseQuantity, plainFigures } from '../quantity/index.ts'
import { extractAmounts, numberOf } from './amounts.ts'
import type { Amount } from './amounts.ts'
import { colourFor, isColourWord } from './colours.ts'
import { amountsFor, COUNTED_BY } from './counted.ts'
import { likenessOf, rankedGoods } from './goods.ts'
import type { Likeness, NamedFamily } from './goods.ts'
import { sizeOf } from './sizes.ts'
import type { SizeFound } from './sizes.ts'
import { FIGURE, NUMBER, tellingWordsOf, wordsOf } from './words.ts'

/** What of a line is a component, without its key and drawer. */
export type TypedComponent = Omit<Component, 'key' | 'materialId' | 'place'> & {
  readonly place: Partial<Place>
}

/** What is to be settled before a line is taken. */
export type Ask =
  | { readonly about: 'goods'; readonly choices: readonly NamedFamily[] }
  | {
      readonly about: 'size'
      readonly familyId: string
      /** as typed; null where none was */
      readonly written: string | null
      readonly choices: readonly string[]
      /** size that a drawer could be made in; null for goods that come only as listed */
      readonly make: string | null
    }
  | {
      readonly about: 'colour'
      readonly familyId: string
      readonly written: string
      /** the nearest there are */
      readonly choices: readonly string[]
      /** how the colour that was typed may look */
      readonly hex: string
    }
  /** some words were not understood: is it meant without them? */
  | { readonly about: 'words' }

/** What was understood of a line. */
export type TypedLine =
  | {
      readonly kind: 'understood'
      readonly component: TypedComponent
      readonly familyId: string
      readonly sizeKey: string
      readonly colourName: string
      /** readings that were not plain, to be said */
      readonly notes: readonly string[]
    }
  | {
      readonly kind: 'asks'
      readonly ask: Ask
      /** words that were not understood */
      readonly unused: readonly string[]
    }
  | {
      readonly kind: 'unclear'
      readonly code: 'noKind' | 'unknownKind' | 'noMaterial'
      /** the words at which it stopped */
      readonly at: string
    }

/** What was settled of what a line asked. */
export interface Settled {
  readonly familyId?: string
  readonly sizeKey?: string
  readonly colourName?: string
  readonly withoutWords?: boolean
}

/** Words for components beside their own names. */
const KIND_WORDS: Readonly<Record<ComponentKind, readonly string[]>> = {
  bead: ['beadhead', 'bead head'], cone: ['conehead'], eyes: [], wire: ['underbody', 'weight', 'turns of wire'], sheet: [], thread: ['silk'],
  tail: ['whisks', 'tails'], shuck: ['trailing shuck'], body: ['abdomen'], rib: ['ribbing'], thorax: [], gills: [],
  legs: ['feelers', 'horns'], collar: [], hackle: [], wing: ['tuft', 'wings'], post: ['parachute'], wingCase: ['wing case', 'wingcase'],
  back: ['shellback'], strip: [], foam: [], coat: ['resin', 'varnish', 'resin coat'], hotSpot: ['hot spot', 'spot'], egg: ['egg sac', 'eggsac'], head: [],
} // prettier-ignore

const BULKS: Readonly<Record<string, number>> = {
  sparse: 0.1, thin: 0.1, slim: 0.25, medium: 0.45, full: 0.55, bulky: 0.8,
} // prettier-ignore

const MOST_CHOICES = 4
const COUNT_BEFORE = new RegExp(`^\\s*(${NUMBER})\\s+(?=\\p{L})`, 'iu')
const UNIT = `(?:mm|cm|millimet\\w+|in(?:ch(?:es)?|s)?\\b\\.?|"|thou|mils?|den(?:ier)?|dtex|d\\b)`
const FIGURES = new RegExp(
  `(?:#\\s?|\\b(?:size|sz\\.?)\\s+)\\d+(?:/0)?|[øØ⌀]?\\s*${FIGURE}(?:\\s*${UNIT})?(?:\\s*/0)?`,
  'giu',
)

const STARTS_WITH_UNIT = new RegExp(`^${UNIT}`, 'iu')
/** `12 mm long` is 12 mm. */
const LONG = /(\d\s*(?:mm|cm|in|"))\s+long\b/giu

const kindOf = (word: string): ComponentKind | null => {
  const folded = word.trim().toLowerCase()
  const own = COMPONENT_KINDS.find((kind) => kind.toLowerCase() === folded.replace(/\s+/g, ''))
  return own ?? COMPONENT_KINDS.find((kind) => KIND_WORDS[kind].includes(folded)) ?? null
}

/** A line in its parts: amounts, figures and words, wherever they stand. */
function partsOfLine(kind: ComponentKind, text: string) {
  const { amount, words: said, rest } = extractAmounts(plainFigures(text).replace(LONG, '$1'))
  const goods = rest.replace(/^[\s,;]+/, '')
  const before = COUNT_BEFORE.exec(goods)
  const counted =
    before && !STARTS_WITH_UNIT.test(goods.slice(before[0].length)) ? numberOf(before[1] ?? '') : null
  const isCount = counted !== null && Number.isInteger(counted)
  const left = isCount ? goods.slice(before?.[0].length ?? 0) : goods
  const figures = [...left.matchAll(FIGURES)].map(([figure]) => figure.trim())
  const words = tellingWordsOf(left.replace(FIGURES, ' '))
  const own = new Set([kind, ...KIND_WORDS[kind]].flatMap((name) => wordsOf(name)))
  const noun = isCount ? words.findLast((word) => COUNTED_BY[word]) : undefined
  if (isCount && noun) {
    const by = COUNTED_BY[noun] ?? 'fibreCount'
    return {
      amount: { [by]: counted, ...amount },
      said: { [by]: `${counted} ${noun}`, ...said },
      figures,
      words,
      own: new Set([...own, noun]),
      noun,
    }
  }
  return isCount
    ? {
        amount: { fibreCount: counted, ...amount },
        said: { fibreCount: String(counted), ...said },
        figures,
        words,
        own,
        noun,
      }
    : { amount, said, figures, words, own, noun }
}

type Parts = ReturnType<typeof partsOfLine>

/** Words that have to belong to the goods: neither colours nor amounts nor the name of the part. */
const telling = ({ words, own }: Parts, { byName }: Likeness) =>
  words.filter(
    (word) => byName.has(word) || !(isColourWord(word) || own.has(word) || BULKS[word] !== undefined),
  )

/** Goods that a line may mean, the likeliest first; those as likely as each other are told apart by size and colour only. */
function candidates(kind: ComponentKind, families: readonly NamedFamily[], parts: Parts): readonly Likeness[] {
  const { figures, words, noun } = parts
  const kinds = KINDS[kind].madeOf
  const usable = families.filter((family) => kinds.includes(family.kind))
  // what is counted says little of the goods: fibres come of many feathers
  const naming = words.filter((word) => word !== noun)
  const byNaming = rankedGoods(usable, naming)
  const ranked = byNaming.length > 0 ? byNaming : rankedGoods(usable, words)
  const named = words.some((word) => !isColourWord(word) && !parts.own.has(word) && BULKS[word] === undefined)
  const pool =
    ranked.length > 0 || named
      ? ranked
      : usable.filter((family) => family.kind === kinds[0]).map((family) => likenessOf(family, words))
  const best = pool.filter(({ points }) => points === pool[0]?.points)
  const having = (holds: (likeness: Likeness) => boolean, from: readonly Likeness[]) => {
    const some = from.filter(holds)
    return some.length > 0 ? some : from
  }
  const nouned = having(({ family }) => noun !== undefined && wordsOf(family.name).includes(noun), best)
  const sized = having(({ family }) => figures.some((figure) => sizeOf(family, figure).kind === 'size'), nouned)
  const coloured = having(
    ({ byColour }) => words.filter(isColourWord).every((word) => byColour.has(word)),
    sized,
  )
  const isNarrowed = coloured.length === 1 || coloured.length < best.length
  return isNarrowed ? coloured : [...coloured, ...pool.filter((one) => !coloured.includes(one))]
}

/** Figures of a line as a size and a free length; those that are neither are left over. */
function figuresFor(kind: ComponentKind, family: NamedFamily, figures: readonly string[]) {
  const asksLength = KINDS[kind].asks(family.kind).some((field) => field === 'length' || field === 'pin')
  let sizeKey: string | null = null
  let length: Amount = {}
  let missing: Extract<Ask, { about: 'size' }> | null = null
  const notes: string[] = []
  const unused: string[] = []
  for (const figure of figures) {
    const size: SizeFound = sizeKey === null ? sizeOf(family, figure) : { kind: 'none' }
    if (size.kind === 'size') {
      sizeKey = size.sizeKey
      if (size.readAs) notes.push(size.readAs)
      continue
    }
    const parsed = parseQuantity(figure, 'length', 'mm', { min: 0, max: 200 })
    const hasUnit = /[a-z"]/i.test(figure)
    if (parsed.kind === 'quantity' && asksLength && hasUnit && length.length === undefined)
      length = { length: { mm: parsed.value } }
    else if (size.kind === 'noSuchSize')
      missing = {
        about: 'size',
        familyId: family.id,
        written: size.written,
        choices: size.nearest,
        make: size.make,
      }
    else unused.push(figure)
  }
  return { sizeKey, length, missing, notes, unused }
}

const middleOf = (sizes: readonly string[]) => {
  const from = Math.max(0, Math.floor((sizes.length - MOST_CHOICES) / 2))
  return sizes.slice(from, from + MOST_CHOICES)
}

/** Reads a line against the goods that it means. */
function readAs(kind: ComponentKind, likeness: Likeness, parts: Parts, settled: Settled): TypedLine {
  const { family, byName } = likeness
  const { words, own } = parts
  const asked = KINDS[kind].asks(family.kind)
  const { kept: amount, unasked, notes } = amountsFor(asked, parts)
  const figures = figuresFor(kind, family, parts.figures)
  const bulkWord = asked.includes('bulk')
    ? words.find((word) => BULKS[word] !== undefined && !byName.has(word))
    : undefined
  const colourWords = words.filter((word) => isColourWord(word) && !byName.has(word))
  const colour = colourFor(family, colourWords, words)
  const unused = [
    ...words.filter(
      (word) => !byName.has(word) && !colourWords.includes(word) && !own.has(word) && word !== bulkWord,
    ),
    ...figures.unused,
    ...unasked,
  ]
  const asks = (ask: Ask): TypedLine => ({ kind: 'asks', ask, unused })
  const sizeKey = settled.sizeKey ?? figures.sizeKey ?? (family.sizes.length === 0 ? '' : null)
  if (sizeKey === null) {
    const open = {
      about: 'size',
      familyId: family.id,
      written: null,
      choices: middleOf(family.sizes),
      make: null,
    } as const
    return asks(figures.missing ?? open)
  }
  const colourName = settled.colourName ?? colour.name
  if (colourName === null)
    return asks({
      about: 'colour',
      familyId: family.id,
      written: colourWords.join(' '),
      choices: colour.nearest,
      hex: colour.hex,
    })
  if (unused.length > 0 && !settled.withoutWords) return asks({ about: 'words' })
  const { place, ...said } = { ...amount, ...figures.length, ...(bulkWord ? { bulk: BULKS[bulkWord] } : {}) }
  return {
    kind: 'understood',
    component: { ...said, kind, place: place ?? {} } as TypedComponent,
    familyId: family.id,
    sizeKey,
    colourName,
    notes: [...notes, ...figures.notes],
  }
}

/**
 * Reads a line of a dressing as tiers write it: `kind: goods and amounts`, in any order.
 *
 * Goods are words of a name or what it is also called, a size in any notation, a colour; a figure before them counts
 * fibres. Amounts are `5 turns`, `six fibres`, `two layers`; `⅔ shank`, `1.5x shank`, `12 mm`; `rear ⅔`, `from 0.2 to
 * 0.9`; `sparse` to `bulky`; `above`, `spent`; `clipped below`; `with floatant`.
 *
 * Nothing is guessed: where several goods fit as well, most words belong to none, a size or a colour is not there, or
 * words are left over, the line asks.
 *
 * @param settled answers to what it asked
 * @example readTypedLine('tail: 6 speckled cock, ⅔ shank', families)
 */
export function readTypedLine(
  text: string,
  families: readonly NamedFamily[],
  settled: Settled = {},
): TypedLine {
  const colon = text.indexOf(':')
  if (colon < 0) return { kind: 'unclear', code: 'noKind', at: text.trim() }
  const kind = kindOf(text.slice(0, colon))
  if (!kind) return { kind: 'unclear', code: 'unknownKind', at: text.slice(0, colon).trim() }
  const said = text.slice(colon + 1)
  const parts = partsOfLine(kind, said)
  const chosen = families.find(({ id }) => id === settled.familyId)
  if (chosen) return readAs(kind, likenessOf(chosen, parts.words), parts, settled)
  const found = candidates(kind, families, parts)
  const [best] = found
  if (!best) return { kind: 'unclear', code: 'noMaterial', at: said.trim() }
  const needed = telling(parts, best)
  const isMajority =
    needed.length === 0 || needed.filter((word) => best.byName.has(word)).length > needed.length / 2
  if (found.length === 1 || (isMajority && (found[1]?.points ?? 0) < best.points)) {
    if (isMajority) return readAs(kind, best, parts, settled)
  }
  return {
    kind: 'asks',
    ask: { about: 'goods', choices: found.slice(0, MOST_CHOICES).map(({ family }) => family) },
    unused: parts.words.filter(
      (word) =>
        !(parts.own.has(word) || isColourWord(word) || BULKS[word] !== undefined) &&
        !found.some(({ byName }) => byName.has(word)),
    ),
  }
}
