import type { Hook } from '../../hook/index.ts'
import type { Material, MaterialKind } from '../../material/index.ts'
import type { Amounts } from '../amount.ts'
import type { Component, ComponentKind, Place, Proportion, Step } from '../dressing.ts'
import type { Field } from '../fields.ts'
import type { FitFinding } from '../finding.ts'
import type { Fly, FlyComponent } from '../fly.ts'
import type { Seat, Substance } from '../substance/substance.ts'
import type { TriggerKey } from './triggers.ts'

/**
 * Where a kind lies: before all else on the shank, under the body, as the body, as an open collar through which light
 * falls, or apart from what is wound.
 */
export type Layer = 'head' | 'underbody' | 'body' | 'collar' | 'apart'

/** What holds of some kinds and not of others. */
export type Trait =
  /** is there to weigh: "unweighted" leaves it off */
  | 'weighs'
  /** comes as a finished piece of its own size, whose volume no scale changes */
  | 'piece'
  /** lies under the dressing where no eye sees it */
  | 'hidden'
  /** metal that floatant does nothing to */
  | 'bare'
  /** is tied for the sake of floating */
  | 'floats'
  /** stands upright, so that a hackle may be wound round it */
  | 'post'
  /** is bound in with turns of the tying thread */
  | 'boundIn'
  /** crowds the eye where it is wound up to it */
  | 'crowdsEye'
  /** as thick as its bulk says */
  | 'bulky'
  /** gives the fly the colour that the eye takes for its own */
  | 'givesColour'
  /** can wave in still water, where its goods are soft */
  | 'moves'
  /** lies back behind the bend by its own length */
  | 'trails'

/** How a kind is drawn. */
export const DRAWN_AS = [
  'bead', 'cone', 'eyes', 'thread', 'wound', 'rib', 'coat', 'laid', 'foam', 'tail', 'strip', 'wing', 'post', 'hackle',
  'collar', 'legs', 'gills',
] as const // prettier-ignore
export type DrawnAs = (typeof DRAWN_AS)[number]

/** How far a component shows one of a fish's triggers, 0 to 1. */
export type Showing = (component: FlyComponent, hook: Hook) => number

/** A step of a kind: where it comes among the others, and at which end of its place it leaves the thread. */
export interface StepOfKind {
  readonly verb: Step['verb']
  readonly order: number
  readonly threadEndsAt: 'from' | 'to'
}

/** All that is true of one kind of component. Everything else asks it. */
export interface KindOf {
  /** goods that it may be made of, the usual ones first */
  readonly madeOf: readonly [MaterialKind, ...MaterialKind[]]
  /** amounts that a line of it says, by its goods */
  readonly asks: (goods: MaterialKind) => readonly Field[]
  /** where a new one goes */
  readonly place: Place
  /** kinds that it lies over, whose place a new one takes; and those that a new one ends behind */
  readonly over: readonly ComponentKind[]
  readonly behind: readonly ComponentKind[]
  /** amounts that a new line gets where it says none */
  readonly usual: (component: Component, material: Material) => Amounts
  /** free length where a line says none; null for kinds that have none */
  readonly usualLength: Proportion | null
  /** amounts that follow from its goods and the length of its place, never written down */
  readonly worksOut: (component: Component, material: Material, placeMm: number) => Amounts
  readonly layer: Layer
  readonly traits: readonly Trait[]
  /** what it adds to the diameter below it, mm; nought for what sits apart */
  readonly addedDiameterMm: (component: Component, material: Material, hook: Hook) => number
  readonly substance: (seat: Seat) => Substance
  /** strand on one fly before waste, mm, where that is not its length or its turns */
  readonly strandMm?: (seat: Seat) => number
  /** share of a hackle feather that goes into it */
  readonly featherShare: number
  /** whether it goes on the hook and what is unwise about it there */
  readonly fit: (component: FlyComponent, fly: Fly) => readonly FitFinding[]
  /** what is done at the vise, when, and at which end of its place the thread is then */
  readonly step: StepOfKind
  /** the step before or after that one, of what is tied in first and wound or pulled over later; null for most */
  readonly otherStep: StepOfKind | null
  readonly drawn: DrawnAs
  /** which input its mass is a doubt of */
  readonly doubtOf: 'bead' | 'wire' | 'dressing'
  /** what shears do to it, and its turn among what can be cut; null for what is left alone */
  readonly trim: { readonly how: 'shorten' | 'clipBelow'; readonly order: number } | null
  readonly shows: Readonly<Partial<Record<TriggerKey, Showing>>>
}

/** What a kind is that says nothing else: bound in somewhere on the shank, of no free length, drawn as a wound body. */
export const PLAIN = {
  asks: () => [],
  place: { from: 0.2, to: 0.9, side: 'around' },
  over: [],
  behind: [],
  usual: () => ({}),
  usualLength: null,
  worksOut: () => ({}),
  layer: 'apart',
  traits: ['boundIn'],
  addedDiameterMm: () => 0,
  featherShare: 1,
  fit: () => [],
  drawn: 'wound',
  otherStep: null,
  doubtOf: 'dressing',
  trim: null,
  shows: {},
} as const satisfies Partial<KindOf>
