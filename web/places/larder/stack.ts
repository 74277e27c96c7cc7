import type { FeedingRowView } from '../../../contract/index.ts'

/** One area of a stack: from its foot to its head at each moment, as shares. */
export interface Area {
  readonly key: string
  readonly kind: 'food' | 'others' | 'whatever'
  readonly shares: readonly number[]
  readonly from: readonly number[]
  readonly to: readonly number[]
}

/** What the areas of a stack stand for: stages, or the foods that they belong to. */
export interface Stacking {
  /** what an area is of; stages of one key share it */
  readonly keyOf: (stageId: string) => string
  /** rank of a key's depth, from the bed up */
  readonly depthOf: (key: string) => number
  /** areas at most, beside whatever comes and all others */
  readonly most: number
}

const sum = (values: readonly number[]) => values.reduce((total, value) => total + value, 0)
/** Weighs a great hour above many small ones. */
const weight = (shares: readonly number[]) => sum(shares.map((share) => share ** 2))

/**
 * Areas that sum to one at each moment: whatever comes at the foot, what most fish are on in the order of its depth, and
 * all others in one.
 */
export function stackOf(
  { whatever, stages }: FeedingRowView,
  { keyOf, depthOf, most }: Stacking,
): readonly Area[] {
  const byKey = new Map<string, readonly number[]>()
  for (const { stageId, onIt } of stages) {
    const key = keyOf(stageId)
    const known = byKey.get(key)
    byKey.set(key, known ? known.map((share, i) => share + (onIt[i] ?? 0)) : onIt)
  }
  const shown = [...byKey]
    .sort((a, b) => weight(b[1]) - weight(a[1]))
    .slice(0, most)
    .sort((a, b) => depthOf(a[0]) - depthOf(b[0]))
  const rows: Omit<Area, 'from' | 'to'>[] = [
    { key: 'whatever', kind: 'whatever', shares: whatever },
    ...shown.map(([key, shares]) => ({ key, kind: 'food' as const, shares })),
  ]
  const others = whatever.map((_, i) => Math.max(1 - sum(rows.map(({ shares }) => shares[i] ?? 0)), 0))
  const foot = whatever.map(() => 0)
  return [...rows, { key: 'others', kind: 'others' as const, shares: others }].map((row) => {
    const from = [...foot]
    row.shares.forEach((share, i) => (foot[i] = (foot[i] ?? 0) + share))
    return { ...row, from, to: [...foot] }
  })
}

/** A name in its area: where its middle stands, as shares of the width and of the height from the foot. */
export interface PlacedName {
  readonly key: string
  readonly name: string
  readonly at: number
  readonly middle: number
}

/** Room that a line of text takes of the height. */
const LINE = 0.085

/**
 * Places names in their areas, each where the area is thickest and no name of a thicker one stands, as whole as there is
 * room for; what is too thin for any of its names has none.
 *
 * @param areas with their names, the whole one first
 * @param widthOf room that a name takes of the width, 0 to 1
 */
export function placeNames(
  areas: readonly (Area & { readonly names: readonly string[] })[],
  widthOf: (name: string) => number,
): readonly PlacedName[] {
  const placed: (PlacedName & { readonly wide: number })[] = []
  const thick = (area: Area) => Math.max(...area.shares)
  const place = (area: Area, name: string) => {
    const last = Math.max(area.shares.length - 1, 1)
    const wide = widthOf(name)
    if (wide > 1) return null
    const free = area.shares
      .map((share, i) => ({
        share,
        at: Math.min(Math.max(i / last, wide / 2), 1 - wide / 2),
        middle: ((area.from[i] ?? 0) + (area.to[i] ?? 0)) / 2,
      }))
      .filter(({ share }) => share >= LINE * 0.85)
      .sort((a, b) => b.share - a.share)
      .find(({ at, middle }) =>
        placed.every(
          (one) => Math.abs(one.at - at) > (one.wide + wide) / 2 || Math.abs(one.middle - middle) > LINE,
        ),
      )
    return free ? { key: area.key, name, at: free.at, middle: free.middle, wide } : null
  }
  for (const area of [...areas].sort((a, b) => thick(b) - thick(a))) {
    for (const name of area.names) {
      const found = place(area, name)
      if (!found) continue
      placed.push(found)
      break
    }
  }
  return placed
}
