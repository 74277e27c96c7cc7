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

/** Every drawer that the demo's patterns use, and some that stand beside them. */
export const drawers = {
  j60x10: drawer('hook-jig-60', '10', 'black nickel', 18, 12),
  j60x12: drawer('hook-jig-60', '12', 'black nickel'),
  j60x14: drawer('hook-jig-60', '14', 'black nickel', 41, 20),
  j60x16: drawer('hook-jig-60', '16', 'black nickel', 6, 25),
  j60x18: drawer('hook-jig-60', '18', 'black nickel', 34, 20),
  j60x20: drawer('hook-jig-60', '20', 'black nickel'),
  sf12: drawer('hook-dry-fine', '12', 'bronze', 30, 15),
  sf14: drawer('hook-dry-fine', '14', 'bronze', 48, 25),
  sf16: drawer('hook-dry-fine', '16', 'bronze', 63, 25),
  sf18: drawer('hook-dry-fine', '18', 'bronze', 52, 25),
  sfLong10: drawer('hook-dry-fine-2xl', '10', 'bronze', 9, 12),
  sfLong12: drawer('hook-dry-fine-2xl', '12', 'bronze'),
  shLong10: drawer('hook-heavy-2xl', '10', 'bronze', 27, 15),
  shLong12: drawer('hook-heavy-2xl', '12', 'bronze'),
  c12: drawer('hook-curved', '12', 'bronze'),
  c14: drawer('hook-curved', '14', 'bronze', 40, 15),
  c16: drawer('hook-curved', '16', 'bronze', 38, 15),
  c18: drawer('hook-curved', '18', 'bronze'),
  ch10: drawer('hook-curved-heavy', '10', 'bronze'),
  ch12: drawer('hook-curved-heavy', '12', 'bronze', 55, 25),
  ch14: drawer('hook-curved-heavy', '14', 'bronze'),
  ch16: drawer('hook-curved-heavy', '16', 'bronze'),
  wsl20black: drawer('bead-tungsten-slotted', '2.0', 'black'),
  wsl24copper: drawer('bead-tungsten-slotted', '2.4', 'copper'),
  wsl24black: drawer('bead-tungsten-slotted', '2.4', 'black', 44, 20),
  wsl28copper: drawer('bead-tungsten-slotted', '2.8', 'copper', 9, 25),
  wsl28black: drawer('bead-tungsten-slotted', '2.8', 'black'),
  wsl33copper: drawer('bead-tungsten-slotted', '3.3', 'copper'),
  wsl33black: drawer('bead-tungsten-slotted', '3.3', 'black'),
  wsl40black: drawer('bead-tungsten-slotted', '4.0', 'black', 7, 10),
  bsl28copper: drawer('bead-brass-slotted', '2.8', 'copper'),
  wdr20black: drawer('bead-tungsten-drilled', '2.0', 'black'),
  wdr24black: drawer('bead-tungsten-drilled', '2.4', 'black', 58, 25),
  wdr33copper: drawer('bead-tungsten-drilled', '3.3', 'copper', 31, 20),
  bdr20black: drawer('bead-brass-drilled', '2.0', 'black'),
  bdr24gold: drawer('bead-brass-drilled', '2.4', 'gold', 70, 25),
  bdr28gold: drawer('bead-brass-drilled', '2.8', 'gold'),
  chain30: drawer('eyes-bead-chain', '3.0', 'silver', 40, 10),
  tin38: drawer('wire-tin', '0.38', 'tin', 11.5, 5),
  tin50: drawer('wire-tin', '0.5', 'tin', 6.2, 3),
  copper12: drawer('wire-copper-rib', '0.12', 'copper', 38, 10),
  red12: drawer('wire-copper-rib', '0.12', 'red'),
  brown12: drawer('wire-copper-rib', '0.12', 'brown'),
  oliveBrown50: drawer('thread-nylon', '50', 'olive-brown', 140, 60),
  black70: drawer('thread-nylon', '70', 'black', 210, 60),
  cream70: drawer('thread-nylon', '70', 'cream', 31, 50),
  red70: drawer('thread-nylon', '70', 'red', 95, 40),
  olive70: drawer('thread-nylon', '70', 'olive'),
  brown70: drawer('thread-nylon', '70', 'brown'),
  ruby70: drawer('thread-nylon', '70', 'ruby'),
  tan70: drawer('thread-nylon', '70', 'tan'),
  brown140: drawer('thread-nylon', '140', 'brown'),
  speckled: drawer('fibre-speckled-cock', '', 'speckled'),
  cockGrey: drawer('fibre-cock-stiff', '', 'grey'),
  cockPale: drawer('fibre-cock-stiff', '', 'pale dun'),
  gameTail: drawer('fibre-game-tail', '', 'natural'),
  gameTailDark: drawer('fibre-game-tail', '', 'dark brown'),
  quillGrey: drawer('quill-stripped-herl', '', 'grey', 46, 20),
  quillOlive: drawer('quill-stripped-herl', '', 'olive'),
  quillIron: drawer('quill-stripped-herl', '', 'iron grey'),
  hare: drawer('dubbing-hare', '', 'natural', 8.4, 3),
  hareBrown: drawer('dubbing-hare', '', 'brown'),
  hareBlack: drawer('dubbing-hare', '', 'black'),
  finePaleOlive: drawer('dubbing-fine-synthetic', '', 'pale olive', 3.1, 2),
  fineOlive: drawer('dubbing-fine-synthetic', '', 'olive'),
  fineGrey: drawer('dubbing-fine-synthetic', '', 'grey'),
  fineCream: drawer('dubbing-fine-synthetic', '', 'cream'),
  fineTan: drawer('dubbing-fine-synthetic', '', 'tan'),
  amber: drawer('dubbing-coarse-sparkle', '', 'amber', 1.2, 2),
  sparkleGreen: drawer('dubbing-coarse-sparkle', '', 'green'),
  sparkleTan: drawer('dubbing-coarse-sparkle', '', 'tan'),
  sparkleCream: drawer('dubbing-coarse-sparkle', '', 'cream'),
  marabouGrey: drawer('marabou-plume', '', 'grey'),
  marabouPaleOlive: drawer('marabou-plume', '', 'pale olive', 9, 6),
  marabouOlive: drawer('marabou-plume', '', 'olive'),
  hen14: drawer('hackle-hen-speckled', '14', 'speckled', 60, 20),
  hen12: drawer('hackle-hen-speckled', '12', 'speckled'),
  hen16: drawer('hackle-hen-speckled', '16', 'speckled'),
  dun14: drawer('hackle-cape-stiff', '14', 'dun', 18, 8),
  dun16: drawer('hackle-cape-stiff', '16', 'dun', 20, 7),
  dun18: drawer('hackle-cape-stiff', '18', 'dun'),
  ginger10: drawer('hackle-cape-stiff', '10', 'ginger'),
  ginger12: drawer('hackle-cape-stiff', '12', 'ginger'),
  cdc: drawer('cdc-feather', '', 'natural', 85, 40),
  flank: drawer('feather-barred-flank', '', 'barred', 4, 12),
  shuckTan: drawer('yarn-sparkle', '', 'tan'),
  polyWhite: drawer('yarn-poly', '', 'white', 4, 2),
  foamCream: drawer('foam-eva-sheet', '2', 'cream'),
  legsBlack: drawer('rubber-legs-round', '0.6', 'black'),
  clearBack: drawer('sheet-stretch-clear', '', 'clear'),
  uvResin: drawer('resin-uv-thin', '', 'clear', 4.4, 5.5),
  headCement: drawer('cement-head', '', 'clear', 17, 5),
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
