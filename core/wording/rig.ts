import type { DisplayUnits } from '../quantity/index.ts'
import type { FishesTight, FishesUnder, KeptThere } from '../rig/index.ts'
import { cutLength, fineDepth as depth, mass, speed } from './figures.ts'

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

/** Where a fly hangs on a tight line, in sentences: `Led at 54 cm/s it hangs 0.88 m down, likely 0.83 m to 0.93 m. …`. */
export function tightLineSentences(
  { hung, band, mayTouch, finerMm, toLeadMmPerS }: FishesTight,
  { ledMmPerS, overBedMm }: { readonly ledMmPerS: number; readonly overBedMm: number },
  units: DisplayUnits,
): readonly string[] {
  const [depthMm = 0] = hung.fliesMm
  const led = `Led at ${speed(ledMmPerS, units)} it`
  const hangs = hung.onBed
    ? `${led} is on the bed: how hard it drags there is not reckoned.`
    : `${led} hangs ${depth(depthMm, units)} down, likely ${depth(band.lowMm, units)} to ${depth(band.highMm, units)}${mayTouch ? ', and may touch the bed' : ''}.`
  const inWater = `${depth(hung.inWaterMm, units)} of the leader are in the water, and enter it at ${Math.round(hung.surfaceDeg)}°; the rest sags ${cutLength(hung.sagMm, units)}.`
  const finer = finerMm === null ? [] : [`On tippet one X finer it would hang ${depth(finerMm, units)} down.`]
  const above = depth(overBedMm, units)
  const toLead =
    toLeadMmPerS === null
      ? `No pace brings it to ${above} above the bed here.`
      : `For ${above} above the bed lead it at ${speed(toLeadMmPerS, units)}.`
  return [hangs, inWater, ...finer, toLead]
}

/** How long a fly is counted down to a depth: `To 2.00 m count 31.`. */
export function countSentence(
  toWantedS: number | null,
  { wantedMm, bedMm }: { readonly wantedMm: number; readonly bedMm: number },
  units: DisplayUnits,
): string {
  const to = depth(wantedMm, units)
  if (wantedMm >= bedMm) return `${to} is deeper than the water.`
  return toWantedS === null
    ? `A count of sixty does not bring it to ${to}.`
    : `To ${to} count ${Math.round(toWantedS)}.`
}

/** How to keep a fly between two depths: `Count 14, then strip 0.30 m at 30 cm/s, a second's pause after each: between them 21 s of 40.`. */
export function keptSentence(kept: KeptThere | null, units: DisplayUnits): string {
  if (!kept) return 'No count up to a minute keeps it there, however it is retrieved.'
  const { countS, retrieve, inBandS, wholeS } = kept
  const pause = retrieve.pauseS > 0 ? ", a second's pause after each" : ', without a pause'
  return `Count ${Math.round(countS)}, then strip ${depth(retrieve.stripMm, units)} at ${speed(retrieve.mmPerS, units)}${pause}: between the two for ${Math.round(inBandS)} s of ${Math.round(wholeS)}.`
}
