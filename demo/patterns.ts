import type { Component, ComponentKind, Proportion, Swap } from '../core/index.ts'
import type { DrawerKey } from './drawers.ts'

/** A component as the demo writes it: kind, drawer, place from eye (0) to bend (1). */
export interface DemoLine extends Omit<Component, 'key' | 'kind' | 'materialId' | 'place'> {
  readonly key: string
  readonly kind: ComponentKind
  readonly drawer: DrawerKey
  readonly from: number
  readonly to: number
  readonly side?: Component['place']['side']
}

/** A variant: hook, what it swaps, where it lives, how many there are and are kept. */
export interface DemoVariant {
  readonly label: string
  readonly hook: DrawerKey
  readonly swaps?: readonly (Omit<Swap, 'materialId' | 'componentKey'> & {
    readonly of: string
    readonly drawer?: DrawerKey
  })[]
  /** compartment by its label; none where it has no place */
  readonly home?: string
  readonly onHand: number
  readonly keep?: number
}

export interface DemoPattern {
  readonly name: string
  readonly purpose: 'imitation' | 'attractor' | 'searching'
  readonly serves: readonly string[]
  readonly waters: readonly ('freestone' | 'springFed' | 'lowlandStillwater' | 'reservoir' | 'uplandTarn')[]
  readonly fishedHow: readonly string[]
  readonly note: string
  readonly dislike?: number
  readonly lines: readonly DemoLine[]
  readonly variants: readonly DemoVariant[]
}

const line = (
  key: string,
  kind: ComponentKind,
  drawer: DrawerKey,
  from: number,
  to: number,
  more: Partial<DemoLine> = {},
): DemoLine => ({
  key,
  kind,
  drawer,
  from,
  to,
  ...more,
})
const shank = (factor: number): Proportion => ({ factor, of: 'shank' })
const gape = (factor: number): Proportion => ({ factor, of: 'gape' })
const without = (...keys: readonly string[]) => keys.map((of) => ({ of, omit: true }))

const river = ['freestone', 'springFed'] as const
const still = ['lowlandStillwater', 'reservoir', 'uplandTarn'] as const

