import { useEffect, useMemo, useState } from 'react'
import { v5 } from 'uuid'
import { applySwaps, sizeNumber, valueOf, weightAmong } from '../../../core/index.ts'
import type { ProposedVariant, Swap, TieableVariant } from '../../../core/index.ts'
import type { PatternView, VariantId } from '../../../contract/index.ts'
import { useMeasurementsQuery, usePatternsOfQuery } from '../../wire/answers.ts'
import { meanShare } from '../../../contract/planned.ts'
import type { Planned, PlannedVariant } from '../../../contract/planned.ts'
import { runJob } from '../../workers/gateway.ts'
import { draftOf } from '../../recipe/draft.ts'
import type { DraftVariant } from '../../recipe/draft.ts'
import { useMaterialBook } from '../../recipe/useMaterialBook.ts'
import type { MaterialBook } from '../../recipe/useMaterialBook.ts'
import { labelFor } from '../../recipe/variantLabel.ts'

/** Patterns that new variants are thought of for: those meant for what the coming outings most likely meet. */
const MOST_PATTERNS = 24
/** What hardly matters is not worth a new variant. */
const LEAST_WORTH = 0.008
const NAMESPACE = '0b8a4b2e-54b6-4d0b-9b8e-2f1f6a3f6f0d'

/** A variant that the plan may choose though it is not made yet. */
export interface Newcomer extends PlannedVariant {
  readonly hookMaterialId: string
  readonly swaps: readonly Swap[]
  readonly tieable: TieableVariant
}

/** Patterns that are meant for foods of the coming outings, those for the likeliest first. */
function patternsMeant({ outings, patterns }: Planned): readonly string[] {
  const worth = new Map<string, number>()
  for (const { foodStageId, onIt } of outings.flatMap(({ foods }) => foods)) {
    worth.set(foodStageId, Math.max(worth.get(foodStageId) ?? 0, meanShare(onIt)))
  }
  return patterns
    .map(({ patternId, meantFor }) => ({
      patternId: patternId as string,
      worth: Math.max(0, ...meantFor.map((stage) => worth.get(stage) ?? 0)),
    }))
    .filter((pattern) => pattern.worth >= LEAST_WORTH)
    .sort((a, b) => b.worth - a.worth)
    .slice(0, MOST_PATTERNS)
    .map(({ patternId }) => patternId)
}

const draftVariantOf = (
  id: string,
  label: string,
  { hookMaterialId, swaps }: ProposedVariant,
): DraftVariant => ({
  id,
  label,
  hookMaterialId,
  swaps,
  parCount: null,
  homeCompartmentId: null,
})

