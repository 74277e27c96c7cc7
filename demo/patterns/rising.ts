import { river } from './pattern.ts'
import type { DemoPattern } from './pattern.ts'

/** Of the river, rising and in the film. */
export const rising: readonly DemoPattern[] = [
  {
    name: 'Turned Collar',
    purpose: 'imitation',
    serves: ['dark-olive-rising', 'dark-olive-sunk-spinner'],
    waters: river,
    fishedHow: ['swungWets'],
    note: '',
    lines: [
      'thread: nylon 70 den olive, 3 layers, from 0 to 1',
      'thorax: hare, sparse, from 0.15 to 0.35',
      'collar: speckled hen #14, 1½ turns, 1.2 gape, from 0.1 to 0.16',
    ],
    variants: [
      { label: '#14 olive', hook: 'straight fine #14', home: 'Emergers and cripples, leaf', onHand: 3 },
      {
        label: '#16 olive',
        hook: 'straight fine #16',
        instead: { collar: 'speckled hen #16, 1½ turns, 1.2 gape' },
        home: 'Emergers and cripples, leaf',
        onHand: 3,
      },
      {
        label: '#12 olive',
        hook: 'straight fine #12',
        instead: { collar: 'speckled hen #12, 1½ turns, 1.2 gape' },
        home: 'Emergers and cripples, leaf',
        onHand: 2,
      },
      {
        label: '#14 tan',
        hook: 'straight fine #14',
        instead: { thread: 'nylon 70 den tan, 3 layers' },
        onHand: 0,
      },
    ],
  },
  {
    name: 'Late Post',
    purpose: 'imitation',
    serves: ['dark-olive-sunk-spinner'],
    waters: river,
    fishedHow: ['swungWets', 'tightLineNymph'],
    note: 'A hand below the film, an hour after the fall.',
    lines: [
      'thread: nylon 50 den brown',
      'tail: 2 stiff cock fibres pale dun, 1 shank',
      'body: fine copper wire 0.12, 22 turns, from 0.3 to 1',
      'wing: 8 grey wing slip fibres, 0.9 shank, spent, from 0.18 to 0.25',
    ],
    variants: [
      { label: '#16', hook: 'straight standard #16', home: 'Spinners, lid', onHand: 2 },
      { label: '#18', hook: 'straight standard #18', home: 'Spinners, lid', onHand: 1, keep: 0 },
    ],
  },
  {
    name: 'Kettle Lid',
    purpose: 'imitation',
    serves: ['dark-olive-emerger', 'small-olive-emerger', 'pale-olive-emerger'],
    waters: river,
    fishedHow: ['dry'],
    note: 'Trim the tuft before you change the fly.',
    lines: [
      'thread: nylon 70 den olive, from 0 to 1',
      'shuck: sparkle yarn tan, 1 strand, ½ shank',
      'body: stripped herl quill olive, from 0.3 to 1',
      'wing: 2 cdc feathers natural, oily feather, 1 gape, upright, from 0.15 to 0.28',
    ],
    variants: [
      { label: '#16 olive', hook: 'curved grub #16', home: 'Emergers and cripples, lid', onHand: 3 },
      {
        label: '#14 olive',
        hook: 'curved grub #14',
        instead: { wing: '3 cdc feathers natural, oily feather' },
        home: 'Emergers and cripples, lid',
        onHand: 1,
      },
      { label: '#18 olive', hook: 'curved grub #18', home: 'Emergers and cripples, lid', onHand: 2 },
      {
        label: '#16 iron grey',
        hook: 'curved grub #16',
        instead: { body: 'stripped herl quill iron grey' },
        home: 'Emergers and cripples, lid',
        onHand: 1,
      },
    ],
  },
  {
    name: 'Singed Cuff',
    purpose: 'imitation',
    serves: ['large-burrowing-mayfly-cripple', 'large-burrowing-mayfly-emerger'],
    waters: river,
    fishedHow: ['dry'],
    note: 'Half out of its skin. Grease the tuft only.',
    lines: [
      'thread: nylon 70 den cream, from 0 to 1',
      'shuck: sparkle yarn brown, 1 strand, ½ shank',
      'body: fine synthetic dubbing cream, bulk 0.15, from 0.3 to 1',
      'wing: deer hair fine tips natural, 25 fibres, 0.8 shank, upright, from 0.12 to 0.2',
      'hackle: stiff cape #12 ginger, 6 turns, 1½ gapes, clipped below, from 0.2 to 0.34',
    ],
    variants: [
      { label: '#12 cream', hook: 'curved grub #12', home: 'Emergers and cripples, lid', onHand: 2 },
      {
        label: '#14 olive',
        hook: 'curved grub #14',
        instead: {
          body: 'fine synthetic dubbing pale olive, bulk 0.15',
          hackle: 'stiff cape #14 ginger, 6 turns, 1½ gapes, clipped below',
        },
        home: 'Emergers and cripples, lid',
        onHand: 2,
      },
    ],
  },
  {
    name: 'Thimble',
    purpose: 'imitation',
    serves: ['net-spinning-sedge-emerger', 'small-dark-early-sedge-emerger'],
    waters: ['freestone'],
    fishedHow: ['dry'],
    note: 'The hood holds it; the rest hangs.',
    lines: [
      'thread: nylon 70 den olive, from 0 to 1',
      'body: coarse sparkle dubbing green, bulk 0.2, from 0.35 to 1',
      'wing: deer body hair natural, 30 fibres, 0.6 shank, both sides, with floatant, from 0.22 to 0.3',
      'thorax: hare, slim, from 0.1 to 0.3',
    ],
    variants: [
      { label: '#14 green', hook: 'curved grub #14', home: 'Sedge larvae and pupae, lid', onHand: 3 },
      {
        label: '#16 tan',
        hook: 'curved grub #16',
        instead: { body: 'coarse sparkle dubbing tan, bulk 0.2', wing: 'deer body hair natural, 22 fibres' },
        home: 'Sedge larvae and pupae, lid',
        onHand: 2,
      },
    ],
  },
  {
    name: 'Pocket Lint',
    purpose: 'imitation',
    serves: ['river-midge-emerger', 'winter-midge-emerger'],
    waters: river,
    fishedHow: ['dry'],
    note: 'Black thread, a breather, a wisp.',
    lines: [
      'thread: nylon 50 den black, from 0 to 1',
      'body: nylon thread 50 den black, 3 layers, from 0.25 to 1',
      'gills: polypropylene white, 1 strand, 1 mm, from 0.08 to 0.15',
      'wing: 1 duck down puff natural, 1 gape, upright, from 0.15 to 0.22',
    ],
    variants: [
      { label: '#20', hook: 'straight fine #20', home: 'Midges, leaf', onHand: 3 },
      { label: '#22', hook: 'straight fine #22', home: 'Midges, leaf', onHand: 3 },
    ],
  },
]
