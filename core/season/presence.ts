import { clamp } from '../number/index.ts'
import type { PlacedNote } from './emergence/index.ts'
import { saw } from './emergence/index.ts'
import type { FoodStage, WaterKind } from './foodStage.ts'

/** What a user says of a food on a water, beside what was noted: that it does not live there, or in plenty. */
export const FOOD_WORDS = ['notHere', 'strong'] as const
export type FoodWord = (typeof FOOD_WORDS)[number]

/** So much more of a food there is where it is said to live in plenty. Judgement. */
export const PLENTY = 2

/** What is noted of a food that is not there: mistaken for another. */
const MISTAKEN = 0.04
/** Nothing is as sure as this. */
const LEAST = 0.004
/** A food is not ruled out by one search however long. */
const LEAST_NOT_FOUND = 0.15

/** Chance that a food lives on a water of a kind, before anyone looked: nearly sure where it is typical. By judgement. */
export function usualPresence(stages: readonly FoodStage[], kind: WaterKind): number {
  const typical = Math.max(0, ...stages.map(({ waterKinds }) => waterKinds[kind] ?? 0))
  return typical === 0 ? 0 : clamp(1 - (1 - typical) ** 2.5, LEAST, 0.97)
}

/** Chance that a food lives where the user has said so: their word counts for more than any reckoning. */
export const saidPresence = (word: FoodWord): number => (word === 'notHere' ? 0 : 1 - LEAST)

/**
 * Chance that a food lives on a reach: odds of its kind of water, raised by each day on which it was seen and lowered by
 * each search in its weeks and hours that found none. What was seen on other waters counts by its weight.
 *
 * @param aboutOn chance that a noted stage was about on its day, were the food there
 */
export function presenceOf(
  prior: number,
  notes: readonly PlacedNote[],
  aboutOn: (note: PlacedNote) => number,
): number {
  if (prior === 0) return notes.some((note) => saw(note) && note.weight === 1) ? 1 - LEAST : 0
  let logOdds = Math.log(prior / (1 - prior))
  for (const placed of notes) {
    const about = aboutOn(placed)
    const ratio = saw(placed)
      ? Math.max(about, 0.1) / MISTAKEN
      : Math.max(1 - placed.found * about, LEAST_NOT_FOUND)
    logOdds += placed.weight * Math.log(Math.max(ratio, saw(placed) ? 1 : 0))
  }
  return clamp(1 / (1 + Math.exp(-logOdds)), LEAST, 1 - LEAST)
}
