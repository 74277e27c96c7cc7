import type { Sent } from '../api.ts'
import type { Waiting } from './kept.ts'

/** What many records refer to and few writes change: sharing one does not make two writes hang together. */
const REFERENCES: ReadonlySet<string> = new Set(['familyId', 'foodStageId', 'foodId'])

function gather(value: unknown, into: Set<string>): void {
  if (Array.isArray(value)) for (const one of value) gather(one, into)
  else if (typeof value === 'object' && value !== null)
    for (const [key, inner] of Object.entries(value)) {
      if (typeof inner !== 'string') gather(inner, into)
      else if ((key === 'id' || key.endsWith('Id')) && !REFERENCES.has(key)) into.add(inner)
    }
}

/** The records that a write is of: itself (an undo names it), and all that its body names. */
export function subjectsOf({ id, kind, body }: Sent): ReadonlySet<string> {
  const subjects = new Set([id])
  if (kind === 'settingsSave') subjects.add('settings')
  gather(body, subjects)
  return subjects
}

const shares = (a: ReadonlySet<string>, b: ReadonlySet<string>): boolean =>
  [...a].some((subject) => b.has(subject))

/**
 * The next write to send: the first of the queue, but for those that were refused and for what hangs together with a
 * refused one before it, which waits with it.
 */
export function nextToSend(queue: readonly Waiting[]): Waiting | null {
  const held = new Set<string>()
  for (const waiting of queue) {
    const subjects = subjectsOf(waiting)
    if (!waiting.refused && !shares(subjects, held)) return waiting
    for (const subject of subjects) held.add(subject)
  }
  return null
}

/** The record that a save names first. */
const recordOf = ({ body }: Sent): unknown =>
  Object.entries(body).find(([key, value]) => key.endsWith('Id') && typeof value === 'string')?.[1]
const versionOf = ({ body }: Sent): unknown => (body as { readonly version?: unknown }).version

/**
 * A write as it is to be sent behind those that wait: a second save of a record starts from the version that the first
 * will have made.
 */
export function behind<Kind extends Sent>(sent: Kind, queue: readonly Waiting[]): Kind {
  const version = versionOf(sent)
  if (typeof version !== 'number' && version !== null) return sent
  const record = recordOf(sent)
  let next = version
  for (const waiting of queue)
    if (waiting.kind === sent.kind && recordOf(waiting) === record && versionOf(waiting) === next)
      next = (next ?? 0) + 1
  return next === version ? sent : { ...sent, body: { ...sent.body, version: next } }
}
