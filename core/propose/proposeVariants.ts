import { billOfMaterials, nightsToDry } from '../bench/index.ts'
import type { BillLine } from '../bench/index.ts'
import { calibrationFor } from '../calibrate/index.ts'
import type { Measured } from '../calibrate/index.ts'
import { resolveDressing } from '../dressing/index.ts'
import type { Dressing, Variant } from '../dressing/index.ts'
import { behaviourOf, evaluateFly, LIST_CONDITIONS, USUAL_TIPPET } from '../evaluate/index.ts'
import type { Material } from '../material/index.ts'
import { appearanceOf } from '../match/index.ts'
import type { Appearance } from '../match/index.ts'
import type { Behaviour } from '../technique/index.ts'
import { allowedVariants } from './allowedVariants.ts'
import type { AllowedVariant } from './allowedVariants.ts'

export interface ProposeInput {
  readonly patterns: readonly {
    readonly key: string
    readonly dressing: Dressing
    readonly variants: readonly (Variant & { readonly key: string })[]
  }[]
  /** all goods that recipes may name */
  readonly drawers: readonly Material[]
  readonly measured: Measured
}

/** A variant that could be made, with what matching and planning need of it. */
export interface ProposedVariant extends AllowedVariant {
  readonly patternKey: string
  readonly behaviour: Behaviour
  readonly look: Appearance
  readonly bill: readonly BillLine[]
  readonly nightsToDry: number
}

/** Works out every variant that the patterns allow and that can be tied as it stands. Yields the share that is done. */
export function* proposeVariants({
  patterns,
  drawers,
  measured,
}: ProposeInput): Generator<{ readonly done: number }, readonly ProposedVariant[]> {
  const materials = new Map(drawers.map((drawer) => [drawer.id, drawer]))
  const proposed: ProposedVariant[] = []
  for (const [nth, { key: patternKey, dressing, variants }] of patterns.entries()) {
    for (const allowed of allowedVariants(dressing, variants, drawers)) {
      const fly = resolveDressing(dressing, allowed, materials)
      if (fly.kind !== 'fly') continue
      const report = evaluateFly(
        fly,
        { ...LIST_CONDITIONS, tippet: USUAL_TIPPET },
        calibrationFor(fly, '', measured),
      )
      if (report.kind === 'doesNotFit') continue
      proposed.push({
        ...allowed,
        patternKey,
        behaviour: behaviourOf(report),
        look: appearanceOf(fly),
        bill: billOfMaterials(fly),
        nightsToDry: nightsToDry(fly.components),
      })
      yield { done: nth / patterns.length }
    }
  }
  return proposed
}
