/** Something with a height of its own that wants a label beside it. */
export interface ToLabel {
  readonly atPx: number
  /** the higher, the sooner it is named by itself */
  readonly rank: number
}

/** A label, of one mark or of several that share it, and where it stands. */
export interface Label<Of extends ToLabel> {
  readonly of: readonly Of[]
  /** height of its mark, or the middle one of a group */
  readonly atPx: number
  readonly topPx: number
}

/** Where labels may stand. */
export interface LabelRoom {
  readonly fromPx: number
  readonly toPx: number
  /** height of a label with its gap */
  readonly rowPx: number
  /** a label that would stand further than this from its mark gives way to a group */
  readonly furthestPx: number
}

type Group<Of extends ToLabel> = Omit<Label<Of>, 'topPx'>

const middle = (sorted: readonly number[]): number => sorted[Math.floor((sorted.length - 1) / 2)] ?? 0
const rankOf = (of: readonly ToLabel[]): number => Math.max(...of.map(({ rank }) => rank))

/**
 * Tops of labels of one height in a given order, none over another, with the least total shift from where they want to be:
 * an isotonic regression by medians (pool adjacent violators; Barlow et al. 1972) of what is wanted less the room of those
 * before, kept within the bounds.
 */
export function leastShift(wanted: readonly number[], { fromPx, toPx, rowPx }: LabelRoom): readonly number[] {
  const pools: { values: number[]; at: number }[] = []
  for (const [i, top] of wanted.entries()) {
    pools.push({ values: [top - i * rowPx], at: top - i * rowPx })
    for (;;) {
      const [before, last] = pools.slice(-2)
      if (!before || !last || pools.length < 2 || before.at <= last.at) break
      const values = [...before.values, ...last.values].sort((a, b) => a - b)
      pools.splice(-2, 2, { values, at: middle(values) })
    }
  }
  const most = Math.max(toPx - wanted.length * rowPx, fromPx)
  return pools
    .flatMap(({ values, at }) => values.map(() => Math.min(Math.max(at, fromPx), most)))
    .map((at, i) => at + i * rowPx)
}

function placed<Of extends ToLabel>(groups: readonly Group<Of>[], room: LabelRoom): readonly Label<Of>[] {
  const sorted = [...groups].sort((a, b) => a.atPx - b.atPx || rankOf(b.of) - rankOf(a.of))
  const tops = leastShift(
    sorted.map(({ atPx }) => atPx - room.rowPx / 2),
    room,
  )
  return sorted.map((group, i) => ({ ...group, topPx: tops[i] ?? 0 }))
}

const shiftOf = ({ atPx, topPx }: Label<ToLabel>, { rowPx }: LabelRoom) => Math.abs(topPx + rowPx / 2 - atPx)

const together = <Of extends ToLabel>(groups: readonly Group<Of>[]): Group<Of> => {
  const of = groups.flatMap((group) => group.of).sort((a, b) => b.rank - a.rank)
  return { of, atPx: middle(of.map(({ atPx }) => atPx).sort((a, b) => a - b)) }
}

/**
 * Labels for marks that stay at their own heights: beside them as far as there is room, and where there is none the least
 * of the neighbours share one, a group at their height. What ranks highest is named by itself the longest.
 */
export function labelsFor<Of extends ToLabel>(marks: readonly Of[], room: LabelRoom): readonly Label<Of>[] {
  let groups: readonly Group<Of>[] = marks.map((mark) => ({ of: [mark], atPx: mark.atPx }))
  for (;;) {
    const labels = placed(groups, room)
    const overfull = labels.length * room.rowPx > room.toPx - room.fromPx
    const worst = [...labels].sort((a, b) => shiftOf(b, room) - shiftOf(a, room))[0]
    if (!worst || labels.length < 2 || (!overfull && shiftOf(worst, room) <= room.furthestPx)) return labels
    const near = labels.filter(({ atPx }) => Math.abs(atPx - worst.atPx) <= room.furthestPx)
    const crowd = near.length > 1 ? near : labels
    // a group that is there takes in more; the least go first
    const [least, ...rest] = [...crowd].sort(
      (a, b) => Number(a.of.length > 1) - Number(b.of.length > 1) || rankOf(a.of) - rankOf(b.of),
    )
    const group = rest.find(({ of }) => of.length > 1) ?? rest[0]
    if (!least || !group) return labels
    groups = [...labels.filter((label) => label !== least && label !== group), together([group, least])]
  }
}
