/** How a hook is bent. Lengths relative to its own gape and shank, angles in degrees. */
export interface HookStyle {
  readonly key: string
  /** shank as a share of the standard one */
  readonly shankFactor: number
  readonly gapeFactor: number
  /** arc of the whole shank; 0 for a straight one */
  readonly curveDeg: number
  /** arc of the bend between shank and point */
  readonly bendDeg: number
  /** length of the raised neck before the eye, in gapes; 0 for a hook that is no jig */
  readonly neckOfGape: number
  readonly neckDeg: number
}

const straight = { shankFactor: 1, gapeFactor: 1, curveDeg: 0, bendDeg: 180, neckOfGape: 0, neckDeg: 0 }
const grub = { ...straight, curveDeg: 60, bendDeg: 140 }

/** The ways of bending that ship, by key. Fine and heavy wire and long shanks are conventions of a family, not styles. */
export const HOOK_STYLES: Readonly<Record<string, HookStyle>> = Object.fromEntries(
  [
    { ...straight, key: 'straight' },
    { ...grub, key: 'curved' },
    { ...straight, key: 'slowCurve', curveDeg: 35, bendDeg: 155 },
    { ...straight, key: 'jig60', shankFactor: 0.95, neckOfGape: 0.28, neckDeg: 60 },
    { ...straight, key: 'jig90', neckOfGape: 0.32, neckDeg: 90 },
    { ...straight, key: 'wideGape', shankFactor: 0.85, gapeFactor: 1.15 },
  ].map((style) => [style.key, style]),
)

/** Catalogue families name a bend with its wire and length (`heavy2XL`); the bend alone decides the style. */
export function hookStyle(key: string): HookStyle {
  const bend = key.startsWith('curved') ? 'curved' : key
  const style = HOOK_STYLES[bend] ?? HOOK_STYLES.straight
  if (!style) throw new RangeError(`no hook style ${key}`)
  return style
}
