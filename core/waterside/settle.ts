import { sum } from '../number/index.ts'
import { evidenceFor, reckon } from './reckon.ts'
import type { Looked, Shares } from './reckon.ts'
import { seenOn } from './signs.ts'
import type { Sign } from './signs.ts'

/** A sign not looked for yet, and how undecided the first two stages are expected to stay after looking: 0 decided, 1 as open as can be. */
export interface Settles {
  readonly sign: Sign
  readonly openAfter: number
}

/** How open it is which of two it is, bits. */
function openness(a: number, b: number): number {
  const all = a + b
  if (all <= 0) return 0
  return -sum([a / all, b / all].map((p) => (p > 0 ? p * Math.log2(p) : 0)))
}

/**
 * What would settle it: signs not looked for yet by how far they are expected to part the two stages that most fish are on,
 * the best first. What a sign that has nothing to say of either does is left out.
 */
export function whatSettles(
  before: Shares,
  looked: readonly Looked[],
  signs: readonly Sign[],
): readonly Settles[] {
  const now = reckon(before, looked)
  const [first, second] = now.stages.toSorted((a, b) => b.share - a.share)
  if (!first || !second) return []
  const openNow = openness(first.share, second.share)
  const both = first.share + second.share
  // how the two stand to each other hangs on them alone, whatever the others do
  const shareOf = (id: string) => before.stages.find((stage) => stage.id === id)?.share ?? 0
  const [was, wasSecond] = [shareOf(first.id), shareOf(second.id)]
  const after = (sign: Sign, seen: boolean) => {
    const more = [...looked, { sign, seen }]
    return openness(was * Math.exp(evidenceFor(more, first)), wasSecond * Math.exp(evidenceFor(more, second)))
  }
  return signs
    .filter(({ key }) => !looked.some(({ sign }) => sign.key === key))
    .map((sign): Settles => {
      const likely = (first.share * seenOn(sign, first) + second.share * seenOn(sign, second)) / both
      return { sign, openAfter: likely * after(sign, true) + (1 - likely) * after(sign, false) }
    })
    .filter(({ openAfter }) => openAfter < openNow - 1e-9)
    .sort((a, b) => a.openAfter - b.openAfter || (a.sign.key < b.sign.key ? -1 : 1))
}
