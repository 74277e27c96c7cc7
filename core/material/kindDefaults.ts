import { PROPERTY_NAMES } from './properties.ts'
import type { PropertyName } from './properties.ts'
import type { MaterialFamily, MaterialKind, Physics, Property } from './material.ts'
import { middleOf } from '../number/index.ts'

/** What occurs most often; the first of several. */
function commonest<Value>(values: readonly Value[], fallback: Value): Value {
  const counts = new Map<Value, number>()
  for (const value of values) counts.set(value, (counts.get(value) ?? 0) + 1)
  return [...counts].reduce((best, each) => (each[1] > best[1] ? each : best), [fallback, 0] as const)[0]
}

/** A property of goods of which only the kind is known: the median of its families, as wide as all of them together. */
function usual(properties: readonly Property[]): Property {
  return {
    value: middleOf(properties.map(({ value }) => value)),
    low: Math.min(...properties.map(({ low }) => low)),
    high: Math.max(...properties.map(({ high }) => high)),
    evidence: 'kindDefault',
  }
}

/**
 * What may be reckoned with of goods that nobody knows more of than their kind: each property that most families of the
 * kind have, with the doubt of all of them. Null where no family of the kind is known.
 */
export function kindDefaults(
  kind: MaterialKind,
  families: readonly MaterialFamily[],
): Omit<MaterialFamily, 'kind' | 'name'> | null {
  const known = families.filter((family) => family.kind === kind)
  const [first] = known
  if (!first) return null
  const massModel = commonest(
    known.map((family) => family.massModel),
    first.massModel,
  )
  // properties mean what they mean for one model of mass
  const alike = known.filter((family) => family.massModel === massModel)
  const physics: Partial<Record<PropertyName, Property>> = {}
  for (const name of PROPERTY_NAMES) {
    const properties = alike.flatMap((family) => family.physics[name] ?? [])
    if (properties.length * 2 >= alike.length) physics[name] = usual(properties)
  }
  return {
    massModel,
    physics,
    hook: alike.find(({ hook }) => hook !== null)?.hook ?? null,
    boring: commonest(
      alike.map(({ boring }) => boring),
      null,
    ),
    stockUnit: commonest(
      alike.map(({ stockUnit }) => stockUnit),
      first.stockUnit,
    ),
    wasteShare: middleOf(alike.map(({ wasteShare }) => wasteShare)),
    cutLengthMm: middleOf(alike.map(({ cutLengthMm }) => cutLengthMm)),
    cautions: [...new Set(alike.flatMap(({ cautions }) => cautions))],
  }
}

/** What is known of goods that are most like some others: all of theirs, trusted no further than a kind's. */
export const likeFamily = ({ kind: _kind, name: _name, ...family }: MaterialFamily) => ({
  ...family,
  physics: Object.fromEntries(
    Object.entries(family.physics).flatMap(([name, property]) =>
      property ? [[name, { ...property, evidence: 'kindDefault' as const }]] : [],
    ),
  ) satisfies Physics,
})
