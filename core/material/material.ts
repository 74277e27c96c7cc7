import type { Evidence } from '../uncertainty/index.ts'
import type { PropertyName } from './properties.ts'

/** What a material is. A kind decides which properties it has and what its missing ones default to. */
export const MATERIAL_KINDS = [
  'hook', 'bead', 'cone', 'eyes', 'wire', 'sheet', 'thread', 'floss', 'quill', 'herl', 'fibre', 'dubbing', 'chenille',
  'yarn', 'tinsel', 'hackle', 'cdc', 'marabou', 'feather', 'hair', 'strip', 'foam', 'rubber', 'resin', 'other', 'tippet',
  'line', 'leader', 'float', 'shot', 'swivel', 'ring',
] as const // prettier-ignore
export type MaterialKind = (typeof MATERIAL_KINDS)[number]

/** What stock is counted in: pieces, mm of length, mg of mass, or cm² of skin or sheet. */
export type StockUnit = 'count' | 'mm' | 'mg' | 'patch'

/** One physical property with its 80 % limits and where it comes from. Units stand in the property's name. */
export interface Property {
  readonly value: number
  readonly low: number
  readonly high: number
  readonly evidence: Evidence
}

/** Physical properties by name; a property that is not there does not apply to the kind. */
export type Physics = Readonly<Partial<Record<PropertyName, Property>>>

/** How a hook family is bent and counted. */
export interface HookConvention {
  readonly style: string
  /** nX long: the shank of a standard hook n sizes larger */
  readonly xLong: number
  /** nX heavy: the wire of a standard hook n sizes larger; below nought for fine wire */
  readonly xHeavy: number
  /** what counts as one size in nX */
  readonly steps: 'wholeSizes' | 'evenSizes'
}

/** What a hook has behind its point: a barb, one that is crushed at the vise, or none. */
export const BARBS = ['barbed', 'crushed', 'barbless'] as const
export type Barb = (typeof BARBS)[number]

/** How a bead is bored. */
export type BeadBoring = 'drilled' | 'countersunk' | 'slotted' | 'offCentre'

/** How a fly line is built: alike all along, its thin tip denser so that it keeps up, or floating with a tip that sinks. */
export interface LineMake {
  readonly build: 'uniform' | 'compensated' | 'sinkTip'
  readonly tipMm: number
  /** thickness of its tip over that of the rest */
  readonly tipOfBelly: number
}

/** What it is: the properties that all sizes and colours of one kind of goods share. */
export interface MaterialFamily {
  readonly kind: MaterialKind
  readonly name: string
  readonly massModel: string
  readonly physics: Physics
  readonly hook: HookConvention | null
  readonly boring: BeadBoring | null
  /** of a fly line; of others, and of lines of which nobody said, null or absent */
  readonly line?: LineMake | null
  readonly stockUnit: StockUnit
  /** share of what is cut that is thrown away, 0 to 1 */
  readonly wasteShare: number
  /** what is cut at once, mm; 0 where it does not apply */
  readonly cutLengthMm: number
  readonly cautions: readonly string[]
}

/** One drawer of a family: a size and a colour. */
export interface Material {
  readonly id: string
  readonly family: MaterialFamily
  /** hook size, diameter in mm, denier, or '' where the family has no sizes */
  readonly sizeKey: string
  readonly colourName: string
  readonly colourHex: string
  readonly colourWetHex: string
  /** what the user knows better of this drawer than its family does; a hook's measured shank, gape and wire among it */
  readonly overrides?: Physics
  /** of a hook; null or absent where nobody said */
  readonly barb?: Barb | null
}
