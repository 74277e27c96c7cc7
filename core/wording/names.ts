import type { Drill } from '../drill/index.ts'
import type { ComponentKind } from '../dressing/index.ts'
import type { SplashWord } from '../evaluate/index.ts'
import type { Bears, Posture } from '../float/index.ts'
import type { Barb } from '../material/index.ts'
import type { Role } from '../plan/index.ts'
import type { DepthBand, WaterKind } from '../season/index.ts'

/** Kinds of component as tiers say them. */
export const componentName: Readonly<Record<ComponentKind | 'hook', string>> = {
  hook: 'hook', bead: 'bead', cone: 'cone', eyes: 'eyes', wire: 'turns of wire', sheet: 'sheet', thread: 'thread',
  tail: 'tail', shuck: 'trailing shuck', body: 'body', rib: 'rib', thorax: 'thorax', gills: 'gills', legs: 'legs',
  collar: 'collar', hackle: 'hackle', wing: 'wing', post: 'post', wingCase: 'wing case', back: 'back', strip: 'strip',
  foam: 'foam', coat: 'resin coat', hotSpot: 'hot spot', egg: 'egg', head: 'head',
} // prettier-ignore

export const depthBandName: Readonly<Record<DepthBand, string>> = {
  bottom: 'near the bottom',
  midWater: 'mid-water',
  topHalfMetre: 'top half metre',
  inFilm: 'in the film',
  onFilm: 'on the film',
}

/** What a hook has behind its point. */
export const barbName: Readonly<Record<Barb, string>> = {
  barbed: 'a barb',
  crushed: 'a barb that I crush at the vise',
  barbless: 'no barb',
}

/** What a pattern is kept for. */
export const roleName: Readonly<Record<Role, string>> = {
  prospecting: 'prospecting',
  whenChoosy: 'when they are choosy',
  muted: 'muted',
  anchor: 'anchor',
}

export const waterKindName: Readonly<Record<WaterKind, string>> = {
  freestone: 'freestone river',
  springFed: 'spring-fed river',
  tailwater: 'tailwater',
  smallStream: 'small stream',
  lowlandStillwater: 'lowland stillwater',
  uplandTarn: 'upland tarn',
  reservoir: 'reservoir',
}

/** Ways a fly is lost, as tapped when the box is emptied. */
export const LOSS_CAUSES = ['bottom', 'tree', 'fish', 'knot', 'chewed', 'rust', 'given', 'dropped'] as const
export type LossCause = (typeof LOSS_CAUSES)[number]

const ONES = [
  'no',
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
  'eleven',
  'twelve',
]

/** A small count in words, figures from thirteen: `three`. */
export const countInWords = (count: number): string => ONES[count] ?? String(count)

/** How a fly rides, after "floats". */
export const postureWord: Readonly<Record<Posture, string>> = {
  proud: 'proud on its hackle',
  low: 'low on the film',
  inFilm: 'in the film',
  hanging: 'hanging below the film',
  awash: 'awash, just under',
}

/** What water a floating fly bears. */
export const bearsWord: Readonly<Record<Bears, string>> = {
  calm: 'calm water only',
  ripple: 'a ripple',
  waves: 'waves that do not break',
  broken: 'broken water',
}

/** What a drill asks. */
export const drillName: Readonly<Record<Drill, string>> = {
  afterTheCut: 'how a fly sits after a cut',
  riseForm: 'what is taken like this',
  dunOrSpent: 'dun or spent',
  leadACruiser: 'where to land before a cruiser',
  theBeat: 'the beat of a rise',
  hookSize: 'the hook for a natural',
  howDeep: 'how deep after a count',
  flyForSigns: 'which fly for these signs',
}

/** How a fly goes in. */
export const splashWord: Readonly<Record<SplashWord, string>> = {
  tipsIn: 'tips in',
  slipsIn: 'slips in',
  taps: 'taps',
  plops: 'plops',
  thuds: 'thuds',
}

/** A pattern that is put away and of which flies lie in boxes all the same. */
export const putAwayName = (name: string): string => `${name} (put away)`
