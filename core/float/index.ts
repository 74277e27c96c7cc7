export { filmLimitMg, POSTURES, rideOf, tuftLiftMg } from './ride.ts'
export type { Bears, Posture, Ride, Wetting } from './ride.ts'
