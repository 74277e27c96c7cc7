import { and, asc, eq, isNull } from 'drizzle-orm'
import type { MovedView } from '../../contract/index.ts'
import { resolveDressing, whyMoved } from '../../core/index.ts'
import type { Reader } from '../db/database.ts'
import { figureBefore, pattern, variant, variantFigure, variantRevision } from '../db/schema.ts'
import { movedTold } from './movedTold.ts'
import { loadMaterials, materialIdsOf } from '../read/materials.ts'

type Figure = MovedView['flies'][number]['now']

const shown = ({ kind, sinkSpeedMmPerS, low, high, posture }: Figure): Figure => ({
  kind,
  sinkSpeedMmPerS,
  low,
  high,
  posture,
})

const holds = ({ low, high }: Figure, speed: number | null) =>
  low === null || high === null || speed === null || (low <= speed && speed <= high)

/** Whether a figure is another one: it does something else, or falls outside what was likely. */
const isMoved = (before: Figure, now: Figure): boolean =>
  before.kind !== now.kind || before.posture !== now.posture || !holds(before, now.sinkSpeedMmPerS)

/** Flies as they are tied now whose figures the last version reckons otherwise, by more than their band. */
export async function movedView(db: Reader): Promise<MovedView> {
  const rows = await db
    .select({
      before: figureBefore,
      now: variantFigure,
      variant,
      patternName: pattern.name,
      body: variantRevision.body,
    })
    .from(figureBefore)
    .innerJoin(variantFigure, eq(variantFigure.variantRevisionId, figureBefore.variantRevisionId))
    .innerJoin(variant, eq(variant.currentRevisionId, figureBefore.variantRevisionId))
    .innerJoin(variantRevision, eq(variantRevision.id, figureBefore.variantRevisionId))
    .innerJoin(pattern, eq(pattern.id, variant.patternId))
    .where(and(isNull(variant.archivedAtMs), isNull(pattern.archivedAtMs)))
    .orderBy(asc(pattern.name), asc(variant.label))
  const moved = rows.filter(({ before, now }) => isMoved(before, now))
  const materials = await loadMaterials(
    db,
    moved.flatMap(({ body }) => materialIdsOf(body)),
  )
  return {
    told: await movedTold(db),
    flies: moved.map(({ before, now, variant: { id, patternId, label }, patternName, body }) => {
      const fly = resolveDressing(body.dressing, { hookMaterialId: body.hookMaterialId, swaps: [] }, materials)
      return {
        variantId: id,
        patternId,
        flyName: `${patternName} ${label}`,
        before: shown(before),
        now: shown(now),
        causes: fly.kind === 'fly' ? [...whyMoved(fly)] : [],
      }
    }),
  }
}
