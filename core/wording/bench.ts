import type { ComponentKind, Step } from '../dressing/index.ts'
import { componentName } from './names.ts'

const VERB_PHRASES: Readonly<Record<Step['verb'], string>> = {
  bead: 'Slide the bead on',
  start: 'Start the thread',
  wrap: 'Wrap the',
  tieIn: 'Tie in the',
  dub: 'Dub the',
  wind: 'Wind the',
  rib: 'Rib it in open turns',
  coat: 'Coat the body',
  finish: 'Build a small head, whip finish, cut the thread',
}

const COMPLETE: ReadonlySet<Step['verb']> = new Set(['bead', 'start', 'rib', 'coat', 'finish'])

/** What to do at a step, as said across a table: `Tie in the tail`. */
export function stepTitle(verb: Step['verb'], kind: ComponentKind | null): string {
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

/** A caution in full, once at the step it concerns. */
export const caution = (key: string): string => CAUTIONS[key] ?? key
