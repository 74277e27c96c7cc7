import type { FoodStageId, MovedView, OutingId } from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'
import { outing, told } from '../db/schema.ts'
import type { ToldBody } from '../db/schema.ts'
import { loadReaches } from '../read/reaches.ts'
import { loadStages, stageTitle } from '../read/stages.ts'
import { loadRecipes } from '../read/variants.ts'
import { mapOf } from '../read/grouped.ts'

/** Less than this is nobody's business: five fish of a hundred, a quarter of an hour. */
const LEAST = { share: 0.05, hours: 0.25 }

type Told = NonNullable<MovedView['told']>

/** The moment at which each food moved most. */
function movedFish(before: ToldBody, after: ToldBody) {
  const most = new Map<string, Told['fish'][number]>()
  before.fish.forEach(({ reachId, on, localMin, shares: was }) => {
    const now = after.fish.find((one) => one.reachId === reachId && one.on === on && one.localMin === localMin)
    if (!now) return
    for (const foodStageId of new Set([...Object.keys(was), ...Object.keys(now.shares)])) {
      const [a, b] = [was[foodStageId] ?? 0, now.shares[foodStageId] ?? 0]
      const known = most.get(foodStageId)
      if (Math.abs(b - a) < LEAST.share || (known && Math.abs(known.now - known.before) >= Math.abs(b - a)))
        continue
      most.set(foodStageId, { foodStageId: foodStageId as FoodStageId, name: '', reachName: reachId, on, localMin, before: a, now: b }) // prettier-ignore
    }
  })
  return [...most.values()].sort((a, b) => Math.abs(b.now - b.before) - Math.abs(a.now - a.before))
}

/** What the version before told of fish, flies and outings, where this one says otherwise; null where none was kept. */
export async function movedTold(db: Reader): Promise<MovedView['told']> {
  const rows = new Map((await db.select().from(told)).map((row) => [row.which, row]))
  const [before, after] = [rows.get('before'), rows.get('after')]
  if (!before || !after) return null
  const titles = mapOf(await loadStages(db), (stage) => [stage.row.id, stageTitle(stage)])
  const reaches = mapOf(await loadReaches(db), ({ reach }) => [reach.id, reach.name])
  const outings = mapOf(await db.select().from(outing), (row) => [row.id, row])
  const named = (ids: readonly string[]) => ids.flatMap((id) => titles.get(id) ?? [])
  return {
    on: before.on,
    actionsBetween: after.actions - before.actions,
    fish: movedFish(before.body, after.body).flatMap((line) => {
      const name = titles.get(line.foodStageId)
      return name ? [{ ...line, name, reachName: reaches.get(line.reachName) ?? '' }] : []
    }),
    serving: (await loadRecipes(db)).flatMap(
      ({ variant: { id, patternId, label, currentRevisionId }, patternName }) => {
        const [was, is] = [
          before.body.serves[currentRevisionId] ?? [],
          after.body.serves[currentRevisionId] ?? [],
        ]
        const gained = named(is.filter((stage) => !was.includes(stage)))
        const lost = named(was.filter((stage) => !is.includes(stage)))
        return gained.length + lost.length > 0
          ? [{ variantId: id, patternId, flyName: `${patternName} ${label}`, gained, lost }]
          : []
      },
    ),
    outings: Object.entries(before.body.covered).flatMap(([outingId, hours]) => {
      const [row, now] = [outings.get(outingId), after.body.covered[outingId]]
      return row && now !== undefined && Math.abs(now - hours) >= LEAST.hours
        ? [
            {
              outingId: outingId as OutingId,
              on: row.on,
              before: hours,
              now,
              ofHours: (row.toLocalMin - row.fromLocalMin) / 60,
            },
          ]
        : []
    }),
  }
}
