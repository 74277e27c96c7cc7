/** What a line of a dressing may be asked for: amounts, a free length, a pin, what shears have left, a side. */
export type Field =
  'turns' | 'fibreCount' | 'strands' | 'layers' | 'bulk' | 'widthMm' | 'length' | 'pin' | 'clipped' | 'side'

/** What a figure of a line can be. */
export interface Limits {
  readonly min: number
  readonly max: number
  /** whole ones only */
  readonly whole: boolean
}

/** What each figure of a line can be: for the page, for what is saved and for what is read from a typed line. */
export const FIELD_LIMITS = {
  turns: { min: 0, max: 200, whole: false },
  fibreCount: { min: 0, max: 500, whole: true },
  strands: { min: 0, max: 200, whole: true },
  layers: { min: 1, max: 20, whole: true },
  bulk: { min: 0, max: 1, whole: false },
  clipped: { min: 0, max: 1, whole: false },
  /** of a strip of foam */
  widthMm: { min: 0.5, max: 40, whole: false },
  pin: { min: 0, max: 30, whole: false },
  /** of a shank, a gape, a hook, a bead or a component */
  factor: { min: 0, max: 20, whole: false },
  lengthMm: { min: 0, max: 200, whole: false },
} as const satisfies Readonly<Record<string, Limits>>
