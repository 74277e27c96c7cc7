import { KINDS } from '../dressing/index.ts'
import type { Fly } from '../dressing/index.ts'
import { hookStyle } from '../hook/index.ts'
import { valueOf } from '../material/index.ts'

/** What a weight code tells apart. */
export const CODED_METALS = ['tungsten', 'brass', 'none'] as const
export type CodedMetal = (typeof CODED_METALS)[number]

/** A tier's own marks for weight: the colour of a turn of thread behind the bead; null where it has no mark. */
export interface WeightCode {
  readonly marks: Readonly<Record<CodedMetal, string | null>>
  /** flies that bear marks */
  readonly on: readonly ('jigHooks' | 'midgePupae' | 'everything')[]
}

/** A fly that is marked otherwise than the code says. */
export interface MarkFault {
  readonly metal: CodedMetal
  /** colour of the turn, null for no turn */
  readonly expected: string | null
  readonly found: string | null
}

/** A mark sits behind the bead, within this share of the shank. */
const FRONT_OF_SHANK = 0.4
/** Lightest tungsten alloy and lightest brass, mg/mm³. */
const DENSER_THAN = { tungsten: 13, brass: 8.2 }
const JIG_NECK_DEG = 30

/** What weighs a fly as a code sees it; null for metals that the code does not know. */
function codedMetal(fly: Fly): CodedMetal | null {
  const bead = fly.components.find(({ kind }) => KINDS[kind].layer === 'head')
  if (!bead) return 'none'
  const density = valueOf(bead.material, 'densityMgPerMm3')
  if (density > DENSER_THAN.tungsten) return 'tungsten'
  return density > DENSER_THAN.brass ? 'brass' : null
}

/** Colour of the turn of thread behind the bead; null where there is none. */
function markOf(fly: Fly): string | null {
  const limit = FRONT_OF_SHANK * fly.hook.shankMm
  const mark = fly.components.find(({ kind, fromMm }) => kind === 'hotSpot' && fromMm < limit)
  return mark?.material.colourName ?? null
}

/** Whether a code is for such a fly. */
export function bearsMarks(fly: Fly, { on }: WeightCode, isMidgePupa: boolean): boolean {
  const isJig = hookStyle(fly.hook.style.key).neckDeg > JIG_NECK_DEG
  return (
    on.includes('everything') ||
    (on.includes('jigHooks') && isJig) ||
    (on.includes('midgePupae') && isMidgePupa)
  )
}

/** Checks the mark of a fly against the code; null where they agree, or where the code does not know the metal. */
export function checkMark(fly: Fly, { marks }: WeightCode): MarkFault | null {
  const metal = codedMetal(fly)
  if (!metal) return null
  const [expected, found] = [marks[metal], markOf(fly)]
  const same = (expected ?? '').toLowerCase() === (found ?? '').toLowerCase()
  return same ? null : { metal, expected, found }
}
