import { oneOf } from './question.ts'
import type { Random } from '../uncertainty/index.ts'

/** The drills, each of which asks one thing. */
export const DRILLS = [
  'afterTheCut',
  'riseForm',
  'dunOrSpent',
  'leadACruiser',
  'theBeat',
  'hookSize',
  'howDeep',
  'flyForSigns',
] as const
export type Drill = (typeof DRILLS)[number]

/** An answer that was given. */
export interface Answered {
  readonly subject: string
  readonly atMs: number
  readonly isRight: boolean
}

/** How a subject stands: when it is asked again, and whether it was missed last. */
export interface SubjectStanding {
  readonly subject: string
  readonly dueMs: number
  readonly isMissed: boolean
}

const DAY_MS = 86_400_000
/** Days until a subject is asked again after so many right answers in a row; what was missed is asked at once. */
const WAIT_DAYS = [0, 1, 3, 8, 21] as const
const LONGEST_DAYS = 60

/** How subjects of a drill stand after all answers. */
export function standingsOf(answers: readonly Answered[]): readonly SubjectStanding[] {
  const bySubject = new Map<string, { inRow: number; atMs: number }>()
  for (const { subject, atMs, isRight } of answers.toSorted((a, b) => a.atMs - b.atMs))
    bySubject.set(subject, { inRow: isRight ? (bySubject.get(subject)?.inRow ?? 0) + 1 : 0, atMs })
  return [...bySubject].map(([subject, { inRow, atMs }]) => ({
    subject,
    dueMs: atMs + (WAIT_DAYS[inRow] ?? LONGEST_DAYS) * DAY_MS,
    isMissed: inRow === 0,
  }))
}

/** So many others come between two times that the same is asked. */
const APART = 3

/**
 * What is asked next: first what was missed, then what is due, then what was never asked, then whatever is due soonest; but
 * after one that was asked before something new, so that what was missed does not stand alone and give itself away. Never
 * one of the last three again while there is another.
 */
export function nextSubject(
  random: Random,
  subjects: readonly string[],
  standings: readonly SubjectStanding[],
  now: { readonly atMs: number; readonly asked: readonly string[] },
): string | undefined {
  const apart = Math.min(APART, subjects.length - 1)
  const recent = new Set(apart > 0 ? now.asked.slice(-apart) : [])
  const open = subjects.filter((subject) => !recent.has(subject))
  const of = new Map(standings.map((standing) => [standing.subject, standing]))
  const known = open.flatMap((subject) => of.get(subject) ?? []).toSorted((a, b) => a.dueMs - b.dueMs)
  const due = known.filter(({ dueMs }) => dueMs <= now.atMs)
  const fresh = oneOf(
    random,
    open.filter((subject) => !of.has(subject)),
  )
  const last = now.asked.at(-1)
  if (last !== undefined && now.asked.indexOf(last) < now.asked.length - 1 && fresh !== undefined) return fresh
  return (due.find(({ isMissed }) => isMissed) ?? due[0])?.subject ?? fresh ?? known[0]?.subject
}
