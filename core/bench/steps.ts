import { applySwaps, KINDS, wrapLengthMm } from '../dressing/index.ts'
import type { Component, Dressing, Fly, FlyComponent, Step, Variant } from '../dressing/index.ts'
import { strandDiameterMm } from '../material/index.ts'

function stepOf(component: Component, thread: number): Step {
  const { verb, threadEndsAt } = KINDS[component.kind].step
  return {
    key: component.key,
    verb,
    componentKey: component.key,
    threadFrom: thread,
    threadTo: component.place[threadEndsAt],
    note: '',
  }
}

/** Steps from kinds and places, in the order of the bench; the dressing's own where someone has edited them. */
export function stepsOf(dressing: Dressing, variant: Variant): readonly Step[] {
  const recipe = applySwaps(dressing, variant)
  const kept = new Set(recipe.map(({ key }) => key))
  if (dressing.steps)
    return dressing.steps.filter(({ componentKey }) => !componentKey || kept.has(componentKey))
  const ordered = [...recipe].sort((a, b) => KINDS[a.kind].step.order - KINDS[b.kind].step.order)
  let thread = 0
  const steps = ordered.map((component) => {
    const step = stepOf(component, thread)
    thread = step.threadTo
    return step
  })
  return [
    ...steps,
    { key: 'finish', verb: 'finish', componentKey: null, threadFrom: thread, threadTo: 0, note: '' },
  ]
}

/** The figures of one step on the hook at hand. Null where the step has none of that sort. */
export interface StepFigures {
  readonly fromMm: number
  readonly toMm: number
  readonly lengthMm: number | null
  readonly turns: number | null
  readonly fibreCount: number | null
  readonly strands: number | null
  /** what to cut off the spool, mm */
  readonly cutMm: number | null
}

/** The numbers that a tier needs at a step, from the proportions and the hook. */
export function stepFigures(component: FlyComponent): StepFigures {
  const { fromMm, toMm, lengthMm, material } = component
  const { family } = material
  const turns = component.turns ?? null
  const wireLike = family.kind === 'wire' || family.kind === 'tinsel'
  const cutMm =
    wireLike && turns !== null
      ? wrapLengthMm(
          turns,
          component.coreMm,
          strandDiameterMm(material),
          (toMm - fromMm) / Math.max(turns, 1),
        ) /
        (1 - Math.min(family.wasteShare, 0.9))
      : null
  return {
    fromMm,
    toMm,
    lengthMm,
    turns,
    fibreCount: component.fibreCount ?? null,
    strands: component.strands ?? null,
    cutMm,
  }
}

/** Components of a fly by key, for steps to look up. */
export const componentsByKey = (fly: Fly): ReadonlyMap<string, FlyComponent> =>
  new Map(fly.components.map((component) => [component.key, component]))
