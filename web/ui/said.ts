/** What a field for a number says; `unclear` while what stands there is no such number. */
export type Said = number | 'unclear'

/** The number that a field says; null while it is not understood, or says none. */
export const numberIn = (said: Said | null): number | null => (said === 'unclear' ? null : said)
