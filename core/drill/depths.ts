import type { Random } from '../uncertainty/index.ts'
import { CRUISES_MM_PER_S, leadOf } from '../waterside/index.ts'
import type { Cruise, Lead } from '../waterside/index.ts'
import { below, ofFigure, oneOf } from './question.ts'
import type { Question } from './question.ts'

/** A fly of one's own, and how fast it falls with its line trailing; null where it floats. */
export interface OwnFly {
  readonly key: string
  readonly fallMmPerS: number | null
}

/** Figures stand so far apart that the fall's own band does not reach from one to the next. */
const APART = 1.7
const [LEAST_S, MOST_S] = [3, 20]
const DEEPEST_MM = 5000

/** A fly that has been let fall for a count. */
export interface Counted {
  readonly fly: string
  readonly countS: number
}

/** How deep is a fly after a count, mm? Null for one that does not fall so that it could be counted. */
export function howDeep(random: Random, { key, fallMmPerS }: OwnFly): Question<Counted, number> | null {
  if (!fallMmPerS || fallMmPerS * LEAST_S > DEEPEST_MM) return null
  const most = Math.min(MOST_S, Math.floor(DEEPEST_MM / fallMmPerS))
  const countS = LEAST_S + below(random, most - LEAST_S + 1)
  return ofFigure(random, key, { fly: key, countS }, fallMmPerS * countS, APART)
}

/** A fish that cruises past, and a fly to be put before it. */
export interface Cruising {
  readonly fly: string
  readonly cruise: Cruise
  readonly depthMm: number
  readonly lead: Lead
}

const CRUISES = Object.keys(CRUISES_MM_PER_S) as Cruise[]
const DEPTHS_MM = [300, 600, 1000, 1500] as const
const LEADER_MM = 4000

/** How far before a fish that swims across has a fly to land, mm? Of what floats, for one that takes off the top. */
export function leadACruiser(random: Random, { key, fallMmPerS }: OwnFly): Question<Cruising, number> | null {
  const cruise = oneOf(random, CRUISES)
  const depthMm = fallMmPerS === null ? 0 : oneOf(random, DEPTHS_MM)
  if (!cruise || depthMm === undefined || fallMmPerS === 0) return null
  const speedMmPerS = CRUISES_MM_PER_S[cruise]
  const lead = leadOf({ speedMmPerS, depthMm, heading: 'across', fallMmPerS, leaderMm: LEADER_MM })
  return ofFigure(random, key, { fly: key, cruise, depthMm, lead }, lead.aheadMm, APART)
}
