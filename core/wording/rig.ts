import type { DisplayUnits } from '../quantity/index.ts'
import type { FishesUnder } from '../rig/index.ts'
import { fineDepth as depth, mass, speed } from './figures.ts'

/** Where a fly fishes under its float, in sentences: `Set at 1.2 m it drifts 0.99 m down, likely 0.97–1.02 m, …`. */
export function underFloatSentences(
  { drifted, band, onBed, mayTouch, toSetMm }: FishesUnder,
  {
    setMm,
    overBedMm,
    surfaceMmPerS,
  }: { readonly setMm: number; readonly overBedMm: number; readonly surfaceMmPerS: number },
  units: DisplayUnits,
): readonly string[] {
  const { depthMm, lagMm, speedMmPerS, loadMg, holds } = drifted
  const behind = lagMm > 20 ? `, ${depth(lagMm, units)} behind its float` : ''
  const drifts = onBed
    ? `Set at ${depth(setMm, units)} it drags along the bed.`
    : `Set at ${depth(setMm, units)} it drifts ${depth(depthMm, units)} down, likely ${depth(band.lowMm, units)} to ${depth(band.highMm, units)}${behind}${mayTouch ? ', and may touch the bed' : ''}.`
  const pace =
    surfaceMmPerS > 0
      ? [`The float goes ${speed(speedMmPerS, units)} where the surface goes ${speed(surfaceMmPerS, units)}.`]
      : []
  const bears = holds
    ? [`It bears ${mass(loadMg, units)}.`]
    : [`It is drawn under: ${mass(loadMg, units)} hang from it.`]
  const above = depth(overBedMm, units)
  const toSet =
    toSetMm === null
      ? `No leader brings it to ${above} above the bed here.`
      : `For ${above} above the bed set ${depth(toSetMm, units)}.`
  return [drifts, ...pace, ...bears, toSet]
}
