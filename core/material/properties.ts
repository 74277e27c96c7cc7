import type { MaterialKind } from './material.ts'

/** What a physical property is: its unit, what it can be, and what is taken where a material says nothing of it. */
export interface PropertyOf {
  readonly unit: 'mg/mm³' | 'mg/mm' | 'mg/mm²' | 'mm' | '1/mm' | '1/mm²' | '1/m' | 's' | 'h' | 'kPa' | 'GPa' | '°' | 'count' | 'share' | 'factor' | 'exponent' // prettier-ignore
  readonly least: number
  readonly most: number
  /** taken where neither drawer nor family says anything; by kind of goods where one figure does not do for all */
  readonly fallback: number
  readonly fallbackOf?: Readonly<Partial<Record<MaterialKind, number>>>
  /** what it means, and where the fallback comes from */
  readonly source: string
}

/**
 * All physical properties of goods. Families that ship give nearly all of them with limits; a fallback only speaks for
 * goods of somebody's own of which nothing is known. "Kind default" is the median of the shipped families.
 */
export const PROPERTIES = {
  // ---- what it weighs
  densityMgPerMm3: { unit: 'mg/mm³', least: 0.005, most: 23, fallback: 1.3, fallbackOf: { hook: 7.85, bead: 8.5, cone: 8.5, eyes: 8, wire: 8, sheet: 7.5, foam: 0.12, resin: 1.18, strip: 1.33 }, source: 'Of the solid without air, of foam with its cells. Keratin 1.30; metals by kind.' },
  linearMassMgPerMm: { unit: 'mg/mm', least: 0, most: 200, fallback: 0.01, source: 'Of one mm of strand, fibre, feather or strip. About a 70 denier thread.' },
  arealMassMgPerMm2: { unit: 'mg/mm²', least: 0, most: 20, fallback: 0.2, source: 'Of sheet goods. A thin latex.' },
  coreMassMgPerMm: { unit: 'mg/mm', least: 0, most: 20, fallback: 0, source: 'Of the core that a pile is held in.' },
  skinDensityMgPerMm3: { unit: 'mg/mm³', least: 0.1, most: 2, fallback: 0.6, source: 'Of dried skin.' },
  barbuleMassFactor: { unit: 'factor', least: 1, most: 10, fallback: 1, source: 'Mass of a barb with its barbules over the barb alone.' },
  hollowShare: { unit: 'share', least: 0, most: 0.95, fallback: 0, source: 'Share of a fibre’s own section that is sealed air.' },
  packingShare: { unit: 'share', least: 0.0001, most: 1, fallback: 0.5, fallbackOf: { bead: 1, cone: 1, eyes: 1, sheet: 0.92, strip: 0.14, hair: 0.3, fibre: 0.3, marabou: 0.3, feather: 0.3, cdc: 0.3, hackle: 0.3 }, source: 'Solid share of the volume once wound, dubbed or bunched.' },
  liquidDensityMgPerMm3: { unit: 'mg/mm³', least: 0.6, most: 2, fallback: 1, source: 'Before it sets.' },
  solidsShare: { unit: 'share', least: 0, most: 1, fallback: 1, source: 'Share of a liquid’s volume that stays.' },
  waterUptakeShare: { unit: 'share', least: 0, most: 2, fallback: 0, source: 'Water drunk by the solid itself, mg per mg.' },
  // ---- how large it is
  diameterMm: { unit: 'mm', least: 0.005, most: 30, fallback: 1.5, fallbackOf: { bead: 3, cone: 4, eyes: 3 }, source: 'Of a strand or its envelope. A medium chenille.' },
  widthMm: { unit: 'mm', least: 0.02, most: 50, fallback: 3, source: 'Of a flat strand, or of the skin of a strip: the usual cut.' },
  thicknessMm: { unit: 'mm', least: 0.002, most: 20, fallback: 0.12, fallbackOf: { floss: 0.08, foam: 2, feather: 0.08 }, source: 'Of a flat strand, sheet or skin.' },
  stemDiameterMm: { unit: 'mm', least: 0.02, most: 2, fallback: 0.2, source: 'Mean over the usable stem of a feather.' },
  coatThicknessMm: { unit: 'mm', least: 0.005, most: 2, fallback: 0.06, source: 'Of one coat.' },
  fibreDiameterMm: { unit: 'mm', least: 0.001, most: 3, fallback: 0.04, fallbackOf: { dubbing: 0.02, strip: 0.016, tinsel: 0.1, quill: 0.1 }, source: 'Round fibre of equal section, at its thick end.' },
  fibreTaper: { unit: 'share', least: 0, most: 1, fallback: 0.5, source: 'Tip over butt diameter.' },
  fibreLengthMm: { unit: 'mm', least: 0.1, most: 300, fallback: 15, source: 'Free length on a fly of size 12 to 14; staple of dubbing.' },
  usableLengthMm: { unit: 'mm', least: 1, most: 100_000, fallback: 50, source: 'Of strand, stem, hair or fibre worth tying.' },
  fibresPerMm: { unit: '1/mm', least: 0.1, most: 5000, fallback: 6, source: 'Of a stem, both sides together: a stiff cape.' },
  fibresPerMm2: { unit: '1/mm²', least: 0.1, most: 2000, fallback: 120, source: 'Of skin, all hairs counted.' },
  fibresPerFeather: { unit: 'count', least: 0, most: 2000, fallback: 0, source: 'Usable ones; nought where fibres are counted one by one.' },
  cutLengthMm: { unit: 'mm', least: 0, most: 1000, fallback: 0, source: 'Usually cut for one use; 0 from the spool or by the piece.' },
  // ---- how the water pushes it
  dragEnvelope: { unit: 'share', least: 0.05, most: 1.5, fallback: 0.8, fallbackOf: { strip: 0.75, quill: 0.7 }, source: 'Drag of a dressed bunch over that of a solid of its outline.' },
  foldExponent: { unit: 'exponent', least: 0, most: 1, fallback: 0, fallbackOf: { strip: 0.6 }, source: 'p in area ∝ speed^−p about 300 mm/s.' },
  modulusGPa: { unit: 'GPa', least: 0.01, most: 250, fallback: 3, fallbackOf: { yarn: 2, foam: 0.01, rubber: 0.01 }, source: 'Young’s modulus. Keratin of feather and hair 2.5 to 3.5 (Bonser & Purslow 1995, J. Exp. Biol. 198, 1029); spun synthetics 1 to 4.' },
  stiffness: { unit: 'share', least: 0, most: 1, fallback: 0.2, source: '0 limp to 1 rigid.' },
  // ---- what holds it up
  airShareDry: { unit: 'share', least: 0, most: 1, fallback: 0, source: 'Share of the voids that holds air when the fly first goes in.' },
  wettingTimeS: { unit: 's', least: 0.05, most: 1e7, fallback: 30, source: 'Time constant to lose that air lying undisturbed.' },
  wettingStrokes: { unit: 'count', least: 0.05, most: 1e6, fallback: 2, source: 'Casts or squeezes that leave 37 % of it.' },
  filmSupportShare: { unit: 'share', least: 0, most: 0.6, fallback: 0.1, source: 'Share of the film’s limit that it reaches dry and untreated.' },
  contactAngleUntreatedDeg: { unit: '°', least: 0, most: 180, fallback: 72, source: 'Of a drop of water, untreated.' },
  contactAngleTreatedDeg: { unit: '°', least: 0, most: 180, fallback: 97, source: 'Of a drop of water, with floatant.' },
  compression25KPa: { unit: 'kPa', least: 1, most: 1e4, fallback: 60, source: 'Pressure that squeezes foam by a quarter.' },
  volumeShareUnderThread: { unit: 'share', least: 0.05, most: 1, fallback: 0.4, source: 'Share of foam volume left where thread binds it.' },
  volumeLossPerM: { unit: '1/m', least: 0, most: 1, fallback: 0.02, source: 'Share of volume lost for each metre of depth.' },
  wettingTimeFactor: { unit: 'factor', least: 0.01, most: 100, fallback: 1, source: 'What a treatment does to both wetting figures.' },
  filmSupportFactor: { unit: 'factor', least: 0.1, most: 10, fallback: 1, source: 'What a treatment does to the film support.' },
  surfaceTensionFactor: { unit: 'factor', least: 0.3, most: 1, fallback: 1, source: 'What a treatment does to the film close to the fly.' },
  // ---- how it is used
  dryingH: { unit: 'h', least: 0, most: 500, fallback: 0, source: 'Until one coat may be fished or coated again.' },
  wasteShare: { unit: 'share', least: 0, most: 0.95, fallback: 0, source: 'Of what is cut or taken, the share thrown away.' },
  translucency: { unit: 'share', least: 0, most: 1, fallback: 0, source: '0 opaque to 1 clear, wet.' },
  durability: { unit: 'share', least: 0, most: 1, fallback: 0.5, source: '0 gone after a fish to 1 outlasts the hook.' },
  // ---- a hook as someone measured it
  shankMm: { unit: 'mm', least: 1, most: 120, fallback: 0, source: 'Rear of the eye to the start of the bend, by calliper.' },
  gapeMm: { unit: 'mm', least: 0.5, most: 60, fallback: 0, source: 'Shank to point, by calliper.' },
  wireMm: { unit: 'mm', least: 0.1, most: 3, fallback: 0, source: 'Diameter of the hook’s wire, by calliper.' },
} as const satisfies Readonly<Record<string, PropertyOf>> // prettier-ignore

export type PropertyName = keyof typeof PROPERTIES

/** Names of all properties. */
export const PROPERTY_NAMES = Object.keys(PROPERTIES) as readonly PropertyName[]

/** What a property is; see {@link PROPERTIES}. */
export const propertyOfName = (name: PropertyName): PropertyOf => PROPERTIES[name]

export const isPropertyName = (name: string): name is PropertyName => Object.hasOwn(PROPERTIES, name)
