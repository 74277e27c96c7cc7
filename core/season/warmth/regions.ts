/** Where a new water may begin from: the coldest and warmest month of its water, °C, and where on the earth it lies. */
export interface Region {
  readonly key: 'valley' | 'coolValley' | 'coldValley' | 'alpine' | 'southern'
  readonly coldestC: number
  readonly warmestC: number
  readonly latitudeDeg: number
  readonly elevationM: number
}

/** Regions by judgement: a start, until the thermometer is read. */
export const REGIONS: readonly Region[] = [
  { key: 'valley', coldestC: 3, warmestC: 16, latitudeDeg: 54, elevationM: 120 },
  { key: 'coolValley', coldestC: 1.5, warmestC: 14, latitudeDeg: 56, elevationM: 200 },
  { key: 'coldValley', coldestC: 0.5, warmestC: 12, latitudeDeg: 62, elevationM: 250 },
  { key: 'alpine', coldestC: 0.5, warmestC: 10, latitudeDeg: 46.5, elevationM: 1300 },
  { key: 'southern', coldestC: 5, warmestC: 17, latitudeDeg: -42, elevationM: 300 },
]
