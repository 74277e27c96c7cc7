import type { RigWay } from '../core/index.ts'

/** A rig as the tier typed it. */
export interface DemoRig {
  readonly name: string
  readonly way: RigWay
  readonly typed: string
  readonly note: string
  /** when its knots were tied */
  readonly knotsOn?: string
  /** counts that were made with it: depth, seconds, water */
  readonly counts?: readonly (readonly [depthMm: number, countS: number, waterTempC: number])[]
}

/** Rigs for the three outings that come. */
export const rigs: readonly DemoRig[] = [
  { name: 'Tight line, one nymph', way: 'tight', typed: '2 m 0.25 nylon, 60 cm 0.20 nylon, ring 15 mg, 1.4 m 0.13 fluorocarbon, point Third Button #16 W 2.8', note: 'The one I begin with at Bridge Reach.', knotsOn: '2026-05-09' },
  { name: 'Tight line, team of two', way: 'tight', typed: '2 m 0.25 nylon, 60 cm 0.20 nylon, ring 15 mg, 90 cm 0.14 fluorocarbon, dropper 15 cm Turned Collar #14 olive, 50 cm 0.13 fluorocarbon, point Third Button #14 W 3.3', note: 'Heavy one on the point.', knotsOn: '2026-06-01' },
  { name: 'Dry, three metres', way: 'carried', typed: '12 m floating line 1.1 mm, 3 m leader 0.45 to 0.16 copolymer, 60 cm 0.13 copolymer, dry Damp Straw #16 olive', note: 'Copolymer: it does not pull the fly under.' },
  { name: 'Dry with a dropper below', way: 'carried', typed: '12 m floating line 1.1 mm, 2.7 m leader 0.45 to 0.18 copolymer, dry Paper Lantern #10 2XL, 50 cm 0.13 copolymer, point Third Button #16 no bead', note: '' },
  { name: 'Brook, one dry', way: 'carried', typed: '10 m floating line 1.1 mm, 3.6 m leader 0.45 to 0.14 copolymer, 80 cm 0.11 copolymer, dry Kettle Lid #16 olive', note: 'One fly, barbless, by my note of the brook.' },
  { name: 'Float over the shoal', way: 'carried', typed: '12 m floating line 1.1 mm, 1.2 m leader 0.45 to 0.20 nylon, float 12 mm 200 mg, 90 cm 0.18 fluorocarbon, dropper 15 cm Skiff #14 B 2.4, 80 cm 0.16 fluorocarbon, point Grain of Doubt #12 red', note: '' },
  { name: 'Slow sinker, two flies', way: 'counted', typed: '12 m sinking line 1 mm at 7.5 cm/s, 1.2 m 0.22 fluorocarbon, dropper 15 cm Pepper Pot #12 orange, 1.2 m 0.20 fluorocarbon, point Turned Collar #12 olive', note: '', counts: [[3000, 66, 14]] },
  { name: 'Floating line, long leader', way: 'counted', typed: '12 m floating line 1.1 mm, 2.7 m leader 0.45 to 0.20 nylon, 90 cm 0.18 fluorocarbon, dropper 15 cm Skiff #14 B 2.4, 1.2 m 0.16 fluorocarbon, point Bell Rope #12 black', note: 'Count it down, then hardly move it.' },
] // prettier-ignore
