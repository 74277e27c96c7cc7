import { plainFigures } from '../quantity/index.ts'
import { likenessOf, rankedGoods } from './goods.ts'
import type { NamedFamily } from './goods.ts'
import { sizeOf } from './sizes.ts'
import { isColourWord } from './colours.ts'
import type { Ask, Settled, TypedLine } from './typedLine.ts'
import { tellingWordsOf } from './words.ts'

/** What was understood of a hook. */
export type TypedHook =
  | {
      readonly kind: 'understood'
      readonly familyId: string
      readonly sizeKey: string
      readonly colourName: string
    }
  | Exclude<TypedLine, { kind: 'understood' }>

const X_LONG = /(\d)\s*x\s*-?\s*(?:long|l)\b/iu
const NECK = /\b(60|90)\s*(?:°|º|deg(?:rees?)?\b)|(?<=\bjig\s)(60|90)\b/iu
const SIZE = /(?:#|\bsize\s+|\bsz\.?\s+)\s*(\d+(?:\/0)?)|(?<![\p{L}\d])(\d{1,2})(?![\p{L}\d°º])/iu
const WIRES: ReadonlySet<string> = new Set(['fine', 'heavy', 'light', 'stout', 'strong'])
const SAME: Readonly<Record<string, string>> = {
  light: 'fine',
  stout: 'heavy',
  strong: 'heavy',
  swimming: 'slow',
}
const MOST_CHOICES = 4

/** Those for which something holds, or all where it holds for none. */
function having<One>(all: readonly One[], holds: (one: One) => boolean): readonly One[] {
  const some = all.filter(holds)
  return some.length > 0 ? some : all
}

/** What a hook's text says: how long, which neck, which size, and its words. */
function partsOfHook(text: string) {
  let rest = plainFigures(text)
  const take = (pattern: RegExp) => {
    const found = pattern.exec(rest)
    if (!found) return null
    rest = `${rest.slice(0, found.index)} ${rest.slice(found.index + found[0].length)}`
    return found[1] ?? found[2] ?? null
  }
  const [xLong, neck, size] = [take(X_LONG), take(NECK), take(SIZE)]
  const words = tellingWordsOf(rest).map((word) => SAME[word] ?? word)
  return { xLong, neck, size, words: words.filter((word) => word !== 'hook') }
}

/**
 * Reads a hook as tiers write it, in any order: its style, fine or heavy wire, nX long, the angle of a jig's eye, its
 * size. A shank that is not said to be long is not, a wire that is not said to be fine or heavy neither; what is left
 * open is asked.
 *
 * @example readTypedHook('straight fine wire 2XL #14', families)
 */
export function readTypedHook(
  text: string,
  families: readonly NamedFamily[],
  settled: Settled = {},
): TypedHook {
  const { xLong, neck, size, words } = partsOfHook(text)
  const hooks = families.filter(({ kind }) => kind === 'hook')
  const chosen = hooks.find(({ id }) => id === settled.familyId)
  const ranked = rankedGoods(hooks, words)
  const best = ranked.filter(({ points }) => points === ranked[0]?.points).map(({ family }) => family)
  const long = having(best, ({ name }) =>
    xLong ? name.includes(`${xLong}X long`) : !/\dX long|long shank/.test(name),
  )
  const wired = words.some((word) => WIRES.has(word))
    ? long
    : having(long, ({ name }) => !/\b(?:fine|heavy)\b/.test(name))
  const found = chosen ? [chosen] : neck ? having(wired, ({ name }) => name.includes(`${neck}°`)) : wired
  const [family] = found
  if (!family) return { kind: 'unclear', code: 'noMaterial', at: text.trim() }
  const { byName } = likenessOf(family, words)
  const unused = words.filter((word) => !byName.has(word) && !isColourWord(word))
  const asks = (ask: Ask): TypedHook => ({ kind: 'asks', ask, unused })
  if (found.length > 1 || (xLong && !family.name.includes(`${xLong}X long`)))
    return asks({ about: 'goods', choices: found.slice(0, MOST_CHOICES) })
  const listed = size === null ? null : sizeOf(family, `#${size}`)
  const sizeKey = settled.sizeKey ?? (listed?.kind === 'size' ? listed.sizeKey : null)
  if (sizeKey === null)
    return asks({
      about: 'size',
      familyId: family.id,
      written: size === null ? null : `#${size}`,
      choices: listed?.kind === 'noSuchSize' ? listed.nearest : family.sizes.slice(0, MOST_CHOICES),
      make: null,
    })
  if (unused.length > 0 && !settled.withoutWords) return asks({ about: 'words' })
  const colour = family.colours.find(({ name }) => name.split(' ').every((part) => words.includes(part)))
  return {
    kind: 'understood',
    familyId: family.id,
    sizeKey,
    colourName: settled.colourName ?? colour?.name ?? family.colours[0]?.name ?? '',
  }
}
