import { and, gte, isNotNull } from 'drizzle-orm'
import { wording } from '../../core/index.ts'
import type { PlanView } from '../../contract/index.ts'
import type { Clock } from '../clock/clock.ts'
import type { Reader } from '../db/database.ts'
import { evening, plan } from '../db/schema.ts'
import { loadBalances } from '../read/balances.ts'
import { localTime } from '../clock/localTime.ts'
import { loadDrawers, loadGoods } from '../read/drawers.ts'
import { loadPlanVariants, loadSnagginess, planPatterns } from '../read/planVariants.ts'
import { loadComingOutings } from '../read/comingOutings.ts'
import { loadPlaces, loadTrayId } from '../read/places.ts'
import { loadSettings } from '../read/settings.ts'

async function planPlaces(db: Reader): Promise<PlanView['places']> {
  const held = new Map<string, number>()
  for (const { compartmentId, count } of await loadBalances(db))
    held.set(compartmentId, (held.get(compartmentId) ?? 0) + count)
  return (await loadPlaces(db)).map(({ id, label, capacity }) => ({
    compartmentId: id,
    label,
    room: capacity === null ? null : Math.max(capacity - (held.get(id) ?? 0), 0),
  }))
}

async function planDrawers(db: Reader): Promise<PlanView['drawers']> {
  const balances = await loadDrawers(db)
  return (await loadGoods(db)).map(({ material: row, family: goods, stockUnit }) => ({
    materialId: row.id,
    name: wording.drawerName(goods, row.sizeKey, row.colourName),
    onHand: balances.get(row.id)?.onHand ?? null,
    minimumAmount: row.minimumAmount,
    packAmount: row.packAmount,
    priceMinor: row.priceMinor,
    leadTimeDays: row.leadTimeDays,
    stockUnit,
  }))
}

/** All that a plan of what to tie is made from; the page makes it, in a worker. */
export async function planView(db: Reader, clock: Clock): Promise<PlanView> {
  const { body: settings } = await loadSettings(db)
  const { on } = localTime(clock.nowMs(), settings.timeZone)
  const [kept] = await db.select({ choices: plan.choices }).from(plan)
  const evenings = await db
    .select({ on: evening.id, minutes: evening.minutes })
    .from(evening)
    .where(and(isNotNull(evening.minutes), gte(evening.id, on)))
  return {
    trayId: await loadTrayId(db),
    choices: { ...kept?.choices },
    evenings: evenings.map((row) => ({ on: row.on, minutes: row.minutes ?? 0 })),
    outings: [...(await loadComingOutings(db, on))],
    snagginessFished: await loadSnagginess(db),
    patterns: await planPatterns(db),
    ...(await loadPlanVariants(db)),
    places: await planPlaces(db),
    drawers: await planDrawers(db),
  }
}
