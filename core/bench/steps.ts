import { applySwaps, KINDS, wrapLengthMm } from '../dressing/index.ts'
import type { Component, Dressing, Fly, FlyComponent, Step, Variant } from '../dressing/index.ts'
import { strandDiameterMm } from '../material/index.ts'

const FINISH: Step = { key: 'finish', verb: 'finish', componentKey: null, threadFrom: 0, threadTo: 0, note: '' }

/** The one or two steps of a component, each with its place among those of the others. */
function stepsOfOne({
  key,
  kind,
  place,
}: Component): readonly { readonly order: number; readonly step: Step }[] {
  const { step, otherStep } = KINDS[kind]
  return [step, ...(otherStep ? [otherStep] : [])].map(({ verb, order, threadEndsAt }, i) => ({
    order,
    step: {
      key: i === 0 ? key : `${key}-${verb}`,
      verb,
      componentKey: key,
      threadFrom: 0,
      threadTo: place[threadEndsAt],
      note: '',
    },
  }))
}

/** Steps one after another: each takes the thread up where the one before it has left it. */
function handedOn(steps: readonly Step[]): readonly Step[] {
  let thread = 0
  return steps.map((step) => {
    const threadTo = step.verb === 'own' ? thread : step.threadTo
    const next = { ...step, threadFrom: thread, threadTo }
    thread = threadTo
    return next
  })
}

/** Steps from kinds and places, in the order of the bench. */
const usualSteps = (recipe: readonly Component[]): readonly Step[] => [
  ...recipe
    .flatMap(stepsOfOne)
    .sort((a, b) => a.order - b.order)
    .map(({ step }) => step),
  FINISH,
]

/** Steps from kinds and places, in the order of the bench; the dressing's own where someone has edited them. */
export function stepsOf(dressing: Dressing, variant: Variant): readonly Step[] {
  const recipe = applySwaps(dressing, variant)
  const kept = new Set(recipe.map(({ key }) => key))
  if (dressing.steps)
    return dressing.steps.filter(({ componentKey }) => !componentKey || kept.has(componentKey))
  return handedOn(usualSteps(recipe))
}

/**
 * Steps that someone has edited, after the dressing has changed: those of parts that are gone go, those of new parts
 * come where they usually would, and what was written or put in another order stands. Null where nobody has edited any.
 */
export function stepsAfterEdit(
  steps: Dressing['steps'],
  before: readonly Component[],
  after: readonly Component[],
): Dressing['steps'] {
  if (!steps) return null
  const there = new Set(after.map(({ key }) => key))
  const old = new Set(before.map(({ key }) => key))
  const usual = usualSteps(after)
  const placed = new Map(usual.map((step) => [step.key, step]))
  const kept = steps
    .filter(({ componentKey }) => !componentKey || there.has(componentKey))
    .map((step) => ({ ...step, threadTo: placed.get(step.key)?.threadTo ?? step.threadTo }))
  usual.forEach((step, i) => {
    if (!step.componentKey || old.has(step.componentKey)) return
    const later = new Set(usual.slice(i + 1).map(({ key }) => key))
    const at = kept.findIndex(({ key }) => later.has(key))
    kept.splice(at < 0 ? kept.length : at, 0, step)
  })
  return handedOn(kept)
}

/** A step one place earlier or later. */
export function stepMoved(steps: readonly Step[], key: string, by: -1 | 1): readonly Step[] {
  const at = steps.findIndex((step) => step.key === key)
  const next = [...steps]
  const [taken] = next.splice(at, 1)
  if (!taken || at + by < 0) return steps
  next.splice(at + by, 0, taken)
  return handedOn(next)
}

/** With a step of one's own after another: where the thread is, it stays. */
export function withOwnStep(steps: readonly Step[], afterKey: string): readonly Step[] {
  const at = steps.findIndex(({ key }) => key === afterKey)
  const keys = new Set(steps.map(({ key }) => key))
  let n = 1
  while (keys.has(`own-${n}`)) n += 1
  const own: Step = { key: `own-${n}`, verb: 'own', componentKey: null, threadFrom: 0, threadTo: 0, note: '' }
  return handedOn([...steps.slice(0, at + 1), own, ...steps.slice(at + 1)])
}

/** Without a step of one's own. */
export const withoutStep = (steps: readonly Step[], key: string): readonly Step[] =>
  handedOn(steps.filter((step) => step.key !== key))

/** A step with a note of one's own: "pinch", "sweep back"; of an own step what it says. */
export const withStepNote = (steps: readonly Step[], key: string, note: string): readonly Step[] =>
  steps.map((step) => (step.key === key ? { ...step, note } : step))

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
