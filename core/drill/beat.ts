import { normalsFrom } from '../uncertainty/index.ts'
import type { Random } from '../uncertainty/index.ts'
import { rhythmOf } from '../waterside/index.ts'
import { mixed, oneOf } from './question.ts'
import type { Question } from './question.ts'

/** How a fish rises that is to be listened to. */
export const BEATS = ['steady', 'slowing', 'none'] as const
export type BeatOf = (typeof BEATS)[number]

/** When it rises next, s after its last rise; null where it keeps no beat. */
export type NextRise = { readonly fromS: number; readonly toS: number } | null

const GAPS = 9
const MEDIANS_S = [5, 8, 12, 18] as const
const UNEVEN = 0.1
const SLOWING = 0.07
const TRIES = 200

/** Gaps between rises of a fish, s. */
function gapsOf(random: Random, beat: BeatOf, medianS: number): readonly number[] {
  const normal = normalsFrom(random)
  return Array.from({ length: GAPS }, (_, i) => {
    if (beat === 'none') return -medianS * Math.log(1 - random())
    return medianS * Math.exp(UNEVEN * normal() + (beat === 'slowing' ? SLOWING * i : 0))
  })
}

const scaled = (times: number, { fromS, toS }: NonNullable<NextRise>) => ({
  fromS: fromS * times,
  toS: toS * times,
})

/**
 * When does this fish rise next, if it keeps a beat at all? Only gaps of which the ear of {@link rhythmOf} says what they were
 * made of are asked about.
 */
export function theBeat(
  random: Random,
  beat: BeatOf,
): Question<{ readonly gapsS: readonly number[] }, NextRise> | null {
  for (let i = 0; i < TRIES; i += 1) {
    const medianS = oneOf(random, MEDIANS_S) ?? 8
    const gapsS = gapsOf(random, beat, medianS)
    const rises = gapsS.reduce<number[]>((all, gap) => [...all, (all.at(-1) ?? 0) + gap], [0])
    const heard = rhythmOf(rises)
    if (beat === 'none') {
      if (heard.kind !== 'noBeat') continue
      const about = { fromS: 0.8 * medianS, toS: 1.2 * medianS }
      return mixed<{ gapsS: readonly number[] }, NextRise>(random, beat, { gapsS }, null, [about, scaled(0.5, about), scaled(2, about)]) // prettier-ignore
    }
    const [next] = heard.kind === 'steady' ? heard.next : []
    if (heard.kind !== 'steady' || !next || heard.isSlowing !== (beat === 'slowing')) continue
    return mixed<{ gapsS: readonly number[] }, NextRise>(random, beat, { gapsS }, next, [null, scaled(0.5, next), scaled(2, next)]) // prettier-ignore
  }
  return null
}
