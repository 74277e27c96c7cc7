import { describe, expect, it } from 'vitest'
import { lineDrag, linePull } from '../sink/index.ts'
import { waterAt } from '../water/index.ts'
import { quickPull } from './quickLine.ts'

const LINES = [
  { name: 'thin and light', diameterMm: 0.1, densityMgPerMm3: 1.14, lengthMm: 3000, curlDeg: 0 },
  { name: 'curled', diameterMm: 0.15, densityMgPerMm3: 1.14, lengthMm: 2000, curlDeg: 20 },
  { name: 'so dense that it pulls down when slow', diameterMm: 0.2, densityMgPerMm3: 1.78, lengthMm: 2500, curlDeg: 10 },
] // prettier-ignore
const SPEEDS = [1, 1.7, 13, 47.3, 111, 304.9, 777, 1500, 3999]

describe('the pull of a line, tabulated', () => {
  it.each(LINES)('is that of the line itself: $name', (line) => {
    for (const waterTempC of [2, 9, 18]) {
      const water = waterAt(waterTempC)
      for (const lengthMm of [40, 900, line.lengthMm]) {
        const quick = quickPull(line, lengthMm, water)
        const off = SPEEDS.map(
          (speed) =>
            (quick(Math.log(speed)) - linePull(line, lengthMm, speed, water)) /
            lineDrag(line, lengthMm, speed, water),
        )
        expect(Math.max(...off.map(Math.abs))).toBeLessThan(1e-4)
      }
    }
  })
})
