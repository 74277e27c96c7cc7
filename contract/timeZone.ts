import { written } from './limited.ts'

/** The zone where a machine's own is not known. */
export const FALLBACK_ZONE = 'UTC'

/** Whether a name is one of an IANA time zone that this machine knows; offsets such as +02:00 are none. */
export function isTimeZone(name: string): boolean {
  const known = asked.get(name)
  if (known !== undefined) return known
  const is = /^[A-Za-z]/.test(name) && formats(name)
  asked.set(name, is)
  return is
}
const asked = new Map<string, boolean>()

function formats(name: string): boolean {
  try {
    return new Intl.DateTimeFormat('en', { timeZone: name }).resolvedOptions().timeZone !== ''
  } catch {
    return false
  }
}

/** The zone itself, or the fallback where this machine does not know it (any more). */
export const usableZone = (name: string): string => (isTimeZone(name) ? name : FALLBACK_ZONE)

/** Name of an IANA time zone, as Europe/Vienna. */
export const timeZone = written('zone').refine(
  isTimeZone,
  'No such time zone. Write one as Europe/Vienna or UTC.',
)
