import type { Random } from '../uncertainty/index.ts'

/** A question of which one answer is right. */
export interface Question<Shown, Choice> {
  /** what it is about: what was missed of it comes again sooner */
  readonly subject: string
  readonly shown: Shown
  readonly choices: readonly Choice[]
  /** which of the choices is right */
  readonly right: number
}

/** A whole number from 0 to below n. */
export const below = (random: Random, n: number): number => Math.floor(random() * n)

/** One of several; undefined where there is none. */
export const oneOf = <T>(random: Random, all: readonly T[]): T | undefined => all[below(random, all.length)]

/** All in a random order (Fisher and Yates). */
export function shuffled<T>(random: Random, all: readonly T[]): readonly T[] {
  const left = [...all]
  return all.flatMap(() => left.splice(below(random, left.length), 1))
}

/** A question whose choices stand in a random order. */
export function mixed<Shown, Choice>(
  random: Random,
  subject: string,
  shown: Shown,
  right: Choice,
  wrong: readonly Choice[],
): Question<Shown, Choice> {
  const choices = shuffled(random, [right, ...wrong])
  return { subject, shown, choices, right: choices.indexOf(right) }
}

const CHOICES = 4

/**
 * A question for a figure: choices from the least to the most, each so many times the one before, the right one in any place.
 *
 * @param times far enough apart that what is uncertain of the figure does not reach the next
 */
export function ofFigure<Shown>(
  random: Random,
  subject: string,
  shown: Shown,
  figure: number,
  times: number,
): Question<Shown, number> {
  const right = below(random, CHOICES)
  return { subject, shown, right, choices: Array.from({ length: CHOICES }, (_, i) => figure * times ** (i - right)) } // prettier-ignore
}
