import type { MoveCause } from '../evaluate/index.ts'

/** Why a figure moved with the last version, in a tier's words. */
export const moveCause: Readonly<Record<MoveCause, string>> = {
  film: 'hackle, hair and down hold what their stiffness and the film let them, wet once',
  pile: 'pile has its own size, lets water through and soaks at once',
  strip: 'a strip weighs by its cut and soaks at once',
  layers: 'each layer of wire lies on the one below',
  hair: 'hair stands out of dubbing by no more than its ends, and drags with the body as one outline',
  finger: 'a finger of pile drags as the blunt body it is',
  bead: 'a slotted bead sits in the bend of the neck',
  body: 'the water meets the body as one, however many steps it has',
}
