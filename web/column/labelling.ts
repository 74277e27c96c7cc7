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

/** Marks that share a label, what ranks highest first. */
interface Group<Of extends ToLabel> {
  readonly of: readonly Of[]
  readonly atPx: number
  readonly rank: number
}

const middle = (sorted: readonly number[]): number => sorted[Math.floor((sorted.length - 1) / 2)] ?? 0

/** Puts a number where it belongs among sorted ones. */
function putIn(sorted: number[], value: number): void {
  let [from, to] = [0, sorted.length]
  while (from < to) {
    const half = (from + to) >> 1
    if ((sorted[half] ?? Infinity) <= value) from = half + 1
    else to = half
  }
  sorted.splice(from, 0, value)
}

/**
 * Tops of labels of one height in a given order, none over another, with the least total shift from where they want to be:
 * an isotonic regression by medians (Barlow et al. 1972) of what is wanted less the room of those before, kept within the
 * bounds. Those so far have a lower half, whose highest is where the last of them wants to be; none stands above a later one.
 */
export function leastShift(wanted: readonly number[], { fromPx, toPx, rowPx }: LabelRoom): readonly number[] {
  const lowerHalf: number[] = []
  const highest = wanted.map((top, i) => {
    const at = top - i * rowPx
    putIn(lowerHalf, at)
    putIn(lowerHalf, at)
    lowerHalf.pop()
    return lowerHalf.at(-1) ?? at
  })
  const most = Math.max(toPx - wanted.length * rowPx, fromPx)
  const tops: number[] = []
  let next = Infinity
  for (const [i, at] of [...highest.entries()].reverse()) {
    next = Math.min(at, next)
    tops[i] = Math.min(Math.max(next, fromPx), most) + i * rowPx
  }
  return tops
}

function together<Of extends ToLabel>(marks: readonly Of[]): Group<Of> {
  const of = [...marks].sort((a, b) => b.rank - a.rank)
  return { of, atPx: middle(of.map(({ atPx }) => atPx).sort((a, b) => a - b)), rank: of[0]?.rank ?? 0 }
}

const inOrder = <Of extends ToLabel>(groups: readonly Group<Of>[]): readonly Group<Of>[] =>
  [...groups].sort((a, b) => a.atPx - b.atPx || b.rank - a.rank)

/** The least of a crowd, and what it joins: a group that is there, or the next of the least. */
function toJoin<Of extends ToLabel>(crowd: readonly Group<Of>[]): readonly Group<Of>[] {
  const [least, ...rest] = [...crowd].sort(
    (a, b) => Number(a.of.length > 1) - Number(b.of.length > 1) || a.rank - b.rank,
  )
  const joined = rest.find(({ of }) => of.length > 1) ?? rest[0]
  return least && joined ? [joined, least] : []
}

/** More marks than these are not joined one by one from the start: thousands would take a page seconds. */
const MOST_ALONE = 300

/**
 * What labels begin with: each mark by itself; where there are very many, of those near one another no more than could be
 * named there, and the rest, which rank least, together.
 */
function begun<Of extends ToLabel>(
  marks: readonly Of[],
  { rowPx, furthestPx }: LabelRoom,
): readonly Group<Of>[] {
  if (marks.length <= MOST_ALONE) return marks.map((mark) => together([mark]))
  const spanPx = 2 * furthestPx
  const crowds = new Map<number, Of[]>()
  for (const mark of marks) {
    const height = Math.floor(mark.atPx / spanPx)
    const crowd = crowds.get(height)
    if (crowd) crowd.push(mark)
    else crowds.set(height, [mark])
  }
  // its labels may stand as far again above and below
  const named = Math.ceil((2 * spanPx) / rowPx)
  return [...crowds.values()].flatMap((crowd) => {
    const byRank = [...crowd].sort((a, b) => b.rank - a.rank)
    const rest = byRank.slice(named)
    return [
      ...byRank.slice(0, named).map((mark) => together([mark])),
      ...(rest.length > 0 ? [together(rest)] : []),
    ]
  })
}

/**
 * Labels for marks that stay at their own heights: beside them as far as there is room, and where there is none the least
 * of the neighbours share one, a group at their height. What ranks highest is named by itself the longest.
 */
export function labelsFor<Of extends ToLabel>(marks: readonly Of[], room: LabelRoom): readonly Label<Of>[] {
  const { fromPx, toPx, rowPx, furthestPx } = room
  let groups = inOrder(begun(marks, room))
  for (;;) {
    const tops = leastShift(
      groups.map(({ atPx }) => atPx - rowPx / 2),
      room,
    )
    const shifts = groups.map(({ atPx }, i) => Math.abs((tops[i] ?? 0) + rowPx / 2 - atPx))
    const most = Math.max(...shifts)
    const isOverfull = groups.length * rowPx > toPx - fromPx
    const worst = groups[shifts.indexOf(most)]
    const near = groups.filter(({ atPx }) => worst && Math.abs(atPx - worst.atPx) <= furthestPx)
    const joined = isOverfull || most > furthestPx ? toJoin(near.length > 1 ? near : groups) : []
    if (joined.length === 0) return groups.map(({ of, atPx }, i) => ({ of, atPx, topPx: tops[i] ?? 0 }))
    const others = groups.filter((group) => !joined.includes(group))
    groups = inOrder([...others, together(joined.flatMap(({ of }) => of))])
  }
}
