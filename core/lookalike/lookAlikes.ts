import { is } from '../dressing/index.ts'
import type { Fly, FlyComponent } from '../dressing/index.ts'

/** A fly to be told from others in the box. */
export interface Seen<Id extends string = string> {
  readonly id: Id
  /** see `looksOf` */
  readonly looks: string
  readonly massMg: number
}

/** Two flies that look alike and weigh differently. */
export interface LookAlike<Id extends string = string> {
  readonly lighterId: Id
  readonly heavierId: Id
  /** heavier over lighter */
  readonly ratio: number
}

/** Flies nearer in weight than this fish alike. */
const SAME_WEIGHT = 1.15
const COLOUR_STEP = 48

/** A colour as the eye remembers it: one of a few steps of each of red, green and blue. */
const rough = (hex: string) =>
  [1, 3, 5].map((at) => Math.round(parseInt(hex.slice(at, at + 2), 16) / COLOUR_STEP)).join('.')

/** What shows of a component: its colour, and the size of a bead; never its metal. */
function shown({ kind, material, lengthMm }: FlyComponent): string {
  const size = is(kind, 'piece') ? material.sizeKey : ''
  const length = lengthMm === null ? '' : lengthMm.toFixed(0)
  return [kind, rough(material.colourHex), size, length].join(' ')
}

/** All that the eye has to tell a fly by in the box; flies that nobody can tell apart have the same. */
export const looksOf = (fly: Fly): string =>
  [
    fly.hook.size,
    fly.hook.style.key,
    ...fly.components.filter(({ kind }) => !is(kind, 'hidden')).map(shown),
  ].join('|')

/**
 * Pairs of flies that nobody can tell apart in the box although they weigh differently: the same hook, the same colours,
 * the same size of bead. A mark that shows, such as a turn of another thread behind the bead, tells them apart.
 */
export function lookAlikes<Id extends string>(flies: readonly Seen<Id>[]): readonly LookAlike<Id>[] {
  const byLooks = new Map<string, Seen<Id>[]>()
  for (const seen of flies) {
    const alike = byLooks.get(seen.looks)
    if (alike) alike.push(seen)
    else byLooks.set(seen.looks, [seen])
  }
  return [...byLooks.values()].flatMap((alike) => {
    const sorted = [...alike].sort((a, b) => a.massMg - b.massMg)
    return sorted.slice(1).flatMap((heavier, i): readonly LookAlike<Id>[] => {
      const lighter = sorted[i]
      const ratio = lighter ? heavier.massMg / lighter.massMg : 1
      return lighter && ratio > SAME_WEIGHT ? [{ lighterId: lighter.id, heavierId: heavier.id, ratio }] : []
    })
  })
}
