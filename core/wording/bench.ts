import type { ComponentKind, Step } from '../dressing/index.ts'
import { componentName } from './names.ts'

const VERB_PHRASES: Readonly<Record<Step['verb'], string>> = {
  bead: 'Slide the bead on',
  start: 'Start the thread',
  wrap: 'Wrap the',
  tieIn: 'Tie in the',
  dub: 'Dub the',
  wind: 'Wind the',
  pullOver: 'Pull over the',
  own: 'A step of your own',
  rib: 'Rib it in open turns',
  coat: 'Coat the body',
  finish: 'Build a small head, whip finish, cut the thread',
}

const COMPLETE: ReadonlySet<Step['verb']> = new Set(['bead', 'start', 'rib', 'coat', 'finish', 'own'])

/** What to do at a step, as said across a table: `Tie in the tail`; of a step of one's own what was written. */
export function stepTitle({ verb, note }: Pick<Step, 'verb' | 'note'>, kind: ComponentKind | null): string {
  if (verb === 'own' && note.trim() !== '') return note.trim()
  const phrase = VERB_PHRASES[verb]
  return COMPLETE.has(verb) || !kind ? phrase : `${phrase} ${componentName[kind]}`
}

const CAUTIONS: Readonly<Record<string, string>> = {
  lead: 'Lead is toxic: wash your hands, keep it off the table you eat at.',
  point: 'Sharp point: mind fingers and pets.',
  eyes: 'Wear eye protection when cutting or casting.',
  solvent: 'Fumes: let fresh air in.',
  flame: 'Catches fire: no naked flame near it.',
  uv: 'Never look into the lamp.',
  sensitiser: 'Uncured liquid can sensitise skin: wear gloves.',
  dust: 'Do not breathe the dust.',
  blade: 'Cut on a board, away from you.',
  latex: 'May provoke a latex allergy.',
  moths: 'Freeze new skins and feathers, store them closed.',
  protectedSpecies: 'Looks like a protected animal: keep the proof of where it came from.',
  plastic: 'Does not rot: take the trimmings home.',
  dissolves: 'Solvents and other soft plastics attack it.',
}

/** What a caution is about, in a word, once it has been said in full. */
const CAUTION_MARKS: Readonly<Record<string, string>> = {
  lead: 'lead', point: 'sharp', eyes: 'eyes', solvent: 'fumes', flame: 'flame', uv: 'lamp', sensitiser: 'gloves', dust: 'dust',
  blade: 'blade', latex: 'latex', moths: 'moths', protectedSpecies: 'keep the proof', plastic: 'plastic', dissolves: 'dissolves',
} // prettier-ignore

/** A caution as a short mark. */
export const cautionMark = (key: string): string => CAUTION_MARKS[key] ?? key

const TIPS_BY_KIND: Readonly<Record<ComponentKind, string | null>> = {
  bead: 'Before the thread: a bead forgotten now goes on no more. A loose one spins; a few turns of thread behind it hold it.',
  tail: 'Usually too long. Measure it against the shank before the first turn.',
  body: 'Usually too much material at once: half of what looks right.',
  thorax: 'Usually lumpy: dub thin, and in two layers rather than one.',
  rib: 'A rib drawn too tight mats the fibres; keep the turns even.',
  wing: 'Look twice which way its tips point, and leave room for the head.',
  hackle: 'Stop short of the eye: crowding it is the commonest fault.',
  collar: 'Two turns are often enough; stop short of the eye.',
  legs: 'Fewer fibres than you think.',
  wire: 'Butt the turns together, clear of the eye, and wrap thread over both ends.',
  coat: 'A thin coat: what runs into the eye has to be cleared before it cures.',
  cone: 'Before the thread, wide end to the rear.',
  eyes: null, sheet: null, thread: null, shuck: null, gills: null, post: null, wingCase: null, back: null, strip: null,
  foam: null, hotSpot: null, egg: null, head: null,
} // prettier-ignore

/** How long what goes on at a step has to dry before the water; null where it is dry within the evening. */
export function dryingTip(nights: number): string | null {
  if (nights <= 0) return null
  return nights === 1
    ? 'It has to dry overnight before it is fished.'
    : `A coat an evening: ${nights} nights until it is dry enough to fish.`
}

/** What usually goes wrong at a step; null where nothing does. */
export function stepTip(verb: Step['verb'], kind: ComponentKind | null): string | null {
  if (verb === 'start') return 'If it snaps, the thread is too fine for the tension, or nicked by the point.'
  if (verb === 'finish') return 'Keep clear of the eye, and try it with a bit of tippet.'
  return kind ? TIPS_BY_KIND[kind] : null
}

/** Why a fly is spoiled, as tiers name it. */
export const SPOILED_CAUSES = [
  'thread snapped', 'too much material', 'lumpy body', 'eye crowded', 'tail too long', 'wing wrong way', 'rib matted it',
  'no bead on it',
] as const // prettier-ignore

/** A caution in full, once at the step it concerns. */
export const caution = (key: string): string => CAUTIONS[key] ?? key
