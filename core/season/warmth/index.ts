export { amplitudeC, curveC, curveSdOn, peakDay, usualModel } from './seasonalModel.ts'
export type { SeasonalModel } from './seasonalModel.ts'
export { fitSeasonal, sharedSdC } from './fitSeasonal.ts'
export type { DayReading } from './fitSeasonal.ts'
export { borrowSeasonal, yearAtHeight } from './borrow.ts'
export type { Lender } from './borrow.ts'
export { forecastC, trendCPerDay, waterAtC } from './forecast.ts'
export type { KnownWarmth } from './forecast.ts'
export {
  aboveDayMeanC,
  dayMeanOf,
  fitSwing,
  isReadThrough,
  swingShape,
  usualSwing,
  WARMEST_MIN,
} from './dailySwing.ts'
export type { DailySwing, DaySum, SwingPlace } from './dailySwing.ts'
export { layersOf, tempAtDepthC } from './stillwater.ts'
export type { Layers, SurfaceSeason } from './stillwater.ts'
export { curveRow, simulateYear } from './simulate.ts'
export { modelsOf } from './modelsOf.ts'
export type { ReadReach } from './modelsOf.ts'
export { REGIONS } from './regions.ts'
export type { Region } from './regions.ts'
export { yearBetween } from './yearBetween.ts'
