import type { PlanInputs, TieableVariant } from '../../../core/index.ts'
import type { FrameView, LarderView } from '../../../contract/index.ts'
import { toComing, toTieable } from '../../wire/planned.ts'
import type { Planned } from '../../wire/planned.ts'

/**
 * What core makes plans and covers from.
 *
 * @param newcomers variants that are not made yet, and could be
 */
export function planInputs(
  planned: Planned,
  newcomers: readonly TieableVariant[],
  frame: FrameView,
  larder: LarderView,
): PlanInputs {
  const { serviceLevel, school, evenings } = frame.settings
  return {
    today: frame.today,
    serviceLevel,
    school,
    evenings: { ...evenings, differing: planned.evenings },
    stages: larder.stages,
    choices: planned.choices,
    snagginessFished: planned.snagginessFished,
    unnoted: planned.unnoted,
    outings: planned.outings.map(toComing),
    variants: [...planned.variants.map(toTieable), ...newcomers],
    drawers: planned.drawers.map(({ materialId, onHand, leadTimeDays }) => ({
      key: materialId,
      onHand,
      leadTimeDays,
    })),
    places: planned.places.flatMap(({ compartmentId, room }) =>
      room === null ? [] : [{ key: compartmentId, room }],
    ),
  }
}
