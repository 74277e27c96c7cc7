import type { Field } from '../dressing/index.ts'
import type { Amount, Extracted } from './amounts.ts'

/** What a count before the goods may be of: `6 speckled cock fibres`. */
export const COUNTED_BY: Readonly<Record<string, 'hairs' | 'feathers' | 'strands'>> = {
  fibre: 'hairs', fiber: 'hairs', barb: 'hairs', hair: 'hairs', whisk: 'hairs', herl: 'hairs', feather: 'feathers',
  strand: 'strands', leg: 'strands',
} // prettier-ignore

/** Amounts that nobody asks of every line: counts, which only some goods are counted in. */
const COUNTED = [
  'turns',
  'fibreCount',
  'strands',
  'feathers',
  'layers',
  'clipped',
  'formed',
  'bulk',
  'widthMm',
  'length',
] as const

/** Feathers of which as few as this are whole ones, where nobody says whether feathers or fibres are meant. */
const FEW_FEATHERS = 6

/**
 * A count of pieces as the goods are counted: strands, fibres one by one, or feathers; herls are fibres. A reading that
 * was not plain is to be said.
 */
function countedAs(asked: readonly Field[], said: Amount): { readonly amount: Amount; readonly note?: string } {
  const { feathers, strands, fibreCount, hairs, ...rest } = said
  const fibres = asked.includes('fibreCount')
  const several = asked.includes('strands')
  if (feathers !== undefined)
    return { amount: several ? { ...rest, strands: feathers } : { ...rest, feathers } }
  if (hairs !== undefined)
    return { amount: fibres || !several ? { ...rest, fibreCount: hairs } : { ...rest, strands: hairs } }
  const pieces = strands ?? fibreCount
  if (pieces === undefined) return { amount: rest }
  if (fibres && several && pieces <= FEW_FEATHERS)
    return {
      amount: { ...rest, strands: pieces },
      note: `${pieces} read as ${pieces === 1 ? 'a feather' : 'feathers'}`,
    }
  if (fibres) return { amount: { ...rest, fibreCount: pieces } }
  if (several) return { amount: { ...rest, strands: pieces } }
  return { amount: { ...rest, ...(strands === undefined ? { fibreCount: pieces } : { strands: pieces }) } }
}

/** Amounts of a line as its goods have them, and the words of those that they do not have. */
export function amountsFor(
  asked: readonly Field[],
  { amount, said }: { readonly amount: Amount; readonly said: Extracted['words'] },
) {
  const { amount: counted, note } = countedAs(asked, amount)
  const isAsked = (name: (typeof COUNTED)[number]) =>
    // legs and tails are cut, knotted or bent: what has a free length
    name === 'formed'
      ? asked.includes('length')
      : name !== 'feathers' && (asked.includes(name) || (name === 'length' && asked.includes('pin')))
  const unasked = COUNTED.filter((name) => counted[name] !== undefined && !isAsked(name))
  const kept = Object.fromEntries(
    Object.entries(counted).filter(([name]) => !unasked.some((one) => one === name)),
  ) as Amount
  const wordsOfUnasked = unasked.flatMap(
    (name) => said[name] ?? said.strands ?? said.hairs ?? said.fibreCount ?? [],
  )
  return { kept, unasked: wordsOfUnasked, notes: note ? [note] : [] }
}
