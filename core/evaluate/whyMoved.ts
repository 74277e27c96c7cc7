import { is, KINDS } from '../dressing/index.ts'
import type { Fly } from '../dressing/index.ts'

/** What the last version reckons otherwise than the one before it, where a figure of a fly may show it. */
export const MOVE_CAUSES = ['film', 'pile', 'strip', 'layers', 'hair', 'finger', 'bead', 'body'] as const
export type MoveCause = (typeof MOVE_CAUSES)[number]

/** Why a fly may have moved with the last version: what of its dressing is reckoned otherwise now, what tells most first. */
export function whyMoved({ components, hook }: Fly): readonly MoveCause[] {
  const some = (holds: (component: Fly['components'][number]) => boolean) => components.some(holds)
  const goods = (...kinds: readonly string[]) => some(({ material }) => kinds.includes(material.family.kind))
  const isPile = ({ material }: Fly['components'][number]) => material.family.massModel === 'pile'
  const trails = ({ kind }: Fly['components'][number]) => KINDS[kind].drawn.reaches.includes('behind')
  const holds: Readonly<Record<MoveCause, boolean>> = {
    film: goods('hackle', 'cdc', 'foam', 'hair') || some(({ treatment }) => treatment === 'floatant'),
    pile: some((component) => isPile(component) && !trails(component)),
    strip: goods('strip'),
    layers: some(({ kind, layers = 1 }) => is(kind, 'hidden') && layers > 1),
    hair: goods('dubbing'),
    finger: some((component) => isPile(component) && trails(component)),
    bead: hook.style.neckDeg > 0 && some(({ material }) => material.family.boring === 'slotted'),
    body: true,
  }
  return MOVE_CAUSES.filter((cause) => holds[cause])
}
