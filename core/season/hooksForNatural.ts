/** Lengths of a natural, mm, that a hook size is dressed for. */
export interface HookRange {
  readonly size: string
  readonly fromMm: number
  readonly toMm: number
}

/**
 * Hook sizes for naturals of these lengths, the largest first: those whose range they reach into, else the end of the
 * list that they lie beyond.
 */
export function hooksForNatural(
  ranges: readonly HookRange[],
  lowMm: number,
  highMm: number,
): readonly string[] {
  const largestFirst = [...ranges].sort((a, b) => b.toMm - a.toMm)
  const reached = largestFirst.filter(({ fromMm, toMm }) => lowMm < toMm && highMm > fromMm)
  if (reached.length > 0) return reached.map(({ size }) => size)
  const [largest, smallest] = [largestFirst[0], largestFirst.at(-1)]
  if (!largest || !smallest) return []
  return [highMm <= smallest.fromMm ? smallest.size : largest.size]
}
