/** A drawer of the demo's stores. Stock in the unit people say: pieces, m, g, feathers, cm²; null: not counted. */
export interface DemoDrawer {
  readonly family: string
  readonly size: string
  readonly colour: string
  readonly have: number | null
  readonly keep: number | null
}

const drawer = (
  family: string,
  size: string,
  colour: string,
  have: number | null = null,
  keep: number | null = null,
): DemoDrawer => ({
  family,
  size,
  colour,
  have,
  keep,
})

/** Drawers of which the tier keeps count; those that are only tied from stand in the patterns' lines. */
export const drawers = {
  j60x10: drawer('hook-jig-60', '10', 'black nickel', 18, 12),
  j60x14: drawer('hook-jig-60', '14', 'black nickel', 41, 20),
  j60x16: drawer('hook-jig-60', '16', 'black nickel', 6, 25),
  j60x18: drawer('hook-jig-60', '18', 'black nickel', 34, 20),
  sf12: drawer('hook-dry-fine', '12', 'bronze', 30, 15),
  sf14: drawer('hook-dry-fine', '14', 'bronze', 48, 25),
  sf16: drawer('hook-dry-fine', '16', 'bronze', 63, 25),
  sf18: drawer('hook-dry-fine', '18', 'bronze', 52, 25),
  sfLong10: drawer('hook-dry-fine-2xl', '10', 'bronze', 9, 12),
  shLong10: drawer('hook-heavy-2xl', '10', 'bronze', 27, 15),
  c14: drawer('hook-curved', '14', 'bronze', 40, 15),
  c16: drawer('hook-curved', '16', 'bronze', 38, 15),
  ch12: drawer('hook-curved-heavy', '12', 'bronze', 55, 25),
  wsl24black: drawer('bead-tungsten-slotted', '2.4', 'black', 44, 20),
  wsl28copper: drawer('bead-tungsten-slotted', '2.8', 'copper', 9, 25),
  wsl40black: drawer('bead-tungsten-slotted', '4.0', 'black', 7, 10),
  wdr24black: drawer('bead-tungsten-drilled', '2.4', 'black', 58, 25),
  wdr33copper: drawer('bead-tungsten-drilled', '3.3', 'copper', 31, 20),
  bdr24gold: drawer('bead-brass-drilled', '2.4', 'gold', 70, 25),
  chain30: drawer('eyes-bead-chain', '3.0', 'silver', 40, 10),
  tin38: drawer('wire-tin', '0.38', 'tin', 11.5, 5),
  tin50: drawer('wire-tin', '0.5', 'tin', 6.2, 3),
  copper12: drawer('wire-copper-rib', '0.12', 'copper', 38, 10),
  oliveBrown50: drawer('thread-nylon', '50', 'olive-brown', 140, 60),
  black70: drawer('thread-nylon', '70', 'black', 210, 60),
  cream70: drawer('thread-nylon', '70', 'cream', 31, 50),
  red70: drawer('thread-nylon', '70', 'red', 95, 40),
  quillGrey: drawer('quill-stripped-herl', '', 'grey', 46, 20),
  hare: drawer('dubbing-hare', '', 'natural', 8.4, 3),
  finePaleOlive: drawer('dubbing-fine-synthetic', '', 'pale olive', 3.1, 2),
  amber: drawer('dubbing-coarse-sparkle', '', 'amber', 1.2, 2),
  marabouPaleOlive: drawer('marabou-plume', '', 'pale olive', 9, 6),
  hen14: drawer('hackle-hen-speckled', '14', 'speckled', 60, 20),
  dun14: drawer('hackle-cape-stiff', '14', 'dun', 18, 8),
  dun16: drawer('hackle-cape-stiff', '16', 'dun', 20, 7),
  cdc: drawer('cdc-feather', '', 'natural', 85, 40),
  flank: drawer('feather-barred-flank', '', 'barred', 4, 12),
  polyWhite: drawer('yarn-poly', '', 'white', 4, 2),
  wsl33bronze: drawer('bead-tungsten-slotted', '3.3', 'bronze', 26, 15),
  j90x10: drawer('hook-jig-90', '10', 'black nickel', 15, 10),
  flossRed: drawer('floss-stretch', '', 'red', 4.5, 2),
  chenillePinkBrown: drawer('chenille-micro', '2', 'pink-brown', 1.1, 2),
  foamBlack: drawer('foam-closed-medium', '2', 'black', 300, 100),
  rabbitWhite: drawer('strip-rabbit', '3', 'white', 1.5, 0.5),
  deerNatural: drawer('hair-deer-body', '', 'natural', 55, 20),
  uvResin: drawer('resin-uv-thin', '', 'clear', 4.4, 5.5),
  headCement: drawer('cement-head', '', 'clear', 17, 5),
  lineFloating: drawer('line-floating', '', 'pale olive', 1),
  lineMidgeTip: drawer('line-midge-tip', '', 'olive', 1),
  lineIntermediate: drawer('line-intermediate', '', 'clear', 1),
  lineSlow: drawer('line-sink-2', '', 'dark grey', 1),
  lineType3: drawer('line-sink-3-compensated', '', 'black', 1),
  lineType5: drawer('line-sink-5', '', 'brown', 1),
  nylon4x: drawer('tippet-nylon', '4X', 'clear', 22),
  copolymer5x: drawer('tippet-copolymer', '5X', 'clear', 18),
  fluorocarbon4x: drawer('tippet-fluorocarbon', '4X', 'clear', 30),
  fluorocarbon5x: drawer('tippet-fluorocarbon', '5X', 'clear', 6),
  leader4x: drawer('leader-tapered-nylon', '2.7 m 4X', 'clear', 3),
  indicator12: drawer('indicator-cork', '12', 'red', 2),
  shotTin: drawer('shot-tin', '0.2 g', 'tin', 24),
  leaderRing: drawer('ring-leader', '3', 'steel', 9),
  oldTin: drawer('dubbing-unknown', '', 'grey'),
} as const satisfies Record<string, DemoDrawer>

