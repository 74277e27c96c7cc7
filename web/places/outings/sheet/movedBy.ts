import { takesAnHour, waterside } from '../../../../core/index.ts'
import type { AlongView, OutingLine } from '../../../../contract/index.ts'
import { movedWords } from '../../../words/waterside.ts'

interface FishedSum {
  readonly minutes: number
  readonly takes: number
}

const fishedOf = (outings: readonly OutingLine[], variantId?: string): FishedSum =>
  outings
    .flatMap(({ spells }) => spells)
    .filter((spell) => variantId === undefined || spell.variantId === variantId)
    .reduce((sum, { minutes, takes }) => ({ minutes: sum.minutes + minutes, takes: sum.takes + takes }), {
      minutes: 0,
      takes: 0,
    })
const lostOf = (outings: readonly OutingLine[]) =>
  outings.flatMap(({ losses }) => losses).reduce((sum, { count }) => sum + count, 0)

/** The fly that was fished longest on an outing; undefined where none was noted. */
function longest({ spells }: OutingLine) {
  const minutesOf = (id: string) =>
    spells.filter(({ variantId }) => variantId === id).reduce((sum, { minutes }) => sum + minutes, 0)
  return spells.toSorted((a, b) => minutesOf(b.variantId) - minutesOf(a.variantId))[0]
}

/** What an outing moved, a sentence each: what the season learnt, what was lost an hour, and how far its fly is trusted now. */
export function movedBy(
  { outing, taps, booked }: AlongView,
  outings: readonly OutingLine[],
): readonly string[] {
  const isBooked = new Set<string>(booked)
  const used = taps.filter(({ id }) => isBooked.has(id))
  const [counts, readings] = [waterside.samplesOf(used, new Set()), waterside.readingsOf(used, new Set())]
  const until = outings.filter(({ on }) => on <= outing.on)
  const before = until.filter(({ id }) => id !== outing.id)
  const fly = longest(outing)
  const rate = (of: readonly OutingLine[]) => {
    const { takes, minutes } = fishedOf(of, fly?.variantId)
    return minutes === 0 ? null : takesAnHour(takes, minutes)
  }
  return [
    movedWords.season(counts.length, readings.length),
    movedWords.losses(
      { lost: lostOf([outing]), minutes: fishedOf([outing]).minutes },
      { lost: lostOf(until), minutes: fishedOf(until).minutes },
    ),
    fly
      ? movedWords.confidence(`${fly.patternName} ${fly.label}`, fishedOf([outing], fly.variantId), rate(until) ?? takesAnHour(0, 0), rate(before)) // prettier-ignore
      : movedWords.noConfidence,
  ]
}
