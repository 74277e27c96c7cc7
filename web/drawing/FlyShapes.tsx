import type { FlyDrawing } from '../../core/index.ts'

/** The shapes of a drawn fly, from back to front; each component as solid as is asked for. */
export function FlyShapes({
  shapes,
  solid = () => 1,
}: {
  readonly shapes: FlyDrawing['shapes']
  /** 0 to 1, by component */
  readonly solid?: (key: string) => number
}) {
  return shapes.map(({ key, path, fill, stroke, strokePx, opacity }, i) => (
    <path
      key={i}
      d={path}
      fill={fill ?? 'none'}
      stroke={stroke ?? undefined}
      strokeWidth={stroke ? strokePx : undefined}
      strokeLinecap="round"
      strokeLinejoin="round"
      opacity={opacity * solid(key)}
    />
  ))
}
