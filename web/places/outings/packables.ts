import { forbiddenBy } from '../../../core/index.ts'
import type { Forbidden } from '../../../core/index.ts'
import type { BoxLine, CommandInput, CompartmentLine, VariantId } from '../../../contract/index.ts'
import type { Planned } from '../../wire/planned.ts'

type Fly = CompartmentLine['flies'][number]

/** A fly that could go along, from where it lies. */
export interface Packable {
  readonly key: string
  readonly fly: Fly
  readonly place: CompartmentLine
  /** worth of the foods of that day that the pattern is meant for; nought for none */
  readonly worth: number
  /** why the water's note forbids it; null where it may be fished */
  readonly forbidden: Forbidden | null
}

/** How many of each are taken, by the key of what could go along. */
export type Taken = Readonly<Record<string, number>>

/** What each variant is worth on an outing's day: the most of the foods of that day that it is meant for. */
export function worthOnDay(
  plan: Pick<Planned, 'outings' | 'variants'>,
  outingId: string,
): ReadonlyMap<string, number> {
  const day = plan.outings.find((outing) => outing.outingId === outingId)
  const foods = new Map(day?.foods.map((food) => [food.foodStageId as string, food.worth]))
  return new Map(
    plan.variants.map(({ variantId, meantFor }) => [
      variantId as string,
      Math.max(0, ...meantFor.map((stage) => foods.get(stage) ?? 0)),
    ]),
  )
}

/** What the note of an outing's water forbids, by variant. */
export function forbiddenOn(
  plan: Pick<Planned, 'outings' | 'variants'>,
  outingId: string,
): ReadonlyMap<string, Forbidden> {
  const rules = plan.outings.find((outing) => outing.outingId === outingId)?.rules
  if (!rules) return new Map()
  return new Map(
    plan.variants.flatMap(({ variantId, figure, lead, weighted }): [string, Forbidden][] => {
      const why = forbiddenBy(rules, {
        floats: figure.kind === 'floats',
        hookSize: figure.hookSize,
        lead,
        weighted,
      })
      return why ? [[variantId, why]] : []
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

/** As many of what the day asks for as are kept of each, or all that there are. */
export const proposed = (flies: readonly Packable[], keep: number): Taken =>
  Object.fromEntries(
    flies
      .filter(({ worth, forbidden }) => worth > 0 && !forbidden)
      .map(({ key, fly }) => [key, Math.min(fly.count, keep)]),
  )

/** What is taken, never more than lies there. */
export const takenOf = (flies: readonly Packable[], taken: Taken): CommandInput<'outingPack'>['flies'] =>
  flies.flatMap(({ key, fly, place }) => {
    const count = Math.min(taken[key] ?? 0, fly.count)
    return count > 0 ? [{ fromCompartmentId: place.id, variantId: fly.variantId as VariantId, count }] : []
  })
