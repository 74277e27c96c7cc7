import { useMemo } from 'react'
import { arrange, isBright, takesAnHour } from '../../../core/index.ts'
import type { ArrangedFly, Layout, ProposedPlace } from '../../../core/index.ts'
import { useLarderQuery, useOutingsQuery, usePatternsQuery } from '../../wire/answers.ts'
import { usePlanned } from '../../wire/planned.ts'
import type { PlannedVariant } from '../../../contract/planned.ts'

/** A month counts for a fly where what it serves is at least so likely in it. */
const ABOUT = 0.2

/** Compartments proposed for all flies that are on hand or kept, and the flies by id; null until all is known. */
export function useArranged(layout: Layout | null) {
  const skip = { skip: layout === null }
  const plan = usePlanned(layout === null)
  const { data: patterns } = usePatternsQuery(undefined, skip)
  const { data: larder } = useLarderQuery(undefined, skip)
  const { data: outings } = useOutingsQuery(undefined, skip)
  return useMemo((): {
    readonly places: readonly ProposedPlace[]
    readonly flies: ReadonlyMap<string, PlannedVariant>
  } | null => {
    if (!layout || !plan || !patterns || !larder || !outings) return null
    const stages = new Map(larder.stages.map((stage) => [stage.id as string, stage]))
    const owners = new Map(patterns.patterns.map((pattern) => [pattern.id as string, pattern]))
    const fished = new Map<string, { takes: number; minutes: number }>()
    for (const { variantId, takes, minutes } of outings.outings.flatMap(({ spells }) => spells)) {
      const known = fished.get(variantId) ?? { takes: 0, minutes: 0 }
      fished.set(variantId, { takes: known.takes + takes, minutes: known.minutes + minutes })
    }
    const toArranged = (variant: PlannedVariant): ArrangedFly => {
      const pattern = owners.get(variant.patternId)
      const serves = [...(pattern?.serves ?? [])].sort((a, b) => b.weight - a.weight)
      const best = stages.get(serves[0]?.foodStageId ?? '')
      const months = serves.flatMap(({ foodStageId }) =>
        (stages.get(foodStageId)?.months ?? []).flatMap((month, i) =>
          month && month.likelihood >= ABOUT ? [i + 1] : [],
        ),
      )
      const spell = fished.get(variant.variantId)
      const { kind, trailingSpeedMmPerS, hookSize } = variant.figure
      return {
        key: variant.variantId,
        purpose: pattern?.purpose ?? 'searching',
        food: best ? { group: best.groupKey, stage: best.stage } : null,
        months: [...new Set(months)],
        sinkSpeedMmPerS: kind === 'sinks' ? trailingSpeedMmPerS : null,
        floats: kind === 'floats',
        hookSize,
        bright: isBright(variant.look),
        takes: spell ? takesAnHour(spell.takes, spell.minutes) : null,
      }
    }
    const own = plan.variants.filter(({ onHand, compartmentId }) => onHand > 0 || compartmentId !== null)
    return {
      places: arrange(layout, own.map(toArranged)),
      flies: new Map(own.map((variant) => [variant.variantId as string, variant])),
    }
  }, [layout, plan, patterns, larder, outings])
}
