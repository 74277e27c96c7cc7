/** A form to start a pattern from: its hook and its lines as they would be typed. */
export interface BareForm {
  readonly key: string
  readonly name: string
  /** name of the hook's family and its size */
  readonly hook: { readonly family: string; readonly size: string }
  readonly lines: readonly string[]
}

/** Eight forms that most patterns are one of, without colour or name of their own. */
export const BARE_FORMS: readonly BareForm[] = [
  {
    key: 'jigNymph',
    name: 'jig nymph',
    hook: { family: 'Hook, jig, eye bent up by 60°', size: '16' },
    lines: [
      'bead: tungsten slotted 2.8',
      'thread: nylon 70',
      'tail: 6 speckled cock, ⅔ shank',
      'body: thread nylon 70, 4 layers, from 0.3 to 1',
      'rib: fine copper wire 0.12, 5 turns, from 0.3 to 1',
      'collar: hare, slim, from 0.12 to 0.35',
    ],
  },
  {
    key: 'grub',
    name: 'weighted grub',
    hook: { family: 'Hook, curved grub or shrimp', size: '12' },
    lines: [
      'wire: tin-alloy lead-free 0.38, 10 turns, from 0.25 to 0.75',
      'thread: nylon 70',
      'back: stretch clear, from 0.15 to 1, above',
      'body: coarse sparkle dubbing, medium, from 0.15 to 1',
      'rib: fine copper wire 0.12, 7 turns, from 0.2 to 1',
    ],
  },
  {
    key: 'softHackle',
    name: 'soft-hackled wet',
    hook: { family: 'Hook, straight, standard wire, for nymphs and wets', size: '14' },
    lines: [
      'thread: nylon 70',
      'body: thread nylon 70, 3 layers, from 0.3 to 1',
      'collar: hen soft #14, 1.5 turns, 1½ gapes, from 0.12 to 0.18',
    ],
  },
  {
    key: 'emerger',
    name: 'tufted emerger',
    hook: { family: 'Hook, curved grub, fine wire', size: '16' },
    lines: [
      'thread: nylon 50',
      'shuck: polypropylene, 1 strand, ½ shank',
      'body: stripped herl, from 0.3 to 1',
      'wing: cdc feather, 2 feathers, 1 gape, above, from 0.15 to 0.28',
    ],
  },
  {
    key: 'hackledDry',
    name: 'hackled dry',
    hook: { family: 'Hook, straight, fine wire, for dries', size: '16' },
    lines: [
      'thread: nylon 50',
      'tail: 8 stiff cock, 1 shank',
      'body: fine synthetic dubbing, sparse, from 0.3 to 1',
      'hackle: stiff cape #16, 4 turns, 1½ gapes, from 0.12 to 0.28',
    ],
  },
  {
    key: 'spinner',
    name: 'spent spinner',
    hook: { family: 'Hook, straight, fine wire, for dries', size: '16' },
    lines: [
      'thread: nylon 50',
      'tail: 3 stiff cock, 1½ shank',
      'body: fine synthetic dubbing, sparse, from 0.3 to 1',
      'wing: polypropylene, 1 strand, 1 shank, spent, from 0.2 to 0.28',
      'hackle: stiff cape #16, 3 turns, 1½ gapes, clipped below, from 0.15 to 0.3',
    ],
  },
  {
    key: 'foamBeetle',
    name: 'foam beetle',
    hook: { family: 'Hook, straight, fine wire, for dries', size: '12' },
    lines: [
      'thread: nylon 70',
      'body: peacock herl, from 0.2 to 1',
      'legs: round rubber 0.6, 4 strands, 1 shank, both sides, from 0.35 to 0.5',
      'back: ethylene foam sheet 2, from 0.1 to 1, above',
    ],
  },
  {
    key: 'leech',
    name: 'marabou leech',
    hook: { family: 'Hook, straight, heavy wire, 2X long', size: '10' },
    lines: [
      'bead: tungsten straight bore 3.3',
      'thread: nylon 70',
      'tail: 40 marabou, 1 shank',
      'body: coarse sparkle dubbing, medium, from 0.2 to 1',
    ],
  },
]
