/** Bytes of a file as people say it: `850 kB`, `3.5 MB`. */
export const fileSize = (bytes: number): string =>
  bytes < 1e6 ? `${Math.max(Math.round(bytes / 1000), 1)} kB` : `${(bytes / 1e6).toFixed(1)} MB`

/** What a copy is for. */
export type CopyReason = 'daily' | 'upgrade' | 'restore' | 'asked'

const REASONS: Readonly<Record<CopyReason, string>> = {
  daily: 'of the day',
  upgrade: 'before an update',
  restore: 'before a copy was put back',
  asked: 'asked for',
}

/** Why a copy was made. */
export const copyReason = (reason: CopyReason): string => REASONS[reason]

/** What putting a copy back would take away. */
export const lostSentence = (count: number): string =>
  count === 0
    ? 'Nothing was done since: it says what there is now.'
    : `${count === 1 ? 'One thing' : `${count} things`} done since would be gone from what you see, and kept in a copy beside it.`

/** How old a copy is, in whole days: `today`, `yesterday`, `9 days ago`. */
export const copyAge = (days: number): string =>
  days <= 0 ? 'today' : days === 1 ? 'yesterday' : `${days} days ago`
