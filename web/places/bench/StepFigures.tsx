import { wording } from '../../../core/index.ts'
import { useWording } from '../../words/useWording.ts'
import type { BenchStep } from '../../../contract/index.ts'

/** The numbers of a step on the hook at hand. */
export function StepFigures({ step, shankMm }: { readonly step: BenchStep; readonly shankMm: number }) {
  const { units, small } = useWording()
  const figures: readonly (readonly [string, string])[] = [
    ...(step.lengthMm === null ? [] : [['long', small(step.lengthMm)] as const]),
    ...(step.turns === null ? [] : [['turns', String(step.turns)] as const]),
    ...(step.fibreCount === null ? [] : [['fibres', String(step.fibreCount)] as const]),
    ...(step.fromMm !== null && step.toMm !== null && step.toMm > step.fromMm
      ? [['from the eye', wording.fineSpan(step.fromMm, step.toMm, units)] as const]
      : []),
    ...(step.cutMm === null ? [] : [['cut', wording.cutLength(step.cutMm, units)] as const]),
    ...(step.strands === null ? [] : [['strands', String(step.strands)] as const]),
    ['thread ends at', small(step.threadTo * shankMm)],
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
