import { colourDistance } from '../colour/index.ts'
import type { Appearance } from './appearance.ts'
import { MOVEMENTS, SILHOUETTES, TRIGGER_LOOKS } from './looks.ts'
import { plain } from './matchAspect.ts'
import type { MatchAspect } from './matchAspect.ts'
import type { Behaviour, MatchPlace } from './reach.ts'
import { TRIGGER_KEYS } from '../dressing/index.ts'

/** What a stage looks like and how it moves. */
export interface StageLooks {
  readonly silhouette: string
  readonly movements: readonly string[]
  readonly triggers: readonly string[]
  readonly colours: readonly { readonly hexWet: string }[]
}

/** A fly need not be nearer than this to pass for the right size. */
const SIZE_TOLERANCE = 1.15
/** A fly may be so much stouter or slimmer than the natural before the outline is another. */
const BULK_TOLERANCE = { stouter: 1.8, slimmer: 2 }
const NEAR_COLOUR = 0.12
const FAR_COLOUR = 0.4

/** Whether it has the length of the natural in this month. */
export function sizeAspect({ bodyLengthMm: found }: Appearance, place: MatchPlace): MatchAspect {
  const [wantedLow, wantedHigh] = [place.lengthMmLow, place.lengthMmHigh]
  const base = { aspect: 'size' as const, found, wantedLow, wantedHigh, names: [] }
  if (found > wantedHigh * SIZE_TOLERANCE) {
    return { ...base, code: 'tooLarge', score: Math.max(0, 1 - 1.6 * Math.log(found / wantedHigh)) }
  }
  if (found < wantedLow / SIZE_TOLERANCE) {
    return { ...base, code: 'tooSmall', score: Math.max(0, 1 - 1.6 * Math.log(wantedLow / found)) }
  }
  return { ...base, code: 'sizeRight', score: 1 }
}

/** Whether it is as stout or slim as the natural. */
export function outlineAspect({ slenderness: found }: Appearance, looks: StageLooks): MatchAspect {
  const silhouette = SILHOUETTES.find(({ key }) => key === looks.silhouette)
  if (!silhouette) return plain('outline', 'notKnown', 0.6)
  const wanted = silhouette.slenderness
  const [wantedLow, wantedHigh] = [wanted / BULK_TOLERANCE.stouter, wanted * BULK_TOLERANCE.slimmer]
  const base = { aspect: 'outline' as const, found, wantedLow, wantedHigh, names: [silhouette.name] }
  if (found < wantedLow) {
    return { ...base, code: 'tooBulky', score: Math.max(0.1, 1 - Math.log(wantedLow / found)) }
  }
  if (found > wantedHigh) {
    return { ...base, code: 'tooThin', score: Math.max(0.1, 1 - Math.log(found / wantedHigh)) }
  }
  return { ...base, code: 'outlineRight', score: 1 }
}

/** How near its wet colour is to one of the natural's, in a perceptual space. */
export function colourAspect({ bodyHexWet }: Appearance, looks: StageLooks): MatchAspect {
  if (!bodyHexWet || looks.colours.length === 0) return plain('colour', 'notKnown', 0.5)
  const found = Math.min(...looks.colours.map(({ hexWet }) => colourDistance(bodyHexWet, hexWet)))
  return {
    aspect: 'colour',
    found,
    wantedLow: 0,
    wantedHigh: NEAR_COLOUR,
    names: [],
    code: found <= NEAR_COLOUR ? 'colourNear' : 'colourFar',
    score: Math.max(0, 1 - found / FAR_COLOUR),
  }
}

/** Movements that only something soft on the fly can make. */
const BY_ITSELF: ReadonlySet<string> = new Set(['undulate', 'wriggle'])
/** Movements that need a fly which stays on top when it is drawn. */
const ON_TOP: ReadonlySet<string> = new Set(['skate', 'flutter', 'rideStill'])
/** Movements that need one which goes down again when the line slackens. */
const UP_AND_DOWN: ReadonlySet<string> = new Set([
  'riseWithPauses',
  'riseFast',
  'swimDown',
  'dart',
  'jet',
  'burst',
])

/** Whether it can be made to move as the natural does. */
export function movementAspect(look: Appearance, behaviour: Behaviour, looks: StageLooks): MatchAspect {
  const able = looks.movements.filter((key) => {
    if (BY_ITSELF.has(key)) return look.soft
    if (ON_TOP.has(key)) return behaviour.kind === 'floats'
    if (UP_AND_DOWN.has(key)) return behaviour.kind === 'sinks'
    return true
  })
  const shownBy = (key: string) => MOVEMENTS.find((movement) => movement.key === key)?.shownBy ?? ''
  const [first] = able
  if (first === undefined) {
    const stiff = looks.movements.some((key) => BY_ITSELF.has(key)) && !look.soft
    return plain('movement', stiff ? 'tooStiff' : 'cannotRise', 0.4, looks.movements)
  }
  if (BY_ITSELF.has(first)) return plain('movement', 'movesByItself', 1)
  return plain('movement', 'movesAsFished', first === looks.movements[0] ? 1 : 0.85, [shownBy(first)])
}

/** How many of the things that fish go by it shows; the first named of a stage count most. */
export function triggersAspect({ shows }: Appearance, looks: StageLooks): MatchAspect | null {
  const asked = TRIGGER_KEYS.filter((key) => looks.triggers.includes(key)).sort(
    (a, b) => looks.triggers.indexOf(a) - looks.triggers.indexOf(b),
  )
  if (asked.length === 0) return null
  const weightOf = (key: string) => 1 / (1 + looks.triggers.indexOf(key))
  const sum = (keys: readonly string[]) => keys.reduce((total, key) => total + weightOf(key), 0)
  const shown = asked.filter((key) => shows.includes(key))
  const lacking = asked.filter((key) => !shows.includes(key))
  const nameOf = (key: string) => TRIGGER_LOOKS.find((look) => look.key === key)?.name ?? key
  return lacking.length === 0
    ? plain('triggers', 'showsTriggers', 1, shown.map(nameOf))
    : plain('triggers', 'lacksTriggers', 0.4 + 0.6 * (sum(shown) / sum(asked)), lacking.map(nameOf))
}

/** Whether it draws the eye from afar, whatever it stands for. */
export const brightnessAspect = ({ bright }: Appearance): MatchAspect =>
  bright ? plain('brightness', 'showsUp', 1) : plain('brightness', 'drab', 0.3)
