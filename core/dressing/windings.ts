import type { Hook } from '../hook/index.ts'
import { sizeNumber, strandDiameterMm, valueOf } from '../material/index.ts'
import type { Material, MaterialKind } from '../material/index.ts'
import type { Amounts } from './amount.ts'
import { barbsAddMm, barbsSubstance, barbsThatCover, herlSubstance } from './barbWinding.ts'
import type { Component } from './dressing.ts'
import type { Field } from './fields.ts'
import { foamAddsMm, worksOutFoam } from './foam.ts'
import { furAddsMm, herlAddsMm, pileAddsMm } from './pile.ts'
import { beadSubstance, sheetSubstance } from './substance/metal.ts'
import type { Seat, Substance } from './substance/substance.ts'
import {
  fillingSubstance,
  foamSubstance,
  pileSubstance,
  woundFurSubstance,
  woundSubstance,
} from './substance/wound.ts'
import { THREAD_LAYER_MM, threadWidthMm } from './threadWidth.ts'
import { turnsThatFit } from './wraps.ts'

/** How goods go round the shank as a body, whatever part of the fly it is. */
export interface Winding {
  /** amounts that a line of it says */
  readonly asks: readonly Field[]
  /** amounts that a new line gets where it says none, bulk apart */
  readonly usual: Amounts
  /** amounts that follow from its goods and the length of its place */
  readonly worksOut: (component: Component, material: Material, placeMm: number) => Amounts
  /** what it adds to the diameter of what lies below it, mm */
  readonly addsMm: (component: Component, material: Material, hook: Hook) => number
  readonly substance: (seat: Seat) => Substance
}

/** Radial thickness of a dubbed body in gapes: the thinnest that covers, and what full bulk adds. */
const DUBBED_OF_GAPE = { thinnest: 0.05, added: 0.38 }
const USUAL_DENIER = 70

const of = (winding: Pick<Winding, 'addsMm' | 'substance'> & Partial<Winding>): Winding => ({
  asks: [],
  usual: {},
  worksOut: () => ({}),
  ...winding,
})

/** As thick as its bulk says. */
const FILLING = of({
  asks: ['bulk'],
  addsMm: ({ bulk = 0 }, _material, hook) =>
    2 * hook.gapeMm * (DUBBED_OF_GAPE.thinnest + DUBBED_OF_GAPE.added * bulk),
  substance: fillingSubstance,
})

/** Flat, edge to edge, in one layer. */
const FLAT = of({
  addsMm: (_component, material) => 2 * Math.max(valueOf(material, 'thicknessMm'), 0.04),
  substance: fillingSubstance,
})

/** A soft strand that is wound as closely as it lies. */
const SOFT_STRAND = of({
  addsMm: (_component, material) => 2 * valueOf(material, 'diameterMm') * 0.8,
  substance: fillingSubstance,
})

/** Turns of a strand that lie side by side. */
const closeTurns: Winding['worksOut'] = (_component, material, placeMm) => ({
  turns: turnsThatFit(placeMm, strandDiameterMm(material)),
})

const FIBRES = of({
  asks: ['fibreCount'],
  worksOut: (_component, material, placeMm) => ({ fibreCount: barbsThatCover(material, placeMm) }),
  addsMm: barbsAddMm,
  substance: barbsSubstance,
})

/** How each sort of goods is wound; what is not here is not wound as a body. */
const WINDINGS: Readonly<Partial<Record<MaterialKind, Winding>>> = {
  dubbing: FILLING,
  hair: FILLING,
  marabou: FILLING,
  cdc: FILLING,
  thread: of({
    asks: ['layers'],
    usual: { layers: 3 },
    worksOut: ({ layers = 3 }, material, placeMm) => ({
      turns: layers * turnsThatFit(placeMm, threadWidthMm(sizeNumber(material) ?? USUAL_DENIER)),
    }),
    addsMm: ({ layers = 1 }) => 2 * THREAD_LAYER_MM * layers,
    substance: woundSubstance,
  }),
  floss: of({
    asks: ['layers'],
    usual: { layers: 2 },
    addsMm: ({ layers = 1 }, material) => 2 * valueOf(material, 'thicknessMm') * layers,
    substance: fillingSubstance,
  }),
  wire: of({
    asks: ['turns'],
    worksOut: closeTurns,
    addsMm: (_component, material) => 2 * strandDiameterMm(material),
    substance: woundSubstance,
  }),
  rubber: of({
    asks: ['turns'],
    worksOut: closeTurns,
    // half round: its flat side lies on the shank
    addsMm: (_component, material) =>
      strandDiameterMm(material) * (material.family.massModel === 'halfRound' ? 1 : 2),
    substance: woundSubstance,
  }),
  quill: FLAT,
  tinsel: FLAT,
  sheet: { ...FLAT, substance: sheetSubstance },
  herl: of({
    asks: ['strands'],
    worksOut: (_component, material, placeMm) => ({ strands: barbsThatCover(material, placeMm) }),
    addsMm: (_component, material) => herlAddsMm(material),
    substance: herlSubstance,
  }),
  yarn: SOFT_STRAND,
  fibre: FIBRES,
  feather: FIBRES,
  chenille: of({
    addsMm: (_component, material) => pileAddsMm(material),
    substance: pileSubstance,
  }),
  strip: of({
    addsMm: (_component, material) => furAddsMm(material),
    substance: woundFurSubstance,
  }),
  foam: of({
    asks: ['widthMm'],
    worksOut: (_component, material) => worksOutFoam(material),
    addsMm: ({ widthMm }, material) => foamAddsMm(widthMm, material),
    substance: (seat) => foamSubstance(seat, 'bound'),
  }),
  bead: of({
    addsMm: (_component, material, hook) => Math.max(strandDiameterMm(material) - hook.wireMm, 0),
    substance: beadSubstance,
  }),
}

/** How goods are wound; those that nobody winds as if they were dubbed. */
export const windingOf = (goods: MaterialKind): Winding => WINDINGS[goods] ?? FILLING

/** What a body that is wound or dubbed is asked. */
export const asksOfBody = (goods: MaterialKind): readonly Field[] => windingOf(goods).asks

/** Layers of thread or floss, else so much bulk where bulk says anything. */
export const usualOfBody =
  (bulk: number) =>
  (_component: Component, { family }: Material): Amounts => {
    const { asks, usual } = windingOf(family.kind)
    return asks.includes('bulk') ? { ...usual, bulk } : usual
  }

/** Amounts of a body that follow from its goods and its place. */
export const worksOutOfBody: Winding['worksOut'] = (component, material, placeMm) =>
  windingOf(material.family.kind).worksOut(component, material, placeMm)

/** Diameter that a body adds to what lies below it, mm, by its goods. */
export const bodyDiameterMm: Winding['addsMm'] = (component, material, hook) =>
  windingOf(material.family.kind).addsMm(component, material, hook)

/** What is wound of any goods. */
export const bodySubstance = (seat: Seat): Substance =>
  windingOf(seat.component.material.family.kind).substance(seat)
