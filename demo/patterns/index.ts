import { bottom } from './bottom.ts'
import { onTheFilm } from './onTheFilm.ts'
import type { DemoPattern } from './pattern.ts'
import { rising } from './rising.ts'
import { stillwater } from './stillwater.ts'

/** Forty patterns of an invented valley, with their variants. */
export const patterns: readonly DemoPattern[] = [...bottom, ...rising, ...onTheFilm, ...stillwater]

export type { DemoPattern, DemoVariant } from './pattern.ts'
