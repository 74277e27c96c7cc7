import type { Posture } from '../float/index.ts'
import type { Behaviour } from './behaviour.ts'
import type { Technique } from './techniques.ts'

/** What a technique makes of a fly: where the line lets it go, and what keeps it there. */
export type Shown =
  /** rides as it floats */
  | { readonly kind: 'onTop'; readonly posture: Posture }
  /** falls as far as the drift or the wait lets it; what holds it keeps it at any depth that it has come to */
  | { readonly kind: 'falls'; readonly sinkSpeedMmPerS: number; readonly held: boolean }
  /** is drawn or swung through the top half metre whatever it weighs, unless it is too heavy for that */
  | { readonly kind: 'swings'; readonly sinkSpeedMmPerS: number }
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
  switch (technique) {
    case 'dry':
      return null
    case 'dryWithDropper':
      return sinkSpeedMmPerS <= MOST_UNDER_A_DRY ? { kind: 'falls', sinkSpeedMmPerS, held: true } : null
    case 'swungWets':
    case 'driftTeam':
      return { kind: 'swings', sinkSpeedMmPerS }
    case 'buoyantOnSinkingLine':
      return sinkSpeedMmPerS <= MOST_TO_HOVER
        ? { kind: 'hovers' }
        : { kind: 'falls', sinkSpeedMmPerS, held: false }
    default:
      return { kind: 'falls', sinkSpeedMmPerS, held: technique !== null && HOLDS.has(technique) }
  }
}
