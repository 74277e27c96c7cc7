import { COMPONENT_KINDS, KINDS } from '../dressing/index.ts'
import type { Component, ComponentKind, Place, Proportion } from '../dressing/index.ts'
import type { MaterialKind } from '../material/index.ts'
import { parseDecimal, parseQuantity } from '../quantity/index.ts'

/** Goods that a line may mean. */
export interface NamedFamily {
  readonly id: string
  readonly name: string
  readonly kind: MaterialKind
  readonly sizes: readonly string[]
  readonly colours: readonly { readonly name: string }[]
}

/** What was understood of a line: the component without its key and drawer, and the goods that it means. */
export type TypedLine =
  | {
      readonly kind: 'understood'
      readonly component: Omit<Component, 'key' | 'materialId' | 'place'> & { readonly place: Partial<Place> }
      readonly familyId: string
      readonly sizeKey: string
      readonly colourName: string
    }
  | {
      readonly kind: 'unclear'
      readonly code: 'noKind' | 'unknownKind' | 'noMaterial' | 'unknownAmount'
      /** the words at which it stopped */
      readonly at: string
    }

/** Words for components beside their own names. */
const KIND_WORDS: Readonly<Record<ComponentKind, readonly string[]>> = {
  bead: [], cone: [], eyes: [], wire: ['underbody', 'weight', 'turns of wire'], sheet: [], thread: ['silk'],
  tail: ['whisks', 'tails'], shuck: ['trailing shuck'], body: ['abdomen'], rib: [], thorax: [], gills: [],
  legs: ['feelers', 'horns'], collar: [], hackle: [], wing: ['tuft'], post: ['parachute'], wingCase: ['wing case'],
  back: [], strip: [], foam: [], coat: ['resin', 'varnish', 'resin coat'], hotSpot: ['hot spot', 'spot'], egg: [],
} // prettier-ignore

const SIDES: Readonly<Record<string, Place['side']>> = {
  above: 'above', 'on top': 'above', upright: 'above', below: 'below', beneath: 'below', around: 'around',
  tented: 'around', 'both sides': 'both', spent: 'both',
} // prettier-ignore

const BULKS: Readonly<Record<string, number>> = {
  sparse: 0.1,
  thin: 0.1,
  slim: 0.25,
  medium: 0.45,
  full: 0.55,
  bulky: 0.8,
}
const OF: Readonly<Record<string, 'shank' | 'gape' | 'hookLength' | 'bead'>> = {
  shank: 'shank', shanks: 'shank', gape: 'gape', gapes: 'gape', fly: 'hookLength', flies: 'hookLength',
  hook: 'hookLength', bead: 'bead', beads: 'bead',
} // prettier-ignore

const FIGURE = '[-\\d.,\\s/¼½¾⅓⅔⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞]*[\\d¼½¾⅓⅔⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞]'
const COUNTED = new RegExp(`^(${FIGURE})\\s*(turns?|t|fibres?|strands?|layers?)$`, 'u')
const SAID_OF = new RegExp(
  `^(${FIGURE})\\s*(?:of the |of a |the |a )?(shanks?|gapes?|fly|flies|hook|beads?)$`,
  'u',
)

const kindOf = (word: string): ComponentKind | null => {
  const folded = word.trim().toLowerCase()
  const own = COMPONENT_KINDS.find((kind) => kind.toLowerCase() === folded.replace(/\s+/g, ''))
  return own ?? COMPONENT_KINDS.find((kind) => KIND_WORDS[kind].includes(folded)) ?? null
}

type Amount = Omit<Partial<Component>, 'place'> & { readonly place?: Partial<Place> }

function counted(figure: string, what: string): Amount | null {
  const parsed = parseDecimal(figure)
  if (parsed.kind !== 'number' || parsed.value < 0) return null
  if (what.startsWith('t')) return { turns: parsed.value }
  if (!Number.isInteger(parsed.value)) return null
  if (what.startsWith('f')) return { fibreCount: parsed.value }
  return what.startsWith('s') ? { strands: parsed.value } : { layers: parsed.value }
}

