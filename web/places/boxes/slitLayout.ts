/** A slit of a box's foam at true size, mm: so long is a fly of size 14, so far apart are the rows. */
export const SLIT_MM = { wide: 15, high: 10.5 }

/** Of a fly that is longer than its slit by no more than this share the bend hangs over the next. */
const HANGS_OVER = 0.2

/** How many slits a fly of this length takes. */
export const slitsOf = (lengthMm: number): number =>
  Math.max(Math.ceil(lengthMm / SLIT_MM.wide - HANGS_OVER), 1)

/** Slits side by side: as many as the leaf has room for, no more than the compartment has, few enough for two rows. */
export function slitsInARow(leafPx: number, slitPx: number, capacity: number | null): number {
  const room = Math.max(Math.floor(leafPx / slitPx), 1)
  return Math.max(Math.min(room, capacity ?? room), 1)
}

/** A fly with what of it stands in slits: flies, then gaps up to what is kept. */
export interface InSlits {
  readonly each: number
  readonly count: number
}

/** How many rows flies take that are not parted, one after another, and at least those that the compartment has. */
export function rowsOfSlits(groups: readonly InSlits[], perRow: number, capacity: number | null): number {
  let [rows, used] = [1, 0]
  for (const { each, count } of groups) {
    const perLine = Math.max(Math.floor(perRow / each), 1)
    const wide = Math.min(count, perLine) * each
    if (used > 0 && used + wide > perRow) {
      rows += 1
      used = 0
    }
    rows += Math.ceil(count / perLine) - 1
    used = count > perLine ? perRow : used + wide
  }
  return Math.max(rows, Math.ceil((capacity ?? 0) / perRow))
}
