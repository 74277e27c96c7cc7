import { forbiddenAt, hoursShown, outingCover } from '../../../core/index.ts'
import type { Forbidden, OutingCover, PlannedNeed } from '../../../core/index.ts'
import type { BoxLine, CommandInput, CompartmentLine, VariantId } from '../../../contract/index.ts'
import { toServing } from '../../../contract/planned.ts'
import type { Planned } from '../../../contract/planned.ts'

type Fly = CompartmentLine['flies'][number]

/** A fly that could go along, from where it lies. */
export interface Packable {
  readonly key: string
  readonly fly: Fly
  readonly place: CompartmentLine
  /** hours of the day in which one of it would be something to show; nought for none */
  readonly worth: number
  /** why the water's note forbids it; null where it may be fished */
  readonly forbidden: Forbidden | null
}

/** How many of each are taken, by the key of what could go along. */
export type Taken = Readonly<Record<string, number>>

const total = (hours: readonly number[]) => hours.reduce((sum, one) => sum + one, 0)

/** Hours in which one fly of each variant would be something to show, if there were no other. */
export function worthOnDay(needs: readonly PlannedNeed[]): ReadonlyMap<string, number> {
  const worth = new Map<string, number>()
  for (const need of needs) {
    for (const { variant, quality } of need.serves) {
      const hours = total(hoursShown(need, [{ quality, count: 1 }]))
      worth.set(variant.key, (worth.get(variant.key) ?? 0) + hours)
    }
  }
  return worth
}

/** What the note of an outing's water forbids, by variant. */
export function forbiddenOn(
  plan: Pick<Planned, 'outings' | 'variants'>,
  outingId: string,
): ReadonlyMap<string, Forbidden> {
  const rules = plan.outings.find((outing) => outing.outingId === outingId)?.rules
  if (!rules) return new Map()
  return new Map(
    plan.variants.flatMap((variant): [string, Forbidden][] => {
      const why = forbiddenAt(rules, toServing(variant))
      return why ? [[variant.variantId, why]] : []
    }),
  )
}

/** All flies on hand that do not lie there already, those that the day asks for first, then by name. */
export const packablesOf = (
  boxes: readonly BoxLine[],
  intoId: string | null,
  worth: ReadonlyMap<string, number>,
  forbidden: ReadonlyMap<string, Forbidden>,
): readonly Packable[] =>
  boxes
    .flatMap(({ compartments }) => compartments)
    .filter(({ id }) => id !== intoId)
    .flatMap((place) =>
      place.flies
        .filter(({ count }) => count > 0)
        .map((fly) => ({
          key: `${place.id} ${fly.variantId}`,
          fly,
          place,
          worth: worth.get(fly.variantId) ?? 0,
          forbidden: forbidden.get(fly.variantId) ?? null,
        })),
    )
    .sort((a, b) => b.worth - a.worth || a.fly.patternName.localeCompare(b.fly.patternName))

/** What the flies that are ticked, and those that lie there already, cover of the day. */
export function coverWith(
  needs: readonly PlannedNeed[],
  flies: readonly Packable[],
  taken: Taken,
  lying: readonly Fly[],
): OutingCover {
  const counts = new Map<string, number>()
  const add = (key: string, count: number) => counts.set(key, (counts.get(key) ?? 0) + count)
  for (const { key, fly } of flies) add(fly.variantId, Math.min(taken[key] ?? 0, fly.count))
  for (const { variantId, count } of lying) add(variantId, count)
  return outingCover(needs, (key) => counts.get(key) ?? 0)
}

/** Those that would show most by themselves are enough to choose from. */
const MOST_TRIED = 60
/** Less than this a fly adds to nobody's day, hours. */
const LEAST_ADDED = 0.02

/**
 * What to take: one fly after the other, each time the one that adds most hours to the day, as long as it adds anything
 * and no more of each than are kept.
 */
export function proposed(needs: readonly PlannedNeed[], flies: readonly Packable[], keep: number): Taken {
  const may = flies.filter(({ worth, forbidden }) => worth > 0 && !forbidden).slice(0, MOST_TRIED)
  const taken: Record<string, number> = {}
  let shown = 0
  for (;;) {
    const [best] = may
      .filter(({ key, fly }) => (taken[key] ?? 0) < Math.min(fly.count, keep))
      .map(({ key }) => {
        const more = { ...taken, [key]: (taken[key] ?? 0) + 1 }
        return { key, shown: coverWith(needs, may, more, []).shown }
      })
      .sort((a, b) => b.shown - a.shown)
    if (!best || best.shown < shown + LEAST_ADDED) return taken
    taken[best.key] = (taken[best.key] ?? 0) + 1
    shown = best.shown
  }
}

/** What is taken, never more than lies there. */
export const takenOf = (flies: readonly Packable[], taken: Taken): CommandInput<'outingPack'>['flies'] =>
  flies.flatMap(({ key, fly, place }) => {
    const count = Math.min(taken[key] ?? 0, fly.count)
    return count > 0 ? [{ fromCompartmentId: place.id, variantId: fly.variantId as VariantId, count }] : []
  })
