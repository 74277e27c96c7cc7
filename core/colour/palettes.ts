import { okLab } from './distance.ts'
import type { OkLab } from './distance.ts'

/** A wet colour and how much of what is seen has it. */
export interface ColourShare {
  readonly hexWet: string
  /** 0 to 1; they sum to one */
  readonly share: number
}

/** How far the colours of one palette lie from those of another; see {@link colourDistance}. */
export interface PalettesApart {
  /** mean of how far each colour of the first lies from the nearest of the second */
  readonly nearest: number
  /** mean of how far the first's have to be moved to come in the shares of the second, nearest first */
  readonly moved: number
}

/** Colours of a palette as they are compared, kept for each palette: boxes hold thousands of flies against one. */
const labsOf = new WeakMap<readonly ColourShare[], readonly OkLab[]>()
function labs(palette: readonly ColourShare[]): readonly OkLab[] {
  const known = labsOf.get(palette)
  if (known) return known
  const made = palette.map(({ hexWet }) => okLab(hexWet))
  labsOf.set(palette, made)
  return made
}

const AS_SEEN = { lightness: 1, chroma: 1 }

/**
 * How far two palettes are apart.
 *
 * @param weights how much differences of lightness and of chroma count, 0 to 1
 */
export function palettesApart(
  first: readonly ColourShare[],
  second: readonly ColourShare[],
  { lightness, chroma } = AS_SEEN,
): PalettesApart {
  const left = first.map(({ share }) => share)
  const wanted = second.map(({ share }) => share)
  const theirs = labs(second)
  const pairs = labs(first).flatMap((x, i) =>
    theirs.map((y, j) => ({
      i,
      j,
      far: Math.sqrt(
        (lightness * (x.l - y.l)) ** 2 + (chroma * (x.a - y.a)) ** 2 + (chroma * (x.b - y.b)) ** 2,
      ),
    })),
  )
  let [nearest, moved] = [0, 0]
  const seen = new Set<number>()
  for (const { i, j, far } of pairs.sort((a, b) => a.far - b.far)) {
    if (!seen.has(i)) nearest += (first[i]?.share ?? 0) * far
    seen.add(i)
    const share = Math.min(left[i] ?? 0, wanted[j] ?? 0)
    left[i] = (left[i] ?? 0) - share
    wanted[j] = (wanted[j] ?? 0) - share
    moved += share * far
  }
  return { nearest, moved }
}