/** Twelve patterns of an invented valley, with their variants. */
export const patterns: readonly DemoPattern[] = [
  {
    name: 'Third Button',
    purpose: 'imitation',
    serves: ['dark-olive-nymph', 'small-olive-nymph', 'pale-olive-nymph', 'evening-olive-nymph'],
    waters: river,
    fishedHow: ['tightLineNymph', 'indicatorNymph'],
    note: 'Collar over the rear of the bead. A red turn means tungsten.',
    lines: [
      line('bead', 'bead', 'wsl28copper', 0, 0.2),
      line('thread', 'thread', 'oliveBrown50', 0.1, 1),
      line('tail', 'tail', 'speckled', 1, 1, { fibreCount: 6, length: shank(2 / 3) }),
      line('body', 'body', 'oliveBrown50', 0.3, 1, { layers: 4 }),
      line('rib', 'rib', 'copper12', 0.3, 1, { turns: 5 }),
      line('collar', 'collar', 'hare', 0.12, 0.35, { bulk: 0.35 }),
      line('spot', 'hotSpot', 'red70', 0.2, 0.25, { turns: 3 }),
    ],
    variants: [
      { label: '#16 W 2.8', hook: 'j60x16', home: 'Swimming nymphs, leaf', onHand: 2, keep: 12 },
      {
        label: '#18 W 2.4',
        hook: 'j60x18',
        swaps: [{ of: 'bead', drawer: 'wsl24copper' }],
        home: 'Swimming nymphs, lid',
        onHand: 2,
      },
      {
        label: '#14 W 3.3',
        hook: 'j60x14',
        swaps: [{ of: 'bead', drawer: 'wsl33copper' }],
        home: 'Swimming nymphs, lid',
        onHand: 2,
      },
      {
        label: '#16 B 2.8',
        hook: 'j60x16',
        swaps: [{ of: 'bead', drawer: 'bsl28copper' }],
        home: 'Swimming nymphs, lid',
        onHand: 2,
      },
      { label: '#16 none', hook: 'j60x16', swaps: without('bead'), home: 'Swimming nymphs, lid', onHand: 1 },
    ],
  },
  {
    name: 'Wet Slate',
    purpose: 'imitation',
    serves: ['small-olive-nymph', 'pale-olive-nymph'],
    waters: river,
    fishedHow: ['tightLineNymph'],
    note: 'Thin. Two thin coats of resin, not one thick one.',
    lines: [
      line('bead', 'bead', 'wsl24black', 0, 0.2),
      line('thread', 'thread', 'black70', 0.1, 1),
      line('tail', 'tail', 'cockGrey', 1, 1, { fibreCount: 4, length: shank(0.6) }),
      line('body', 'body', 'quillGrey', 0.28, 1),
      line('coat', 'coat', 'uvResin', 0.28, 1),
      line('spot', 'hotSpot', 'red70', 0.2, 0.27, { turns: 4 }),
    ],
    variants: [
      { label: '#18 W 2.4', hook: 'j60x18', home: 'Clinging and crawling, leaf', onHand: 3 },
      {
        label: '#20 W 2.0',
        hook: 'j60x20',
        swaps: [{ of: 'bead', drawer: 'wsl20black' }],
        home: 'Clinging and crawling, leaf',
        onHand: 2,
      },
      {
        label: '#16 W 2.8',
        hook: 'j60x16',
        swaps: [{ of: 'bead', drawer: 'wsl28black' }],
        home: 'Clinging and crawling, leaf',
        onHand: 3,
      },
    ],
  },
  {
    name: 'Cold Tea',
    purpose: 'imitation',
    serves: ['large-burrowing-mayfly-nymph', 'large-burrowing-mayfly-rising'],
    waters: river,
    fishedHow: ['indicatorNymph'],
    note: 'Pale. The moving fringe matters more than the tail.',
    lines: [
      line('bead', 'bead', 'bdr28gold', 0, 0.14),
      line('wire', 'wire', 'tin38', 0.2, 0.6, { turns: 10 }),
      line('thread', 'thread', 'cream70', 0.1, 1),
      line('tail', 'tail', 'gameTail', 1, 1, { fibreCount: 6, length: shank(0.5) }),
      line('body', 'body', 'fineCream', 0.2, 1, { bulk: 0.25 }),
      line('rib', 'rib', 'brown12', 0.35, 1, { turns: 6 }),
      line('gills', 'gills', 'marabouGrey', 0.35, 0.8, { fibreCount: 20, length: gape(0.5) }),
    ],
    variants: [
      { label: '#10 pale', hook: 'shLong10', home: 'Clinging and crawling, lid', onHand: 3 },
      { label: '#12 pale', hook: 'shLong12', home: 'Clinging and crawling, lid', onHand: 2 },
      { label: '#10 dark', hook: 'shLong10', swaps: [{ of: 'body', drawer: 'fineTan' }], onHand: 0 },
    ],
  },
  {
    name: 'Coal Scuttle',
    purpose: 'searching',
    serves: ['large-stonefly-nymph'],
    waters: ['freestone'],
    fishedHow: ['tightLineNymph'],
    note: 'The anchor. Retire it when the legs go.',
    lines: [
      line('bead', 'bead', 'wsl40black', 0, 0.2),
      line('thread', 'thread', 'black70', 0.1, 1),
      line('body', 'body', 'hareBlack', 0.25, 1, { bulk: 0.3 }),
      line('legs', 'legs', 'legsBlack', 0.3, 0.45, { strands: 4, length: shank(0.8) }),
      line('spot', 'hotSpot', 'red70', 0.2, 0.25, { turns: 4 }),
    ],
    variants: [
      { label: '#10 W 4.0', hook: 'j60x10', home: 'Clinging and crawling, lid', onHand: 1 },
      {
        label: '#12 W 3.3',
        hook: 'j60x12',
        swaps: [{ of: 'bead', drawer: 'wsl33black' }],
        home: 'Clinging and crawling, lid',
        onHand: 0,
      },
    ],
  },
  {
    name: 'Rag Rug',
    purpose: 'imitation',
    serves: ['net-spinning-sedge-larva', 'green-free-living-sedge-larva'],
    waters: ['freestone'],
    fishedHow: ['tightLineNymph', 'indicatorNymph'],
    note: 'Pick out the front third for legs.',
    lines: [
      line('bead', 'bead', 'wdr33copper', 0, 0.2),
      line('wire', 'wire', 'tin38', 0.25, 0.65, { turns: 10 }),
      line('thread', 'thread', 'olive70', 0.1, 1),
      line('back', 'back', 'clearBack', 0.2, 1, { side: 'above' }),
      line('body', 'body', 'sparkleGreen', 0.22, 1, { bulk: 0.35 }),
      line('rib', 'rib', 'copper12', 0.25, 1, { turns: 7 }),
      line('collar', 'collar', 'hareBrown', 0.15, 0.3, { bulk: 0.3 }),
    ],
    variants: [
      { label: '#12 green', hook: 'c12', home: 'Sedge larvae and pupae, leaf', onHand: 3 },
      {
        label: '#14 cream',
        hook: 'c14',
        swaps: [
          { of: 'body', drawer: 'sparkleCream' },
          { of: 'bead', drawer: 'bdr24gold' },
        ],
        home: 'Sedge larvae and pupae, leaf',
        onHand: 3,
      },
    ],
  },
  {
    name: 'Barley Sugar',
    purpose: 'imitation',
    serves: ['net-spinning-sedge-pupa', 'green-free-living-sedge-pupa'],
    waters: ['freestone', 'springFed'],
    fishedHow: ['swungWets', 'indicatorNymph'],
    note: 'Sparse loop: light has to get through.',
    lines: [
      line('bead', 'bead', 'bdr24gold', 0, 0.18),
      line('thread', 'thread', 'tan70', 0.1, 1),
      line('body', 'body', 'amber', 0.25, 1, { bulk: 0.3 }),
      line('hackle', 'collar', 'hen14', 0.18, 0.25, { turns: 1.5, length: gape(1.1) }),
      line('horns', 'legs', 'gameTailDark', 0.2, 0.25, { fibreCount: 2, length: shank(1.1) }),
    ],
    variants: [
      { label: '#14 amber', hook: 'c14', home: 'Sedge larvae and pupae, lid', onHand: 2 },
      {
        label: '#12 green',
        hook: 'c12',
        swaps: [{ of: 'body', drawer: 'sparkleGreen' }],
        home: 'Sedge larvae and pupae, lid',
        onHand: 2,
      },
      { label: '#16 tan', hook: 'c16', swaps: [{ of: 'body', drawer: 'sparkleTan' }], onHand: 0 },
    ],
  },
  {
    name: 'Turned Collar',
    purpose: 'imitation',
    serves: ['dark-olive-rising', 'dark-olive-sunk-spinner'],
    waters: river,
    fishedHow: ['swungWets'],
    note: '',
    lines: [
      line('thread', 'thread', 'olive70', 0, 1, { layers: 3 }),
      line('thorax', 'thorax', 'hare', 0.15, 0.35, { bulk: 0.1 }),
      line('hackle', 'collar', 'hen14', 0.1, 0.16, { turns: 1.5, length: gape(1.2) }),
    ],
    variants: [
      { label: '#14 olive', hook: 'sf14', home: 'Emergers and cripples, leaf', onHand: 3 },
      {
        label: '#16 olive',
        hook: 'sf16',
        swaps: [{ of: 'hackle', drawer: 'hen16' }],
        home: 'Emergers and cripples, leaf',
        onHand: 3,
      },
      {
        label: '#12 olive',
        hook: 'sf12',
        swaps: [{ of: 'hackle', drawer: 'hen12' }],
        home: 'Emergers and cripples, leaf',
        onHand: 2,
      },
      { label: '#14 tan', hook: 'sf14', swaps: [{ of: 'thread', drawer: 'tan70' }], onHand: 0 },
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
      line('thread', 'thread', 'olive70', 0, 1),
      line('shuck', 'shuck', 'shuckTan', 1, 1, { strands: 1, length: shank(0.5) }),
      line('body', 'body', 'quillOlive', 0.3, 1),
      line('tuft', 'wing', 'cdc', 0.15, 0.28, { strands: 2, length: gape(1), side: 'above' }),
    ],
    variants: [
      { label: '#16 olive', hook: 'c16', home: 'Emergers and cripples, lid', onHand: 3 },
      {
        label: '#14 olive',
        hook: 'c14',
        swaps: [{ of: 'tuft', strands: 3 }],
        home: 'Emergers and cripples, lid',
        onHand: 1,
      },
      { label: '#18 olive', hook: 'c18', home: 'Emergers and cripples, lid', onHand: 2 },
      {
        label: '#16 iron grey',
        hook: 'c16',
        swaps: [{ of: 'body', drawer: 'quillIron' }],
        home: 'Emergers and cripples, lid',
        onHand: 1,
      },
    ],
  },
  {
    name: 'Damp Straw',
    purpose: 'imitation',
    serves: ['dark-olive-dun', 'pale-olive-dun', 'evening-olive-dun'],
    waters: river,
    fishedHow: ['dry'],
    note: 'White post for tired eyes.',
    lines: [
      line('thread', 'thread', 'olive70', 0, 1),
      line('tail', 'tail', 'cockPale', 1, 1, { fibreCount: 8, length: shank(1) }),
      line('body', 'body', 'fineOlive', 0.35, 1, { bulk: 0.08 }),
      line('post', 'post', 'polyWhite', 0.22, 0.28, { strands: 1, length: shank(0.9), side: 'above' }),
      line('hackle', 'hackle', 'dun16', 0.14, 0.3, { turns: 4, length: gape(1.5) }),
    ],
    variants: [
      { label: '#16 olive', hook: 'sf16', home: 'Duns, leaf', onHand: 3 },
      {
        label: '#14 olive',
        hook: 'sf14',
        swaps: [{ of: 'hackle', drawer: 'dun14' }],
        home: 'Duns, leaf',
        onHand: 2,
      },
      {
        label: '#18 olive',
        hook: 'sf18',
        swaps: [{ of: 'hackle', drawer: 'dun18' }],
        home: 'Duns, leaf',
        onHand: 3,
      },
      {
        label: '#16 grey',
        hook: 'sf16',
        swaps: [{ of: 'body', drawer: 'fineGrey' }],
        home: 'Duns, leaf',
        onHand: 2,
      },
    ],
  },
  {
    name: 'Paper Lantern',
    purpose: 'imitation',
    serves: ['large-burrowing-mayfly-dun'],
    waters: river,
    fishedHow: ['dry'],
    note: 'Two flank feathers a fly. Spins up fine tippet: go stouter.',
    dislike: 0.2,
    lines: [
      line('thread', 'thread', 'cream70', 0, 1),
      line('tail', 'tail', 'gameTailDark', 1, 1, { fibreCount: 4, length: shank(4 / 3) }),
      line('foam', 'foam', 'foamCream', 0.3, 1),
      line('rib', 'rib', 'brown140', 0.35, 1, { turns: 6 }),
      line('wing', 'wing', 'flank', 0.18, 0.25, { strands: 2, length: shank(0.9), side: 'above' }),
      line('hackle', 'hackle', 'ginger10', 0.1, 0.3, { turns: 6, length: gape(1.5) }),
    ],
    variants: [
      { label: '#10 2XL', hook: 'sfLong10', home: 'Duns, lid', onHand: 0 },
      {
        label: '#12 2XL',
        hook: 'sfLong12',
        swaps: [{ of: 'hackle', drawer: 'ginger12' }],
        home: 'Duns, lid',
        onHand: 0,
      },
    ],
  },
  {
    name: 'Bell Rope',
    purpose: 'imitation',
    serves: ['medium-lake-midge-pupa-rising', 'small-lake-midge-pupa', 'large-lake-midge-pupa-rising'],
    waters: still,
    fishedHow: ['staticIndicator', 'slowRetrieve'],
    note: 'A red turn means tungsten, tan brass, none no bead.',
    lines: [
      line('bead', 'bead', 'wdr24black', 0, 0.18),
      line('thread', 'thread', 'black70', 0.1, 1),
      line('body', 'body', 'black70', 0.25, 1, { layers: 4 }),
      line('rib', 'rib', 'red12', 0.25, 1, { turns: 5 }),
      line('gills', 'gills', 'polyWhite', 0.15, 0.22, { strands: 1, length: gape(0.3) }),
      line('spot', 'hotSpot', 'red70', 0.2, 0.24, { turns: 3 }),
      line('coat', 'coat', 'uvResin', 0.2, 1, { layers: 2 }),
    ],
    variants: [
      { label: '#12 black', hook: 'ch12', home: 'Spring pupae 1', onHand: 3 },
      { label: '#10 black', hook: 'ch10', home: 'Spring pupae 1', onHand: 2 },
      { label: '#14 black', hook: 'ch14', home: 'Spring pupae 1', onHand: 3 },
      {
        label: '#16 black',
        hook: 'ch16',
        swaps: [{ of: 'bead', drawer: 'wdr20black' }],
        home: 'Spring pupae 2',
        onHand: 1,
      },
      {
        label: '#12 olive',
        hook: 'ch12',
        swaps: [{ of: 'body', drawer: 'olive70' }],
        home: 'Spring pupae 2',
        onHand: 3,
      },
      {
        label: '#14 olive W 2.0',
        hook: 'ch14',
        swaps: [
          { of: 'body', drawer: 'olive70' },
          { of: 'bead', drawer: 'wdr20black' },
        ],
        home: 'Spring pupae 2',
        onHand: 2,
      },
      {
        label: '#14 olive B 2.0',
        hook: 'ch14',
        swaps: [
          { of: 'body', drawer: 'olive70' },
          { of: 'bead', drawer: 'bdr20black' },
        ],
        home: 'Spring pupae 3',
        onHand: 2,
      },
      {
        label: '#12 brown',
        hook: 'ch12',
        swaps: [{ of: 'body', drawer: 'brown70' }],
        home: 'Spring pupae 3',
        onHand: 3,
      },
      {
        label: '#12 ruby',
        hook: 'ch12',
        swaps: [{ of: 'body', drawer: 'ruby70' }],
        home: 'Spring pupae 3',
        onHand: 1,
      },
      { label: '#12 none', hook: 'ch12', swaps: without('bead'), home: 'Film', onHand: 1 },
    ],
  },
  {
    name: 'Nettle Soup',
    purpose: 'imitation',
    serves: ['damselfly-mature-nymph', 'damselfly-immature-nymph'],
    waters: still,
    fishedHow: ['slowRetrieve'],
    note: 'Swim it towards the reeds, as they do.',
    lines: [
      line('eyes', 'eyes', 'chain30', 0.04, 0.12),
      line('thread', 'thread', 'olive70', 0, 1),
      line('tail', 'tail', 'marabouPaleOlive', 1, 1, { fibreCount: 30, length: shank(1) }),
      line('body', 'body', 'finePaleOlive', 0.2, 1, { bulk: 0.12 }),
      line('legs', 'legs', 'marabouPaleOlive', 0.2, 0.3, { fibreCount: 5, length: shank(0.5) }),
    ],
    variants: [
      { label: '#10 pale', hook: 'shLong10', home: 'June damsels', onHand: 2, keep: 6 },
      {
        label: '#12 green, no eyes',
        hook: 'shLong12',
        swaps: [
          ...without('eyes'),
          { of: 'tail', drawer: 'marabouOlive' },
          { of: 'body', drawer: 'fineOlive' },
          { of: 'legs', drawer: 'marabouOlive' },
        ],
        home: 'June damsels',
        onHand: 2,
      },
    ],
  },
]
