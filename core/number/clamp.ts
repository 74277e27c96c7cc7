/** A value held within least and most, which are in that order. */
export const clamp = (value: number, least: number, most: number): number =>
  Math.min(Math.max(value, least), most)
