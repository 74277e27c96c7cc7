import { asc, eq, isNull } from 'drizzle-orm'
import type { Reader } from '../db/database.ts'
import { keptUntilWrite } from '../db/kept.ts'
import { box, compartment } from '../db/schema.ts'
import { loadBalances } from './balances.ts'
import type { CompartmentId, VariantId } from '../../contract/index.ts'

/** Flies by compartment and variant. */
export const loadHeld = keptUntilWrite(readHeld, [loadBalances])

async function readHeld(db: Reader) {
  const places = new Map<CompartmentId, Map<VariantId, number>>()
  for (const { compartmentId, variantId, count } of await loadBalances(db)) {
    const there = places.get(compartmentId) ?? new Map<VariantId, number>()
    there.set(variantId, (there.get(variantId) ?? 0) + count)
    places.set(compartmentId, there)
  }
  return places
}

/** Compartments that are not put away, with their capacity. */
export const loadPlaces = keptUntilWrite(
  (db: Reader) =>
    db
      .select({ id: compartment.id, label: compartment.label, capacity: compartment.capacity })
      .from(compartment)
      .where(isNull(compartment.archivedAtMs))
      .orderBy(asc(compartment.label), asc(compartment.id)),
  [compartment],
)

/** What each compartment is called. */
export const loadPlaceLabels = keptUntilWrite(readPlaceLabels, [compartment])

async function readPlaceLabels(db: Reader): Promise<ReadonlyMap<string, string>> {
  const places = await db.select({ id: compartment.id, label: compartment.label }).from(compartment)
  return new Map(places.map(({ id, label }) => [id, label]))
}

/** The one compartment of the bench tray. */
export async function loadTrayId(db: Reader): Promise<CompartmentId> {
  const [tray] = await db
    .select({ id: compartment.id })
    .from(compartment)
    .innerJoin(box, eq(box.id, compartment.boxId))
    .where(eq(box.kind, 'benchTray'))
  if (!tray) throw new Error('the bench tray is missing')
  return tray.id
}
