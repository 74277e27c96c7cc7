export { filmLimitMg, postureOf, POSTURES, rideOf, tuftLiftMg } from './ride.ts'
export type { Bears, Posture, Ride, Wetting } from './ride.ts'
export { trimmable, trimSteps } from './trim.ts'
export type { Cut, Trimmed } from './trim.ts'
