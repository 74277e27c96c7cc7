import { asc, isNull } from 'drizzle-orm'
import type { WatersView } from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'
import { reach, water } from '../db/schema.ts'

/** Waters with their reaches, from low to high. */
export async function watersView(db: Reader): Promise<WatersView> {
  const waters = await db.select().from(water).where(isNull(water.archivedAtMs)).orderBy(asc(water.nameKey))
  const reaches = await db
    .select()
    .from(reach)
    .where(isNull(reach.archivedAtMs))
    .orderBy(asc(reach.elevationM), asc(reach.position))
  return {
    waters: waters.map(({ id, version, archivedAtMs: _a, nameKey: _n, foodWords: _f, ...body }) => ({
      id: id,
      version,
      water: body,
      reaches: reaches
        .filter(({ waterId }) => waterId === id)
        .map((row) => ({
          id: row.id,
          version: row.version,
          reach: {
            kind: row.kind,
            name: row.name,
            elevationM: row.elevationM,
            typicalDepthMm: row.typicalDepthMm,
            surfaceSpeedMmPerS: row.surfaceSpeedMmPerS,
            thermoclineMm: row.thermoclineMm,
            defaultTempC: [...row.defaultTempC],
          },
        })),
    })),
  }
}
