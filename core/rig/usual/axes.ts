/** Where the depths of usual rigs are worked out: between them they are taken from those around. */
export const AXES = {
  bedMm: [300, 500, 800, 1300, 2200, 3600, 6000],
  surfaceMmPerS: [0, 150, 350, 650, 1000, 1500, 2200],
  submergedMg: [1, 5, 25, 90, 300],
  fallMmPerS: [10, 20, 40, 80, 150, 260, 420],
} as const
export type Axis = keyof typeof AXES
/** From the slowest to the fastest to run through the table. */
export const AXIS_ORDER = ['bedMm', 'surfaceMmPerS', 'submergedMg', 'fallMmPerS'] as const
