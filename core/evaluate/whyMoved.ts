import { KINDS } from '../dressing/index.ts'
import type { Fly, FlyComponent } from '../dressing/index.ts'

/** What the last version reckons otherwise than the one before it, where a figure of a fly may show it. */
export const MOVE_CAUSES = ['overlap'] as const
export type MoveCause = (typeof MOVE_CAUSES)[number]

/** Whether one lies over a part of another only, as a collar does over the front of a body. */
const overlapsInPart = (over: FlyComponent, under: FlyComponent) =>
  KINDS[under.kind].layer !== 'head' &&
  under.outerMm > under.coreMm &&
  over.fromMm < under.toMm &&
  under.fromMm < over.toMm &&
  (over.fromMm < under.fromMm || over.toMm > under.toMm)

/** Why a fly may have moved with the last version: what of its dressing is reckoned otherwise now, what tells most first. */
export function whyMoved({ components }: Fly): readonly MoveCause[] {
  const overlap = components.some((over, i) =>
    components.slice(0, i).some((under) => overlapsInPart(over, under)),
  )
  return MOVE_CAUSES.filter(() => overlap)
}
