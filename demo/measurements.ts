import type { DropTestBody } from '../contract/index.ts'
import type { DrawerKey } from './drawers.ts'

/** A drop test of the valley. */
export interface DemoDrop extends Pick<DropTestBody, 'depthMm' | 'timing' | 'vesselMm' | 'wet' | 'note'> {
  readonly on: string
  readonly pattern: string
  readonly label: string
  /** mm of line and its thickness */
  readonly line: readonly [lengthMm: number, diameterMm: number] | null
  readonly times: readonly number[]
}

/** Goods of the valley on the scale. */
export interface DemoWeighing {
  readonly on: string
  readonly drawer: DrawerKey
  readonly count: number
  readonly totalMg: number
  readonly note: string
}

const TUBE = { depthMm: 1200, vesselMm: 150, timing: 'film' } as const

/** Five tests that disagree with the estimate, each for another reason. */
export const drops: readonly DemoDrop[] = [
  {
    ...TUBE,
    on: '2026-03-08T19:00:00Z',
    pattern: 'Third Button',
    label: '#16 W 2.8',
    line: [500, 0.13],
    wet: 'dry',
    times: [4.2, 4.1, 4.0],
    note: 'Straight from the vise. The collar held air.',
  },
  {
    ...TUBE,
    on: '2026-03-08T19:20:00Z',
    pattern: 'Third Button',
    label: '#16 W 2.8',
    line: [500, 0.13],
    wet: 'soaked',
    times: [3.1, 3.2, 3.2, 3.2],
    note: 'Soaked and squeezed.',
  },
  {
    ...TUBE,
    on: '2026-03-14T20:00:00Z',
    pattern: 'Rag Rug',
    label: '#12 green',
    line: [500, 0.13],
    wet: 'soaked',
    times: [4.2, 4.1, 4.3],
    note: 'Much too slow: weigh the beads.',
  },
  {
    ...TUBE,
    on: '2026-03-21T20:00:00Z',
    pattern: 'Bell Rope',
    label: '#12 black',
    line: [500, 0.15],
    wet: 'soaked',
    times: [3.1, 3.2, 3.1, 3.2],
    note: 'Faster than it should be: weigh the hooks.',
  },
  {
    ...TUBE,
    on: '2026-04-02T20:00:00Z',
    pattern: 'Nettle Soup',
    label: '#10 pale',
    line: [500, 0.15],
    wet: 'soaked',
    times: [3.6, 3.6, 3.7],
    note: 'The marabou folds back as it falls.',
  },
  {
    on: '2026-04-05T20:00:00Z',
    pattern: 'Coal Scuttle',
    label: '#10 W 4.0',
    depthMm: 300,
    vesselMm: 120,
    timing: 'thumb',
    line: null,
    wet: 'soaked',
    times: [0.98, 0.75, 1.03, 0.8],
    note: 'In a vase, with a thumb.',
  },
]

/** What the scale found of two of them. */
export const weighings: readonly DemoWeighing[] = [
  {
    on: '2026-03-15T19:00:00Z',
    drawer: 'wdr33copper',
    count: 10,
    totalMg: 1290,
    note: 'Brass in the tungsten jar.',
  },
  {
    on: '2026-03-22T19:00:00Z',
    drawer: 'ch12',
    count: 10,
    totalMg: 520,
    note: 'Heavier wire than the packet says.',
  },
]
