import type { WaterChange, WaterId } from '../../../contract/index.ts'
import type { Saved } from '../../ui/useTyped.ts'
import { refusalOf } from '../../wire/refusal.ts'
import { useCommand } from '../../wire/useCommand.ts'

/** Saves what is changed of a water, field by field. */
export function useWaterSave(waterId: WaterId): {
  /** a refusal stands in the tray */
  readonly save: (change: WaterChange) => void
  /** a refusal is answered, to be said at the field that it came from */
  readonly saveTyped: (change: WaterChange) => Saved
} {
  const command = useCommand()
  return {
    save: (change) => void command('waterSave', { waterId, change }),
    saveTyped: (change) => command('waterSave', { waterId, change }, { quietly: true }).then(refusalOf),
  }
}