export type DrawerKey = keyof typeof drawers

/** How goods of a kind come: pieces, m, g, feathers or cm² in a pack, its price in cents, days until it arrives. */
interface Pack {
  readonly amount: number
  readonly priceMinor: number
  readonly leadTimeDays: number
}

/** By the beginning of a family's key; the longest that fits counts. */
const packs: Readonly<Record<string, Pack>> = {
  'hook-': { amount: 25, priceMinor: 450, leadTimeDays: 4 },
  'hook-jig': { amount: 25, priceMinor: 590, leadTimeDays: 4 },
  'hook-dry': { amount: 25, priceMinor: 480, leadTimeDays: 3 },
  'bead-tungsten': { amount: 20, priceMinor: 640, leadTimeDays: 6 },
  'bead-brass': { amount: 20, priceMinor: 190, leadTimeDays: 6 },
  'eyes-': { amount: 20, priceMinor: 260, leadTimeDays: 6 },
  'wire-tin': { amount: 3, priceMinor: 320, leadTimeDays: 4 },
  'wire-copper': { amount: 10, priceMinor: 210, leadTimeDays: 4 },
  'thread-': { amount: 100, priceMinor: 280, leadTimeDays: 3 },
  'dubbing-': { amount: 2, priceMinor: 290, leadTimeDays: 3 },
  'quill-': { amount: 30, priceMinor: 520, leadTimeDays: 5 },
  'hackle-hen': { amount: 80, priceMinor: 1450, leadTimeDays: 5 },
  'hackle-cape': { amount: 60, priceMinor: 3400, leadTimeDays: 5 },
  'cdc-': { amount: 60, priceMinor: 540, leadTimeDays: 4 },
  'feather-': { amount: 12, priceMinor: 380, leadTimeDays: 5 },
  'marabou-': { amount: 12, priceMinor: 300, leadTimeDays: 4 },
  'chenille-': { amount: 2, priceMinor: 260, leadTimeDays: 4 },
  'strip-': { amount: 1, priceMinor: 480, leadTimeDays: 5 },
  'hair-': { amount: 25, priceMinor: 420, leadTimeDays: 5 },
  'floss-': { amount: 5, priceMinor: 240, leadTimeDays: 3 },
  'rubber-': { amount: 3, priceMinor: 220, leadTimeDays: 4 },
  'yarn-': { amount: 4, priceMinor: 240, leadTimeDays: 3 },
  'foam-': { amount: 300, priceMinor: 220, leadTimeDays: 3 },
  'resin-': { amount: 5, priceMinor: 980, leadTimeDays: 6 },
  'cement-': { amount: 15, priceMinor: 420, leadTimeDays: 6 },
}

/** How a drawer is bought; null where the tier has not noted it. */
export function packOf({ family }: DemoDrawer): Pack | null {
  const key = Object.keys(packs)
    .filter((start) => family.startsWith(start))
    .sort((a, b) => b.length - a.length)[0]
  return (key && packs[key]) || null
}
