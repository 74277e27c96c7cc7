/** How a fly is held: level, its shank so far above the film; below the film by its tuft; or in the water, its nose so far down. */
export type Pose =
  | { readonly kind: 'rides'; readonly shankMm: number }
  | {
      readonly kind: 'hangsBelow'
      readonly noseDownDeg: number
      /** where the film meets it, mm from the rear of the eye, y up */
      readonly filmAt: { readonly xMm: number; readonly yMm: number }
    }
  | { readonly kind: 'falls' | 'hangs'; readonly noseDownDeg: number }

export interface Box {
  readonly left: number
  readonly top: number
  readonly width: number
  readonly height: number
}

/** A clockwise turn on the screen: the eye is at the left, so that a nose that goes down turns the other way. */
export const turnOf = (pose: Pose): number => (pose.kind === 'rides' ? 0 : -pose.noseDownDeg)

/** Where the film lies after the turn, mm below the rear of the eye; null for a fly that is all in the water. */
export function filmBelowEyeMm(pose: Pose): number | null {
  if (pose.kind === 'rides') return pose.shankMm
  if (pose.kind !== 'hangsBelow') return null
  return turned({ x: pose.filmAt.xMm, y: -pose.filmAt.yMm }, turnOf(pose)).y
}

/** A place after a turn about the rear of the eye; y downwards. */
export function turned({ x, y }: { readonly x: number; readonly y: number }, deg: number) {
  const [sin, cos] = [Math.sin((deg * Math.PI) / 180), Math.cos((deg * Math.PI) / 180)]
  return { x: x * cos - y * sin, y: x * sin + y * cos }
}

/** The box that holds a box after a turn. */
export function turnedBox({ left, top, width, height }: Box, deg: number): Box {
  const corners = [left, left + width].flatMap((x) => [top, top + height].map((y) => turned({ x, y }, deg)))
  const [xs, ys] = [corners.map(({ x }) => x), corners.map(({ y }) => y)]
  const [newLeft, newTop] = [Math.min(...xs), Math.min(...ys)]
  return { left: newLeft, top: newTop, width: Math.max(...xs) - newLeft, height: Math.max(...ys) - newTop }
}
