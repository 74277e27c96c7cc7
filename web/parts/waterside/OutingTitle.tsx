import type { AlongView } from '../../../contract/index.ts'
import { Quiet } from '../../ui/layout.tsx'
import { clockTime, dateName } from '../../words/words.ts'

/** Where an outing goes, and when. */
export function OutingTitle({ outing }: Pick<AlongView, 'outing'>) {
  return (
    <h1>
      {outing.reachName ?? outing.waterName}{' '}
      <Quiet>
        {dateName(outing.on)}, {clockTime(outing.fromLocalMin)}–{clockTime(outing.toLocalMin)}
      </Quiet>
    </h1>
  )
}
