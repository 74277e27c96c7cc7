import type { School } from '../match/index.ts'

/** What a fish did with a fly that it did not keep. */
export const REFUSALS = [
  'ignored',
  'turned',
  'nosed',
  'splashedShort',
  'followed',
  'cameOff',
  'dragged',
  'spooked',
] as const
export type Refusal = (typeof REFUSALS)[number]

/** What each step changes: one thing, or nothing but time and place. */
export const STEPS = {
  /** too few clean drifts to be a verdict */
  showAgain: 'nothing',
  mend: 'presentation',
  /** cast from where no line falls over the fish, and the current is even */
  position: 'presentation',
  deeper: 'presentation',
  letItFall: 'presentation',
  pause: 'presentation',
  strikeLater: 'presentation',
  finerTippet: 'rig',
  heavier: 'fly',
  /** the same fly trimmed: under the hackle, or its tuft, by a step */
  cutLower: 'fly',
  emerger: 'fly',
  stage: 'fly',
  smaller: 'fly',
  colour: 'fly',
  /** the same fly, its point tried on a nail */
  hookPoint: 'fly',
  widerGape: 'fly',
  /** let it be for ten minutes, out of its sight */
  rest: 'nothing',
  leave: 'nothing',
} as const
export type Step = keyof typeof STEPS

/** A fish that is being tried. */
export interface Trial {
  readonly where: 'onTop' | 'under'
  /** drifts or retrieves past it without drag since the last change */
  readonly cleanDrifts: number
  /** steps that it was shown already */
  readonly tried: ReadonlySet<Step>
  /** whether the box as it is packed has it, and the water's note allows it */
  readonly can: (step: Step) => boolean
}

/** So many clean drifts are a fair trial. */
export const FAIR_DRIFTS = { onTop: 5, under: 8 }

/** Which comes first of what is changed on a fly that was looked at, by what a tier holds to matter most. */
const LOOKED_AT: Readonly<Record<School, readonly Step[]>> = {
  sizeAndStage: ['cutLower', 'emerger', 'smaller', 'stage', 'finerTippet', 'colour'],
  exact: ['cutLower', 'emerger', 'colour', 'smaller', 'stage', 'finerTippet'],
  bright: ['cutLower', 'colour', 'emerger', 'smaller', 'stage', 'finerTippet'],
  presentation: ['finerTippet', 'cutLower', 'emerger', 'smaller', 'stage', 'colour'],
}
const IGNORED: Readonly<Record<School, readonly Step[]>> = {
  sizeAndStage: ['position', 'stage', 'smaller', 'colour', 'finerTippet'],
  exact: ['position', 'stage', 'colour', 'smaller', 'finerTippet'],
  bright: ['position', 'colour', 'stage', 'smaller', 'finerTippet'],
  presentation: ['position', 'finerTippet', 'stage', 'smaller', 'colour'],
}
/** Below the surface depth and weight come before any pattern, whatever one holds. */
const BEFORE_PATTERN: readonly Step[] = ['deeper', 'heavier', 'finerTippet', 'letItFall']
const COLOUR_FIRST: readonly Step[] = ['colour', 'stage', 'smaller']
const SIZE_FIRST: readonly Step[] = ['stage', 'smaller', 'colour']

function ignoredUnder(school: School): readonly Step[] {
  return [...BEFORE_PATTERN, ...(school === 'bright' || school === 'exact' ? COLOUR_FIRST : SIZE_FIRST)]
}

/** What a sunk fly that was looked at or followed is changed in: how it moves, then what it is. */
const FOLLOWED: readonly Step[] = ['pause', 'letItFall', 'smaller', 'finerTippet', 'colour', 'stage']

/** What is changed for a refusal, in the order of a school, as far as the box and the note can. */
export function ladderOf(refusal: Refusal, where: Trial['where'], school: School): readonly Step[] {
  switch (refusal) {
    case 'spooked':
      return ['rest']
    case 'dragged':
      return ['mend', 'position', 'finerTippet']
    case 'cameOff':
      return ['hookPoint', 'widerGape', 'strikeLater']
    case 'followed':
      return FOLLOWED
    case 'turned':
    case 'nosed':
    case 'splashedShort':
      return where === 'onTop' ? LOOKED_AT[school] : FOLLOWED
    case 'ignored':
      return where === 'onTop' ? IGNORED[school] : ignoredUnder(school)
  }
}

/**
 * The next single thing to change for a fish that refused, by its school; nothing that was tried, nothing that the box lacks or
 * the note forbids, and at last to leave this fish. A fly that was ignored on few drifts is shown again first: that is no
 * verdict yet, and neither is one that dragged, which asks for no other fly.
 */
export function nextStep(refusal: Refusal, trial: Trial, school: School): Step {
  const { where, cleanDrifts, tried, can } = trial
  if (refusal === 'ignored' && cleanDrifts < FAIR_DRIFTS[where]) return 'showAgain'
  return ladderOf(refusal, where, school).find((step) => !tried.has(step) && can(step)) ?? 'leave'
}
