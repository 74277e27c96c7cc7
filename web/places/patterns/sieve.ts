import type { PatternLine, PatternsView, VariantLine } from '../../../contract/index.ts'

/** What the list is narrowed to; an empty word lets everything pass. */
export interface Sieve {
  /** each of them in the name, a food or the label */
  readonly words: string
  readonly foodStageId: string
  /** of the hook */
  readonly size: string
  readonly boxId: string
  readonly only: string
}

/** Only what is below what is kept, only what has no place. */
export const ONLY = { short: 'short', homeless: 'homeless' } as const

/** How many are kept of a variant: what was said of it, the usual number where it has a place, none elsewhere. */
export const keptOf = (
  { parCount, homeCompartmentId }: Pick<VariantLine, 'parCount' | 'homeCompartmentId'>,
  usualPar: number,
): number => parCount ?? (homeCompartmentId ? usualPar : 0)

/** How many are missing of what is kept. */
export const missingOf = (variant: VariantLine, usualPar: number): number =>
  Math.max(keptOf(variant, usualPar) - variant.onHand, 0)

/** Patterns with those of their variants that pass; a pattern of which none passes is left out. */
export function sift(
  { patterns, boxes }: Pick<PatternsView, 'patterns' | 'boxes'>,
  { words, foodStageId, size, boxId, only }: Sieve,
  usualPar: number,
): readonly PatternLine[] {
  const sought = words.toLowerCase().split(/\s+/).filter(Boolean)
  const places = new Set<string>(boxes.find(({ id }) => id === boxId)?.compartmentIds)
  return patterns.flatMap((pattern) => {
    if (foodStageId && !pattern.serves.some((served) => served.foodStageId === foodStageId)) return []
    const names = [pattern.name, ...pattern.serves.map(({ name }) => name)].join(' ').toLowerCase()
    const variants = pattern.variants.filter((variant) => {
      const { label, figure, homeCompartmentId: home } = variant
      const said = `${names} ${label.toLowerCase()}`
      return (
        sought.every((word) => said.includes(word)) &&
        (!size || String(figure.hookSize) === size) &&
        (!boxId || (home !== null && places.has(home))) &&
        (only !== ONLY.short || missingOf(variant, usualPar) > 0) &&
        (only !== ONLY.homeless || home === null)
      )
    })
    if (variants.length === pattern.variants.length && variants.length > 0) return [pattern]
    return variants.length > 0 ? [{ ...pattern, variants }] : []
  })
}
