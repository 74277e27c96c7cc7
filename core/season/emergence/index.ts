export { dayOfMonthDay, isDated } from './trigger.ts'
export type { DatedTrigger, Trigger } from './trigger.ts'
export { AS_USUAL, onsetDay } from './onset.ts'
export type { Deviation, Year } from './onset.ts'
export { chanceOn, chanceOnDayOfYear, firstDayOf, lastDayOf, peakDayOf, shareBefore } from './window.ts'
export type { EmergenceWindow, Quantiles } from './window.ts'
export { emergenceWindows, yearAsItWas } from './emergenceWindows.ts'
export type {
  DatedBrood,
  ReachWindows,
  SeasonInput,
  SeasonProgress,
  SimulatedReach,
} from './emergenceWindows.ts'
export { towardsStart } from './progress.ts'
export type { TowardsStart } from './progress.ts'
export { learnedWindow, learnShift } from './learn.ts'
export type { Learned, Note } from './learn.ts'
export { learnedBroods } from './notes.ts'
export type { LearnedBrood, SeenNote, WatchedReach } from './notes.ts'
export { leaveOneOut } from './leaveOneOut.ts'
export type { Backtest } from './leaveOneOut.ts'
