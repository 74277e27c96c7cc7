import { resolveDressing } from '../dressing/index.ts'
import type { Dressing, Fly, Swap, Variant } from '../dressing/index.ts'
import { countdown, evaluateFly } from '../evaluate/index.ts'
import type { Calibration, Conditions, FlyReport } from '../evaluate/index.ts'
import type { Material } from '../material/index.ts'
import type { Descent } from '../sink/index.ts'

/** A weighting that exists beside the one at hand: the same fly with another bead, or with none. */
export interface Rung {
  readonly bead: Material | null
  readonly swaps: readonly Swap[]
  readonly fly: Fly
  readonly calibration: Calibration
  readonly report: Extract<FlyReport, { kind: 'sinks' }>
  readonly descent: Descent
}

interface Ladder {
  readonly dressing: Dressing
  readonly variant: Variant
  readonly materials: ReadonlyMap<string, Material>
  /** beads to try; null stands for none */
  readonly beads: readonly (Material | null)[]
  readonly conditions: Conditions
  /** what measuring says of each: the fly at hand was weighed, another was not */
  readonly calibrationOf: (fly: Fly, swaps: readonly Swap[]) => Calibration
  readonly toDepthMm: number
}

/** Speed on a trailing line, else free, mm/s. */
const speedOf = ({ report }: Rung) => (report.trailing ?? report.free).sinkSpeedMmPerS.value

/**
 * The rungs of a beaded fly, the slowest first: each bead that fits, with the fall that it gives. Empty for a fly
 * without a bead.
 */
export function rungsOf(ladder: Ladder): readonly Rung[] {
  const { dressing, variant, beads, conditions, calibrationOf, toDepthMm } = ladder
  const key = dressing.components.find(({ kind }) => kind === 'bead')?.key
  if (!key) return []
  const kept = variant.swaps.filter(({ componentKey }) => componentKey !== key)
  return beads
    .flatMap((bead): Rung[] => {
      const swap = bead ? { componentKey: key, materialId: bead.id } : { componentKey: key, omit: true }
      const swaps = [...kept, swap]
      const materials = bead ? new Map(ladder.materials).set(bead.id, bead) : ladder.materials
      const fly = resolveDressing(dressing, { ...variant, swaps }, materials)
      if (fly.kind !== 'fly') return []
      const calibration = calibrationOf(fly, swaps)
      const report = evaluateFly(fly, conditions, calibration)
      if (report.kind !== 'sinks') return []
      return [{ bead, swaps, fly, calibration, report, descent: countdown(report.model, toDepthMm) }]
    })
    .sort((a, b) => speedOf(a) - speedOf(b))
}
