const MOST_STEPS = 60

/**
 * Where a function that changes its sign between two places is nought, by the Illinois form of regula falsi: the end that
 * stays twice counts for half.
 *
 * @param within how near the place has to be
 * @returns the end that is nearer to nought where there is no change of sign
 */
export function rootBetween(f: (x: number) => number, from: number, to: number, within: number): number {
  let [a, b, fa, fb] = [from, to, f(from), f(to)]
  if (fa * fb > 0) return Math.abs(fa) < Math.abs(fb) ? a : b
  let stayed = 0
  for (let i = 0; i < MOST_STEPS && Math.abs(b - a) > within; i += 1) {
    const x = (a * fb - b * fa) / (fb - fa)
    const fx = f(x)
    if (fx === 0) return x
    if (fx * fb > 0) {
      if (Math.abs(x - b) < within / 4) return x
      b = x
      fb = fx
      if (stayed === 1) fa /= 2
      stayed = 1
    } else {
      if (Math.abs(x - a) < within / 4) return x
      a = x
      fa = fx
      if (stayed === -1) fb /= 2
      stayed = -1
    }
  }
  return (a + b) / 2
}
