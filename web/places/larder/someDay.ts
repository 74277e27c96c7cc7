/** Before there is a water, and with it a moment. */
export const SOME_DAY = '2026-06-01'
