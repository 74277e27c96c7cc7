import type { Posture } from '../float/index.ts'
import type { UsualRig } from '../rig/index.ts'
import type { Behaviour, Sinks } from './behaviour.ts'
import type { Technique } from './techniques.ts'

/** What a technique makes of a fly: where the line lets it go, and what keeps it there. */
export type Shown =
  /** rides as it floats */
  | { readonly kind: 'onTop'; readonly posture: Posture }
  /**
   * falls as far as its rig, the drift and the wait let it; what holds it keeps it at any depth that it has come to; without
   * a rig it falls free, its line trailing
   */
  | { readonly kind: 'falls'; readonly fly: Sinks; readonly held: boolean; readonly rig: UsualRig | null }
  /** is drawn or swung through the top half metre whatever it weighs, unless it is too heavy for that */
  | { readonly kind: 'swings'; readonly fly: Sinks; readonly rig: 'swung' }
  /** lifts off the bottom on a short leader under a line that lies there */
  | { readonly kind: 'hovers' }
  | { readonly kind: 'unknown' }

/** Lines that are tight from rod or float to fly hold it where it has come to. */
const HOLDS: ReadonlySet<Technique> = new Set([
  'tightLineNymph', 'indicatorNymph', 'staticIndicator', 'slowRetrieve', 'streamer', 'dryWithDropper',
]) // prettier-ignore
/** A floating fly is fished for itself by these. */
const FLOATS: ReadonlySet<Technique> = new Set([
  'dry',
  'dryWithDropper',
  'driftTeam',
  'streamer',
  'slowRetrieve',
])
/** Above this, mm/s, no dry carries a fly, and none hovers over weed. Judgement. */
const MOST_UNDER_A_DRY = 150
const MOST_TO_HOVER = 15

/**
 * What a technique makes of the depth of a fly; null where it cannot be fished so: a dry has no place on a tight line,
 * nor a nymph on a dry-fly leader. Without a technique it drifts free.
 */
export function fallFor(technique: Technique | null, behaviour: Behaviour): Shown | null {
  if (behaviour.kind === 'unknown') return behaviour
  if (behaviour.kind === 'floats') {
    if (technique === 'buoyantOnSinkingLine') return { kind: 'hovers' }
    // under an indicator or a swung line a fly that will not sink is of no use
    return technique === null || FLOATS.has(technique) ? { kind: 'onTop', posture: behaviour.posture } : null
  }
  const { sinkSpeedMmPerS } = behaviour
  const falls = (rig: UsualRig | null): Shown => ({
    kind: 'falls',
    fly: behaviour,
    held: technique !== null && HOLDS.has(technique),
    rig,
  })
  switch (technique) {
    case 'dry':
      return null
    case 'dryWithDropper':
      return sinkSpeedMmPerS <= MOST_UNDER_A_DRY ? falls('underDry') : null
    case 'swungWets':
    case 'driftTeam':
      return { kind: 'swings', fly: behaviour, rig: 'swung' }
    case 'buoyantOnSinkingLine':
      return sinkSpeedMmPerS <= MOST_TO_HOVER ? { kind: 'hovers' } : falls(null)
    case 'tightLineNymph':
      return falls('tight')
    case 'indicatorNymph':
    case 'staticIndicator':
      return falls('float')
    case 'slowRetrieve':
      return falls('counted')
    // cast with slack it falls as if it were free
    default:
      return falls(null)
  }
}
