import type { WetState } from '../dressing/index.ts'
import type { Tippet } from '../sink/index.ts'

/** The water and the state of the fly that a report speaks for. */
export interface Conditions {
  /** °C, 0 to 30 */
  readonly waterTempC: number
  /** line that trails; null for free fall */
  readonly tippet: Tippet | null
  readonly wet: WetState
  /** what was put on the fly against wetting */
  readonly filmTreatment: 'none' | 'floatant'
}

/** What lists sort by: free fall at 10 °C, dipped and cast. */
export const LIST_CONDITIONS: Conditions = { waterTempC: 10, tippet: null, wet: 'fresh', filmTreatment: 'none' }

/** A line off the spool is never straight: its middle case, degrees. Straight is the fast end of what it may do. */
export const USUAL_CURL_DEG = 15

/** 0.13 mm copolymer, half a metre of it trailing: what sheets show beside the free fall. */
export const USUAL_TIPPET: Tippet = {
  diameterMm: 0.13,
  densityMgPerMm3: 1.13,
  lengthMm: 500,
  curlDeg: USUAL_CURL_DEG,
}

/** The leader that trails as a fly sinks from the surface; at its end the fly swings. */
export const USUAL_LEADER: Tippet = { ...USUAL_TIPPET, lengthMm: 3600 }
