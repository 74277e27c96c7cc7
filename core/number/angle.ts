/** Radians of an angle in degrees. */
export const radians = (deg: number): number => (deg * Math.PI) / 180

/** Degrees of an angle in radians. */
export const degrees = (rad: number): number => (rad * 180) / Math.PI
