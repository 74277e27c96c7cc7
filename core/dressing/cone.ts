/** A cone, wide at the rear, bored and hollowed; shares of its diameter, and of its frustum for the hollow. */
export const CONE = {
  usualMm: 4,
  lengthOfDiameter: 0.85,
  noseOfDiameter: 0.45,
  boreOfDiameter: 0.4,
  cavityShare: 0.22,
}
