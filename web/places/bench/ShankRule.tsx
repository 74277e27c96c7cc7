import { ruleMarks } from '../../drawing/ruleMarks.ts'
import { useWording } from '../../words/useWording.ts'
import type { BenchStep } from '../../../contract/index.ts'

/** A rule along the shank with the stretch of the step on it. */
export function ShankRule({
  step,
  shankMm,
  pxPerMm,
}: {
  readonly step: BenchStep
  readonly shankMm: number
  readonly pxPerMm: number
}) {
  const { small, units } = useWording()
  const { marks } = ruleMarks(units.smallLength, shankMm)
  const thread = step.threadTo * shankMm * pxPerMm
  return (
    <svg
      width={shankMm * pxPerMm + 24}
      height={34}
      role="img"
      aria-label={`Thread ends ${small(step.threadTo * shankMm)} from the eye`}
      style={{ display: 'block', maxWidth: '100%' }}
    >
      {marks.map(({ atMm, isLong }) => (
        <line
          key={atMm}
          x1={atMm * pxPerMm + 6}
          x2={atMm * pxPerMm + 6}
          y1={0}
          y2={isLong ? 10 : 6}
          stroke="var(--quiet)"
        />
      ))}
      <line x1={6} x2={shankMm * pxPerMm + 6} y1={0.5} y2={0.5} stroke="var(--quiet)" />
      {step.fromMm !== null && step.toMm !== null ? (
        <rect
          x={step.fromMm * pxPerMm + 6}
          y={12}
          width={Math.max((step.toMm - step.fromMm) * pxPerMm, 3)}
          height={6}
          fill="var(--thistle)"
        />
      ) : null}
      <path d={`M${thread + 6} 20l-5 9h10z`} fill="var(--ink)" />
    </svg>
  )
}