function newcomerOf(
  proposed: ProposedVariant,
  pattern: PatternView,
  planned: Planned,
  book: MaterialBook,
): Newcomer | null {
  const facts = planned.patterns.find(({ patternId }) => patternId === pattern.id)
  if (!facts) return null
  const { hookMaterialId, swaps, behaviour, look, bill, nightsToDry } = proposed
  // the same variant has the same id however often it is thought of, so that what was decided of it stands
  const id = v5(JSON.stringify([pattern.id, hookMaterialId, swaps]), NAMESPACE) as VariantId
  const draft = draftOf(pattern)
  const label = labelFor(draft, draftVariantOf(id, '', proposed), book.materials)
  const components = applySwaps({ components: draft.components, steps: null }, proposed)
  const drawerOf = (kind: string) => components.find((component) => component.kind === kind)?.materialId ?? ''
  const { minutesEach, timedFlies, dislike, meantFor, purpose, roles, ownMonths, ways, waters } = facts
  const goods = bill.flatMap(({ materialId }) => {
    const material = book.materials.get(materialId)
    if (!material) return []
    return [
      {
        kind: material.family.kind,
        densityMgPerMm3: valueOf(material, 'densityMgPerMm3'),
        size: sizeNumber(material),
      },
    ]
  })
  const hook = book.materials.get(hookMaterialId)
  const ruled = { ...weightAmong(goods), hookSize: hook ? sizeNumber(hook) : null, barb: hook?.barb ?? null }
  const shared = {
    onHand: 0,
    queued: 0,
    nightsToDry,
    lost: 0,
    hoursFished: 0,
    trust: 'notFished' as const,
    minutesEach,
    dislike,
    meantFor,
    purpose,
    roles,
    ownMonths,
    ways,
    waters,
  }
  return {
    ...shared,
    lead: ruled.lead,
    weighted: ruled.weighted,
    barb: ruled.barb,
    look: { ...look, palette: [...look.palette] },
    variantId: id,
    patternId: pattern.id,
    name: `${pattern.name} ${label}`,
    label,
    figure: {
      kind: behaviour.kind === 'unknown' ? 'incomplete' : behaviour.kind,
      submergedMg: behaviour.kind === 'sinks' ? behaviour.submergedMg : null,
      sinkSpeedMmPerS: behaviour.kind === 'sinks' ? behaviour.freeMmPerS : null,
      trailingSpeedMmPerS: behaviour.kind === 'sinks' ? behaviour.sinkSpeedMmPerS : null,
      posture: behaviour.kind === 'floats' ? behaviour.posture : null,
      hookSize: ruled.hookSize,
      drawingKey: null,
    },
    compartmentId: null,
    compartmentLabel: '',
    timedFlies,
    bill,
    setup: { thread: drawerOf('thread'), hook: hookMaterialId, bead: drawerOf('bead') },
    hookMaterialId,
    swaps,
    tieable: {
      ...shared,
      ...ruled,
      look,
      key: id,
      patternKey: pattern.id,
      behaviour,
      placeKey: null,
      bill: bill.map(({ materialId, perFly }) => ({ materialKey: materialId, perFly })),
    },
  }
}

/**
 * Variants that the patterns of the coming foods allow and that do not exist yet; null while they are thought of.
 *
 * @param lane which of the workers thinks
 */
export function useNewcomers(planned: Planned | undefined, lane: number): readonly Newcomer[] | null {
  const ids = useMemo(() => (planned ? patternsMeant(planned) : []), [planned])
  const { currentData: patterns } = usePatternsOfQuery(ids, { skip: !planned })
  const { data: measurements } = useMeasurementsQuery()
  const book = useMaterialBook(NO_DRAWERS)
  const [proposed, setProposed] = useState<{
    readonly of: readonly PatternView[]
    readonly variants: readonly ProposedVariant[]
  } | null>(null)
  useEffect(() => {
    if (!patterns || !book || !measurements) return
    const controller = new AbortController()
    const work = async () => {
      const found = await runJob(
        'proposeVariants',
        {
          patterns: patterns.map(({ id, dressing, variants }) => ({
            key: id,
            dressing,
            variants: variants.map(({ id: key, hookMaterialId, swaps }) => ({ key, hookMaterialId, swaps })),
          })),
          drawers: [...book.materials.values()],
          measured: measurements.measured,
        },
        { key: 'proposeVariants', lane, signal: controller.signal },
      )
      if (!('kind' in found)) setProposed({ of: patterns, variants: found })
      // a plan goes on without them
      else if (found.kind === 'failed') setProposed({ of: patterns, variants: [] })
    }
    void work()
    return () => controller.abort()
  }, [patterns, book, measurements, lane])
  return useMemo(() => {
    if (!planned || !book || !patterns || proposed?.of !== patterns) return null
    const byId = new Map(patterns.map((pattern) => [pattern.id as string, pattern]))
    // one that was just made is in the plan's answer before its pattern is read anew
    const made = new Set(planned.variants.map(({ variantId }) => variantId))
    return proposed.variants.flatMap((one) => {
      const pattern = byId.get(one.patternKey)
      const newcomer = pattern && newcomerOf(one, pattern, planned, book)
      return newcomer && !made.has(newcomer.variantId) ? [newcomer] : []
    })
  }, [planned, book, patterns, proposed])
}

const NO_DRAWERS: readonly never[] = []
