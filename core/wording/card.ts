import { strandsText } from './amounts.ts'
import { componentsByKey, stepFigures, stepsOf } from '../bench/index.ts'
import type { Dressing, Fly, Variant } from '../dressing/index.ts'
import type { FlyReport } from '../evaluate/index.ts'
import type { Material } from '../material/index.ts'
import type { DisplayUnits } from '../quantity/index.ts'
import { stepTitle } from './bench.ts'
import { depth, mass, provenance, seconds, smallLength, speed, speedBand } from './figures.ts'
import { drawerName } from './goods.ts'
import { postureWord } from './names.ts'
import { hoversWords } from './reasons.ts'

/** A pattern's variant on a card: what to tie it of, step by step, with the numbers for its hook, and what it does. */
export interface Card {
  readonly title: string
  readonly hook: string
  /** weight, fall or float, each a line */
  readonly figures: readonly string[]
  readonly steps: readonly { readonly title: string; readonly material: string; readonly numbers: string }[]
  readonly serves: readonly string[]
  readonly note: string
}

export interface CardInput {
  readonly name: string
  readonly label: string
  readonly dressing: Dressing
  readonly variant: Variant
  readonly fly: Fly
  readonly report: FlyReport
  /** seconds to depths; null where it does not get there */
  readonly times: readonly { readonly depthMm: number; readonly timeS: number | null }[]
  /** foods that it is meant for */
  readonly serves: readonly string[]
  readonly note: string
  readonly units: DisplayUnits
}

const nameOf = ({ family, sizeKey, colourName }: Material) => drawerName(family, sizeKey, colourName)

function behaviourLines(report: FlyReport, times: CardInput['times'], units: DisplayUnits): readonly string[] {
  switch (report.kind) {
    case 'sinks': {
      const fall = report.free.sinkSpeedMmPerS
      const down = times.flatMap(({ depthMm, timeS }) =>
        timeS === null ? [] : [`${depth(depthMm, units)} in ${seconds(timeS)}`],
      )
      return [
        `Falls ${speed(fall.value, units)}, likely ${speedBand(fall, units)} (${provenance(fall.basis)}), free.`,
        ...(down.length > 0 ? [`With its line: ${down.join(', ')}.`] : []),
      ]
    }
    case 'hovers':
      return [`It ${hoversWords(report, units)}.`]
    case 'floats':
      return [`Floats ${postureWord[report.ride.posture]}.`]
    case 'doesNotFit':
      return ['Does not fit its hook.']
  }
}

/** The card of a variant. Lengths of steps are from the rear of the eye. */
export function cardOf(input: CardInput): Card {
  const { fly, report, units, dressing, variant } = input
  const components = componentsByKey(fly)
  const mm = (value: number) => smallLength(value, units)
  return {
    title: `${input.name} ${input.label}`,
    hook: nameOf(fly.hookMaterial),
    figures: [`Weighs ${mass(report.massMg.value, units)}.`, ...behaviourLines(report, input.times, units)],
    steps: stepsOf(dressing, variant).map((step) => {
      const component = step.componentKey ? components.get(step.componentKey) : undefined
      const figures = component && stepFigures(component)
      const numbers = figures
        ? [
            figures.toMm > figures.fromMm
              ? `${mm(figures.fromMm)} to ${mm(figures.toMm)}`
              : `at ${mm(figures.fromMm)}`,
            ...(figures.lengthMm === null ? [] : [`${mm(figures.lengthMm)} long`]),
            ...(figures.turns === null ? [] : [`${Math.round(figures.turns)} turns`]),
            ...(figures.fibreCount === null ? [] : [`${Math.round(figures.fibreCount)} fibres`]),
            ...(figures.strands === null
              ? []
              : [strandsText(figures.strands, component?.material.family.kind)]),
            ...(figures.cutMm === null ? [] : [`cut ${mm(figures.cutMm)}`]),
          ]
        : []
      return {
        title: stepTitle(step, component?.kind ?? null),
        material: component ? nameOf(component.material) : '',
        numbers: [...numbers, ...(step.verb !== 'own' && step.note ? [step.note] : [])].join(', '),
      }
    }),
    serves: input.serves,
    note: input.note,
  }
}

/** The card as Markdown. */
export function cardMarkdown({ title, hook, figures, steps, serves, note }: Card): string {
  const lines = [
    `# ${title}`,
    '',
    `Hook: ${hook}`,
    '',
    ...figures.map((line) => `- ${line}`),
    '',
    ...steps.map(
      ({ title: what, material, numbers }, i) =>
        `${i + 1}. ${what}${material ? `: ${material}` : ''}${numbers ? ` (${numbers})` : ''}`,
    ),
  ]
  if (serves.length > 0) lines.push('', `For: ${serves.join('; ')}`)
  if (note) lines.push('', note)
  return `${lines.join('\n')}\n`
}
