import type { BenchStep } from '../../../contract/index.ts'

/** A millimetre rule along the shank with the stretch of the step on it. */
export function ShankRule({
  step,
  shankMm,
  pxPerMm,
}: {
  readonly step: BenchStep
  readonly shankMm: number
  readonly pxPerMm: number
}) {
  const marks = Array.from({ length: Math.floor(shankMm) + 1 }, (_, i) => i)
  const thread = step.threadTo * shankMm * pxPerMm
  return (
    <svg
      width={shankMm * pxPerMm + 24}
      height={34}
      role="img"
      aria-label={`Thread ends ${(step.threadTo * shankMm).toFixed(1)} mm from the eye`}
      style={{ display: 'block', maxWidth: '100%' }}
    >
      {marks.map((mm) => (
        <line
          key={mm}
          x1={mm * pxPerMm + 6}
          x2={mm * pxPerMm + 6}
          y1={0}
          y2={mm % 5 === 0 ? 10 : 6}
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
