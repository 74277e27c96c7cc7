import type { Trust } from '../plan/index.ts'
import type { Layout } from '../layout/index.ts'

/** Ways to arrange a box, as tiers say them. */
export const layoutName: Readonly<Record<Layout, string>> = {
  foodAndStage: 'by food and stage',
  situation: 'by situation',
  season: 'by season',
  depthAndWeight: 'by depth and weight',
  confidence: 'by confidence',
}

/** How far a fly is trusted by what it took. */
export const trustWord: Readonly<Record<Trust, string>> = {
  trusted: 'trusted',
  promising: 'promising',
  notFished: 'not fished yet',
  poor: 'fished, took little',
}

const PLACES: Readonly<Record<string, string>> = {
  usualWater: 'usual water',
  lowClear: 'low clear water',
  dirtyWater: 'dirty water',
  fastAndDeep: 'fast and deep',
  searching: 'searching',
  spring: 'spring',
  summer: 'summer',
  autumn: 'autumn',
  winter: 'winter',
  severalSeasons: 'several seasons',
  allYear: 'all year',
  floats: 'on and in the film',
  slow: 'sinks slowly',
  middling: 'mid-water',
  fast: 'sinks fast',
  anchor: 'anchors',
  weightUnknown: 'weight unknown',
  ...trustWord,
}

const spaced = (word: string) => word.replace(/([A-Z])/g, ' $1').toLowerCase()

/** What a compartment of a proposed box is called: `Mayfly, nymph`. */
export function proposedPlaceName(code: string): string {
  const words = PLACES[code] ?? code.split('|').map(spaced).join(', ')
  return words.charAt(0).toUpperCase() + words.slice(1)
}
