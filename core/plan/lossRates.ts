import type { DepthBand } from '../season/index.ts'
import type { ComingOuting, PlanInputs, TieableVariant } from './inputs.ts'
import { classFactor, learnedLossRate, priorLossRate, usualLosses } from './losses.ts'
import type { ClassRecord, LossClass } from './losses.ts'

const LOSS_CLASS: Readonly<Record<DepthBand, LossClass>> = {
  bottom: 'bottom',
  midWater: 'midWater',
  topHalfMetre: 'midWater',
  inFilm: 'surface',
  onFilm: 'surface',
}

/** From this speed on a fly is fished near the bottom, mm/s with its line. */
const BOTTOM_MM_PER_S = 120

/** How a fly is mostly fished, by what it does in the water; null where nobody knows. */
function classOf({ behaviour }: TieableVariant): LossClass | null {
  switch (behaviour.kind) {
    case 'floats':
      return 'surface'
    case 'sinks':
      return behaviour.sinkSpeedMmPerS >= BOTTOM_MM_PER_S ? 'bottom' : 'midWater'
    case 'unknown':
      return null
  }
}

/**
 * What a variant adds to the record of its class. Of hours that nobody noted each is credited with a good share, since it
 * may have been the one that was fished; all of them together were not fished longer than that, and share them evenly.
 */
function recordOf(variant: TieableVariant, lossClass: LossClass, inputs: PlanInputs): ClassRecord {
  const { variants, snagginessFished, unnoted } = inputs
  const hours = Math.max(variant.hoursFished - unnoted.each, 0) + unnoted.hours / variants.length
  return { lost: variant.lost, expected: hours * usualLosses(lossClass, snagginessFished) }
}

/** What was lost of each class, by the snagginess of the waters that were fished. */
function recordsOf(inputs: PlanInputs): ReadonlyMap<LossClass, ClassRecord> {
  const records = new Map<LossClass, ClassRecord>()
  for (const variant of inputs.variants) {
    const lossClass = classOf(variant)
    if (lossClass === null) continue
    const { lost, expected } = records.get(lossClass) ?? { lost: 0, expected: 0 }
    const own = recordOf(variant, lossClass, inputs)
    records.set(lossClass, { lost: lost + own.lost, expected: expected + own.expected })
  }
  return records
}

/**
 * How often a variant is lost where it fishes for a band: its own losses on top of a prior that has learned from those of
 * all others of its class.
 */
export function lossRates(inputs: PlanInputs) {
  const records = recordsOf(inputs)
  const none = { lost: 0, expected: 0 }
  const prior = (band: DepthBand, { snagginess, techniques }: ComingOuting, without: ClassRecord) => {
    const { lost, expected } = records.get(LOSS_CLASS[band]) ?? none
    const factor = classFactor({
      lost: Math.max(lost - without.lost, 0),
      expected: Math.max(expected - without.expected, 0),
    })
    return priorLossRate(LOSS_CLASS[band], {
      snagginess,
      technique: techniques[0] ?? null,
      factor,
    })
  }
  return {
    ofNew: (band: DepthBand, outing: ComingOuting) => prior(band, outing, none),
    of: (variant: TieableVariant, band: DepthBand, outing: ComingOuting) => {
      const { lost, hoursFished } = variant
      const own = LOSS_CLASS[band] === classOf(variant) ? recordOf(variant, LOSS_CLASS[band], inputs) : none
      return learnedLossRate(prior(band, outing, own), lost, hoursFished)
    },
  }
}
