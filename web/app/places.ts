/** The nine places in work order, each with its digit. */
export const PLACES = [
  { digit: 1, path: '/', name: 'Tonight' },
  { digit: 2, path: '/waters', name: 'Waters' },
  { digit: 3, path: '/larder', name: 'Larder' },
  { digit: 4, path: '/patterns', name: 'Patterns' },
  { digit: 5, path: '/tank', name: 'Tank' },
  { digit: 6, path: '/bench', name: 'Bench' },
  { digit: 7, path: '/boxes', name: 'Boxes' },
  { digit: 8, path: '/outings', name: 'Outings' },
  { digit: 9, path: '/stores', name: 'Stores' },
] as const

export type PlaceName = (typeof PLACES)[number]['name']
