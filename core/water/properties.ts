/** Standard acceleration of free fall, mm/s². One mg of weight is this many mg·mm/s². */
export const GRAVITY_MM_PER_S2 = 9806.65

/** What a fluid pushes with. */
export interface Fluid {
  /** mg/mm³, equal to g/cm³ */
  readonly densityMgPerMm3: number
  /** mg/(mm·s), equal to mPa·s */
  readonly viscosityMgPerMmS: number
}

/** Air at 15 °C at sea level. ISO 2533:1975, Standard atmosphere. */
export const AIR: Fluid = { densityMgPerMm3: 1.225e-3, viscosityMgPerMmS: 1.7894e-2 }

/** Fresh water at one temperature, in core's units. */
export interface WaterProperties extends Fluid {
  /** °C, 0 to 30 */
  readonly tempC: number
  /** mg/s², equal to 1000 × mN/m ÷ 1000: force per length with mass in mg and length in mm */
  readonly surfaceTensionMgPerS2: number
}

/** Density of air-free water at one atmosphere, mg/mm³, 0 to 30 °C. Kell 1975, J. Chem. Eng. Data 20, 97. */
function densityMgPerMm3(t: number): number {
  const kgPerM3 =
    (999.83952 +
      16.945176 * t -
      7.9870401e-3 * t ** 2 -
      46.170461e-6 * t ** 3 +
      105.56302e-9 * t ** 4 -
      280.54253e-12 * t ** 5) /
    (1 + 16.87985e-3 * t)
  return kgPerM3 / 1000
}

/** Dynamic viscosity at 0.1 MPa, mg/(mm·s). IAPWS 2008 correlation for liquid water at 0.1 MPa. */
function viscosityMgPerMmS(t: number): number {
  const x = (t + 273.15) / 300
  return (280.68 * x ** -1.9 + 511.45 * x ** -7.7 + 61.131 * x ** -19.6 + 0.45903 * x ** -40) / 1000
}

/** Surface tension of clean water, mg/s². IAPWS R1-76 (2014). */
function surfaceTensionMgPerS2(t: number): number {
  const tau = 1 - (t + 273.15) / 647.096
  return 235.8 * tau ** 1.256 * (1 - 0.625 * tau) * 1000
}

/**
 * Fresh water at a temperature.
 *
 * @param tempC 0 to 30 °C
 * @throws RangeError outside that range
 * @example waterAt(10).viscosityMgPerMmS // 1.306
 */
export function waterAt(tempC: number): WaterProperties {
  if (latest?.tempC === tempC) return latest
  if (!(tempC >= 0 && tempC <= 30)) throw new RangeError(`water temperature ${tempC} °C is outside 0 to 30 °C`)
  latest = {
    tempC,
    densityMgPerMm3: densityMgPerMm3(tempC),
    viscosityMgPerMmS: viscosityMgPerMmS(tempC),
    surfaceTensionMgPerS2: surfaceTensionMgPerS2(tempC),
  }
  return latest
}

/** Thousands of weightings in a row ask for the same water. */
let latest: WaterProperties | null = null
