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
  const pairs: { readonly i: number; readonly j: number; readonly far: number }[] = []
  for (const [i, x] of labs(first).entries())
    for (const [j, y] of labs(second).entries()) {
      const [l, a, b] = [lightness * (x.l - y.l), chroma * (x.a - y.a), chroma * (x.b - y.b)]
      pairs.push({ i, j, far: Math.sqrt(l ** 2 + a ** 2 + b ** 2) })
    }
  let [nearest, moved] = [0, 0]
  const met: boolean[] = []
  for (const { i, j, far } of pairs.sort((a, b) => a.far - b.far)) {
    if (!met[i]) nearest += (first[i]?.share ?? 0) * far
    met[i] = true
    const share = Math.min(left[i] ?? 0, wanted[j] ?? 0)
    left[i] = (left[i] ?? 0) - share
    wanted[j] = (wanted[j] ?? 0) - share
    moved += share * far
  }
  return { nearest, moved }
}
