/** An instant as a tier reads it: `Thu 4 June 2026, 19:40`. */
export const instantName = (atMs: number, timeZone: string): string =>
  new Date(atMs).toLocaleString('en-GB', {
    timeZone,
    weekday: 'short',
    day: 'numeric',
    month: 'long',
    year: 'numeric',
    hour: '2-digit',
    minute: '2-digit',
  })