function lengthOf(words: string): Proportion | null {
  const said = SAID_OF.exec(words)
  const of = OF[said?.[2] ?? '']
  if (said && of) {
    const parsed = parseDecimal(said[1] ?? '')
    return parsed.kind === 'number' ? { factor: parsed.value, of } : null
  }
  if (!/(mm|cm|in|")$/.test(words)) return null
  const parsed = parseQuantity(words, 'length', 'mm', { min: 0, max: 200 })
  return parsed.kind === 'quantity' ? { mm: parsed.value } : null
}

/** One amount of a line: a count, a length, a thickness, a side, a stretch of the shank, shears. */
function amountOf(words: string): Amount | null {
  const many = COUNTED.exec(words)
  if (many) return counted(many[1] ?? '', many[2] ?? '')
  const side = SIDES[words]
  if (side) return { place: { side } }
  const bulk = BULKS[words]
  if (bulk !== undefined) return { bulk }
  if (words === 'clipped below') return { clipped: 0 }
  if (words === 'with floatant') return { treatment: 'floatant' }
  const stretch = /^from ([\d.,]+) to ([\d.,]+)$/.exec(words)
  if (stretch) {
    const [from, to] = [stretch[1], stretch[2]].map((part) => parseDecimal(part ?? ''))
    return from?.kind === 'number' && to?.kind === 'number' && from.value <= to.value && to.value <= 1
      ? { place: { from: from.value, to: to.value } }
      : null
  }
  const length = lengthOf(words)
  return length ? { length } : null
}

const wordsOf = (text: string) =>
  text
    .toLowerCase()
    .split(/[^\p{L}\d./"]+/u)
    .filter(Boolean)

/** How much of what was written a family's name and colours account for; more for a word that begins alike. */
function score(family: NamedFamily, written: readonly string[]): number {
  const name = wordsOf(family.name)
  const colours = family.colours.flatMap((colour) => wordsOf(colour.name))
  return written.reduce((sum, word) => {
    const stem = word.replace(/s$/, '')
    // the kind of goods says little: all dubbings are that
    if (stem === family.kind) return sum + 1
    if (name.some((part) => part === word || part === stem)) return sum + 3
    if (name.some((part) => part.startsWith(stem))) return sum + 2
    return sum + (colours.some((part) => part.startsWith(stem)) ? 1 : 0)
  }, 0)
}

/** The size of a family that was meant: a figure in any notation that it comes in. */
function sizeOf(family: NamedFamily, figures: readonly string[]): string {
  for (const figure of figures) {
    const bare = figure.replace(/^#/, '')
    if (family.sizes.includes(bare)) return bare
    const parsed = parseQuantity(figure, 'length', 'mm', { min: 0, max: 100 })
    const near =
      parsed.kind === 'quantity'
        ? family.sizes.find((size) => Math.abs(Number(size) - parsed.value) <= 0.06)
        : undefined
    if (near) return near
  }
  return family.sizes[Math.floor(family.sizes.length / 2)] ?? ''
}

function materialOf(kind: ComponentKind, text: string, families: readonly NamedFamily[]) {
  const figures = text.match(/#?[\d.,]+(?:\/\d+)?\s*(?:mm|in|")?/g)?.map((figure) => figure.trim()) ?? []
  const written = wordsOf(text.replace(/#?[\d.,]+(?:\/\d+)?\s*(?:mm|in|"|den(?:ier)?)?/g, ' '))
  const kinds = KINDS[kind].madeOf
  const best = families
    .filter((family) => kinds.includes(family.kind))
    .map((family) => ({ family, points: score(family, written) }))
    .sort(
      (a, b) =>
        b.points - a.points ||
        kinds.indexOf(a.family.kind) - kinds.indexOf(b.family.kind) ||
        a.family.name.length - b.family.name.length,
    )[0]
  if (!best || (best.points === 0 && written.length > 0)) return null
  const { family } = best
  const colour =
    family.colours.find(({ name }) => wordsOf(name).every((part) => written.includes(part))) ??
    family.colours.find(({ name }) => wordsOf(name).some((part) => written.includes(part))) ??
    family.colours[0]
  return { familyId: family.id, sizeKey: sizeOf(family, figures), colourName: colour?.name ?? '' }
}

/**
 * Reads a line of a dressing as tiers write it: `kind: goods, amount, amount`.
 *
 * Goods are words of a family's name, a size in any notation, a colour, and may begin with a count of fibres.
 * Amounts are `5 turns`, `6 fibres`, `2 strands`, `3 layers`; `⅔ shank`, `1½ gapes`, `2 beads`, `12 mm`;
 * `sparse`, `slim`, `medium`, `full`, `bulky`; `above`, `below`, `tented`, `spent`; `from 0.2 to 0.9`;
 * `clipped below`; `with floatant`.
 *
 * @example readTypedLine('tail: 6 speckled cock, ⅔ shank', families)
 */
export function readTypedLine(text: string, families: readonly NamedFamily[]): TypedLine {
  const colon = text.indexOf(':')
  if (colon < 0) return { kind: 'unclear', code: 'noKind', at: text.trim() }
  const kind = kindOf(text.slice(0, colon))
  if (!kind) return { kind: 'unclear', code: 'unknownKind', at: text.slice(0, colon).trim() }
  const [goods = '', ...rest] = text
    .slice(colon + 1)
    .split(/[,;](?=\s|$)/)
    .map((part) => part.trim().toLowerCase())
  const count = /^(\d+)\s+(?!mm|in\b)(?=\p{L})/u.exec(goods)
  const material = materialOf(kind, count ? goods.slice(count[0].length) : goods, families)
  if (!material) return { kind: 'unclear', code: 'noMaterial', at: goods }
  let component: Amount = count ? { fibreCount: Number(count[1]) } : {}
  for (const words of rest.filter(Boolean)) {
    const amount = amountOf(words)
    if (!amount) return { kind: 'unclear', code: 'unknownAmount', at: words }
    component = { ...component, ...amount, place: { ...component.place, ...amount.place } }
  }
  return {
    kind: 'understood',
    component: { ...component, kind, place: component.place ?? {} },
    ...material,
  }
}
