/**
 * Drag coefficient of a smooth sphere on πD²/4.
 * Brown & Lawler 2003, J. Environ. Eng. 129, 222; Re up to 2e5.
 *
 * @param reynolds above 0
 */
export function sphereDragCoefficient(reynolds: number): number {
  return (24 / reynolds) * (1 + 0.15 * reynolds ** 0.681) + 0.407 / (1 + 8710 / reynolds)
}

/**
 * Drag coefficient of a long cylinder across the flow, on diameter × length.
 * Sucker & Brauer 1975, Wärme- und Stoffübertragung 8, 149; 1e-4 < Re < 2e5.
 *
 * @example cylinderDragCoefficient(100) // 1.45
 */
export function cylinderDragCoefficient(reynolds: number): number {
  const re = Math.max(reynolds, 1e-4)
  return 1.18 + 6.8 / re ** 0.89 + 1.96 / Math.sqrt(re) - (0.0004 * re) / (1 + 3.64e-7 * re ** 2)
}

/** What decides the drag coefficient of a bluff body at every Reynolds number. */
export interface BluffShape {
  /** of 1 / Re in the friction */
  readonly creeping: number
  /** of 1 / √Re in the friction */
  readonly boundary: number
  readonly pressure: number
}

/**
 * Shape of a body that is no sphere, for its drag coefficient on π d²/4 with d the diameter of the sphere of equal
 * volume. Hölzer & Sommerfeld 2008, Powder Technol. 184, 361, in the form with the crosswise sphericity in the first
 * term; within 15 % for most shapes.
 *
 * @param sphericity surface of the sphere of equal volume over the body's own, 0 to 1
 * @param crosswise  section of the sphere of equal volume over the body's area facing the flow
 */
export const bluffShape = (sphericity: number, crosswise: number): BluffShape =>
  turnedAcross(bluffOutline(sphericity), crosswise)

/** What of {@link bluffShape} does not change as a body turns. */
export function bluffOutline(sphericity: number): BluffShape {
  const roughness = 0.4 * Math.max(-Math.log10(sphericity), 0) ** 0.2
  return {
    creeping: 16 / Math.sqrt(sphericity),
    boundary: 3 / sphericity ** 0.75,
    pressure: 0.42 * 10 ** roughness,
  }
}

/** An outline turned so that it has this crosswise sphericity; see {@link bluffShape}. */
export const turnedAcross = (outline: BluffShape, crosswise: number): BluffShape => ({
  creeping: 8 / Math.sqrt(crosswise) + outline.creeping,
  boundary: outline.boundary,
  pressure: outline.pressure / crosswise,
})

/**
 * The part of a bluff body's drag coefficient that friction makes; pressure makes the rest.
 *
 * @param reynolds on the volume-equivalent diameter, above 0
 */
export const bluffFriction = (shape: BluffShape, reynolds: number): number =>
  shape.creeping / reynolds + shape.boundary / Math.sqrt(reynolds)

/**
 * Force on a thin cylinder along the flow, mg·mm/s²: F = C μ U L, with C = 2π / ln(1 + y),
 * y = √X (1 + 0.506 / (1 + 0.6 X^0.28)) and X = ν L / (U a²). After the boundary layer on a long thin cylinder
 * of Glauert & Lighthill 1955, Proc. R. Soc. A 230, 188, joined to its thick end.
 *
 * @param speedMmPerS   along the axis, above 0
 * @param viscosity     mg/(mm·s)
 * @param density       mg/mm³
 */
export function axialCylinderForce(
  speedMmPerS: number,
  lengthMm: number,
  diameterMm: number,
  viscosity: number,
  density: number,
): number {
  if (speedMmPerS <= 0 || lengthMm <= 0 || diameterMm <= 0) return 0
  const x = (viscosity / density) * (lengthMm / (speedMmPerS * (diameterMm / 2) ** 2))
  const y = Math.sqrt(x) * (1 + 0.506 / (1 + 0.6 * x ** 0.28))
  // a line of next to no length has next to no force; so short a one would divide nought by nought
  return y > 0 ? ((2 * Math.PI) / Math.log1p(y)) * viscosity * speedMmPerS * lengthMm : 0
}
