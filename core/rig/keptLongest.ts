import type { CountedDown } from './countedDown.ts'
import { castOf } from './countedDown.ts'
import { bestRetrieve } from './bestRetrieve.ts'
import type { Between, KeptThere } from './bestRetrieve.ts'
import type { Retrieve } from './sinking.ts'

/** A hand draws line in by strips of about so much. */
export const STRIP_MM = 300
const PULLS_MM_PER_S = [50, 100, 200, 300, 450] as const
const PAUSES_S = [0, 1] as const
/** Counts that are tried: fewer than these nobody counts, and of the many between every other. */
const COUNTS = Array.from({ length: 20 }, (_, i) => 2 + 3 * i)

const RETRIEVES: readonly Retrieve[] = PULLS_MM_PER_S.flatMap((mmPerS) =>
  PAUSES_S.map((pauseS) => ({ mmPerS, stripMm: STRIP_MM, pauseS })),
)

/** Which count and which retrieve keep a fly longest between two depths, of two hundred; see {@link bestRetrieve}. */
export const keptLongest = ({
  between,
  ...counted
}: CountedDown & { readonly between: Between }): Generator<
  { readonly done: number; readonly best: KeptThere | null },
  KeptThere | null
> => bestRetrieve(castOf(counted), 0, between, COUNTS, RETRIEVES)
