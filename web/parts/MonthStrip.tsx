const WIDTH = 9
const HEIGHT = 18

/** A stage's year: a bar a month, as high as it is likely, its end soft with doubt; the month of the moment framed. */
export function MonthStrip({
  months,
  month,
}: {
  readonly months: readonly ({ readonly likelihood: number } | null)[]
  readonly month: number
}) {
  return (
    <svg
      width={12 * WIDTH}
      height={HEIGHT}
      role="img"
      aria-label={`Likelihood by month in tenths: ${months.map((m) => Math.round((m?.likelihood ?? 0) * 10)).join(' ')}`}
    >
      {months.map((entry, i) => {
        const likelihood = entry?.likelihood ?? 0
        const tall = likelihood * HEIGHT
        const soft = likelihood > 0 ? Math.min(0.2, 1 - likelihood) * HEIGHT : 0
        return (
          <g key={i}>
            <rect
              x={i * WIDTH + 1}
              y={HEIGHT - tall - soft}
              width={WIDTH - 2}
              height={soft}
              fill="var(--thistle)"
              opacity={0.18}
            />
            <rect
              x={i * WIDTH + 1}
              y={HEIGHT - tall}
              width={WIDTH - 2}
              height={tall}
              fill="var(--thistle)"
              opacity={0.75}
            />
            {i === month ? (
              <rect
                x={i * WIDTH}
                y={0}
                width={WIDTH}
                height={HEIGHT}
                fill="none"
                stroke="var(--ink)"
                strokeWidth={1}
              />
            ) : null}
          </g>
        )
      })}
      <line x1={0} x2={12 * WIDTH} y1={HEIGHT} y2={HEIGHT} stroke="var(--quiet)" />
    </svg>
  )
}
