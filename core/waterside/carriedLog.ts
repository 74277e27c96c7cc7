import type { Event } from './log.ts'

/** Whose log it is. */
export interface LogOf {
  /** of the database that the page was made from */
  readonly dataId: string
  readonly outingId: string
}

/** What became of a log on its way home. */
export type ReadLog =
  /** it is none, or of something else: nothing can be made of it */
  | { readonly kind: 'none' }
  | (LogOf & {
      readonly kind: 'log'
      /** what stands in its lines, not looked at yet */
      readonly taps: readonly unknown[]
      /** taps that it had when it left the phone and has no more; null where its end is missing, so that nobody knows */
      readonly missing: number | null
      /** lines that nobody can read */
      readonly unread: number
      /** it is not as it left the phone */
      readonly isChanged: boolean
    })

const NAME = 'heavy-thistle log 1'
const END = 'end'

/** FNV-1a over the UTF-16 units of a text, as eight hex digits: it tells a slip from what was sent, and no more than that. */
function sumOf(text: string): string {
  let hash = 0x811c9dc5
  for (let i = 0; i < text.length; i += 1) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193)
  return (hash >>> 0).toString(16).padStart(8, '0')
}

/** A log as text: whose it is, a tap a line, and at the end how many and a sum over them, so that one cut short is known. */
export function writeLog({ dataId, outingId }: LogOf, taps: readonly Event[]): string {
  const lines = taps.map((tap) => JSON.stringify(tap))
  return [
    `${NAME} ${dataId} ${outingId}`,
    ...lines,
    `${END} ${taps.length} ${sumOf(lines.join('\n'))}`,
    '',
  ].join('\n')
}

function parsed(line: string): { readonly tap: unknown } | null {
  try {
    return { tap: JSON.parse(line) }
  } catch {
    return null
  }
}

/** Reads a log, whole, cut short or changed by a hand or a mail program: each line that is whole is still worth something. */
export function readLog(text: string): ReadLog {
  const lines = text
    .split(/\r?\n/)
    .map((line) => line.trim())
    .filter((line) => line !== '')
  const head = lines.findIndex((line) => line.startsWith(`${NAME} `))
  const [dataId, outingId] = lines[head]?.slice(NAME.length + 1).split(' ') ?? []
  if (!dataId || !outingId) return { kind: 'none' }
  const end = lines.findIndex((line, i) => i > head && line.startsWith(`${END} `))
  const body = lines.slice(head + 1, end < 0 ? undefined : end)
  const [count, sum] = lines[end]?.slice(END.length + 1).split(' ') ?? []
  const taps = body.flatMap((line) => parsed(line) ?? [])
  return {
    ...{ kind: 'log', dataId, outingId },
    taps: taps.map(({ tap }) => tap),
    missing: count === undefined ? null : Math.max(Number(count) - taps.length, 0),
    unread: body.length - taps.length,
    isChanged: sum !== sumOf(body.join('\n')),
  }
}
