import { sum } from '../number/index.ts'
import { HALF_HOUR, hoursMore, hoursShown } from './hours.ts'
import type { ServingVariant } from './inputs.ts'
import type { OutingNeed } from './outingNeeds.ts'
import type { Serving } from './serving.ts'

/** How many of a variant there are at an outing; parts of one where some may have been lost before. */
export type FliesOf = (variantKey: string) => number

/** What the flies that there are cover of one need, hours by half hour. */
export interface NeedCover {
  readonly shown: readonly number[]
  /** what flies that could pass would add */
  readonly passing: readonly number[]
}

/** Hours of an outing with something to show. */
export interface OutingCover {
  /** hours of it in all */
  readonly hours: number
  readonly shown: number
  readonly passing: number
  /** hours of fish on what nothing can show that may be fished there, as it is fished */
  readonly outOfReach: number
  readonly needs: readonly NeedCover[]
}

const flies = (servings: readonly Serving[], fliesOf: FliesOf) =>
  servings.map(({ variant, quality }) => ({ quality, count: fliesOf(variant.key) }))

/**
 * How many hours with something to show some more flies of each variant would add, each by itself.
 *
 * @param more how many more, by variant
 */
export function hoursOfMore(
  needs: readonly OutingNeed[],
  fliesOf: FliesOf,
  more: ReadonlyMap<string, number>,
): ReadonlyMap<string, number> {
  const added = new Map<string, number>()
  for (const need of needs) {
    const addedBy = hoursMore(need, flies(need.serves, fliesOf))
    for (const { variant, quality } of need.serves) {
      const count = more.get(variant.key)
      if (count !== undefined)
        added.set(variant.key, (added.get(variant.key) ?? 0) + addedBy({ quality, count }))
    }
  }
  return added
}

/** What the flies that there are cover of one need. */
export function needCover(need: OutingNeed, fliesOf: FliesOf): NeedCover {
  const serving = flies(need.serves, fliesOf)
  const shown = hoursShown(need, serving)
  const all = hoursShown(need, [...serving, ...flies(need.couldPass, fliesOf)])
  return { shown, passing: all.map((hours, half) => Math.max(hours - (shown[half] ?? 0), 0)) }
}

/** What the flies that there are cover of an outing: the one answer that plan, boxes, packing and tonight give. */
export function outingCover<Variant extends ServingVariant>(
  needs: readonly OutingNeed<Variant>[],
  fliesOf: FliesOf,
): OutingCover {
  const covers = needs.map((need) => needCover(need, fliesOf))
  return {
    hours: HALF_HOUR * (needs[0]?.onIt.length ?? 0),
    shown: sum(covers.flatMap(({ shown }) => shown)),
    passing: sum(covers.flatMap(({ passing }) => passing)),
    outOfReach: HALF_HOUR * sum(needs.flatMap(({ reachable, onIt }) => (reachable ? [] : onIt))),
    needs: covers,
  }
}
