/** Events at the vise that count flies; steps and pauses say where the work stands. */
export const COUNTED: ReadonlySet<string> = new Set(['done', 'spoiled', 'station'])
