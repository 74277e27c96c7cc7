import type { BenchStep } from '../../../contract/index.ts'

const mm = (value: number) => `${value.toFixed(1)} mm`

/** The numbers of a step on the hook at hand. */
export function StepFigures({ step, shankMm }: { readonly step: BenchStep; readonly shankMm: number }) {
  const figures: readonly (readonly [string, string])[] = [
    ...(step.lengthMm === null ? [] : [['long', mm(step.lengthMm)] as const]),
    ...(step.turns === null ? [] : [['turns', String(step.turns)] as const]),
    ...(step.fibreCount === null ? [] : [['fibres', String(step.fibreCount)] as const]),
    ...(step.fromMm !== null && step.toMm !== null && step.toMm > step.fromMm
      ? [['from the eye', `${step.fromMm.toFixed(1)}–${mm(step.toMm)}`] as const]
      : []),
    ...(step.cutMm === null ? [] : [['cut', `${(step.cutMm / 10).toFixed(0)} cm`] as const]),
    ...(step.strands === null ? [] : [['strands', String(step.strands)] as const]),
    ['thread ends at', mm(step.threadTo * shankMm)],
  ]
  return (
    <div className="figures-now">
      {figures.map(([name, text]) => (
        <span key={name}>
          <small>{name}</small>
          <span className="figures">{text}</span>
        </span>
      ))}
    </div>
  )
}
