import { inArray, isNull } from 'drizzle-orm'
import { NOTHING_MEASURED, reckonedPiece } from '../../core/index.ts'
import type { DropReading, DropTest, GoodsWeighing, Material, Measured } from '../../core/index.ts'
import type { Reader } from '../db/database.ts'
import { keptUntilWrite } from '../db/kept.ts'
import { dropTest, family, material, setting, variantRevision, weighing } from '../db/schema.ts'
import { readDropOnce } from './dropsRead.ts'
import type { DropRead } from './dropsRead.ts'
import { loadMaterials, materialIdsOf } from './materials.ts'
import type { VariantId, VariantRevisionId } from '../../contract/index.ts'

type TestRow = typeof dropTest.$inferSelect
type WeighingRow = typeof weighing.$inferSelect

/** A drop test with what core reads from it. */
export interface ReadTest {
  readonly row: TestRow
  readonly variantId: VariantId
  readonly outcome: DropRead
}

/** All measurements, read: tests in the order in which they were made. */
export interface LoadedMeasurements {
  readonly tests: readonly ReadTest[]
  readonly weighings: readonly { readonly row: WeighingRow; readonly variantId: VariantId | null }[]
  readonly measured: Measured
}

const toCoreTest = (row: TestRow, variantId: VariantId): DropTest => ({
  id: row.id,
  variantId,
  depthMm: row.depthMm,
  timesS: row.times.filter(({ setAside }) => !setAside).map(({ timeS }) => timeS),
  timing: row.timing,
  waterTempC: row.waterTempC,
  vesselMm: row.vesselMm,
  tippet:
    row.tippetDiameterMm !== null && row.tippetLengthMm !== null && row.tippetLengthMm > 0
      ? {
          diameterMm: row.tippetDiameterMm,
          densityMgPerMm3: row.tippetDensityMgPerMm3 ?? 1.13,
          lengthMm: row.tippetLengthMm,
          curlDeg: row.tippetCurlDeg,
        }
      : null,
  wet: row.wet,
})

/** Stands for the variant of a recipe that is not there. */
const NO_VARIANT = '' as VariantId

const scaleSdMg = (readabilityMg: number) => readabilityMg / Math.sqrt(3)

function goodsWeighing(row: WeighingRow, materials: ReadonlyMap<string, Material>): GoodsWeighing | null {
  const material = row.materialId ? materials.get(row.materialId) : undefined
  const piece = material && reckonedPiece(material)
  if (!material || !piece) return null
  return {
    id: row.id,
    materialId: material.id,
    familyId: material.family.name,
    totalMg: row.totalMg,
    count: row.count,
    reckonedMg: piece.mg,
    priorSdLog: piece.sdLog,
    familyShare: piece.familyShare,
    scaleSdMg: scaleSdMg(row.readabilityMg),
  }
}

async function readMeasurements(db: Reader): Promise<LoadedMeasurements> {
  const tests = await db.select().from(dropTest).where(isNull(dropTest.archivedAtMs)).orderBy(dropTest.atMs)
  const weighings = await db.select().from(weighing).where(isNull(weighing.archivedAtMs)).orderBy(weighing.atMs)
  if (tests.length + weighings.length === 0) return { tests: [], weighings: [], measured: NOTHING_MEASURED }
  const revisionIds = [...tests, ...weighings].flatMap(({ variantRevisionId }) => variantRevisionId ?? [])
  const revisions = new Map(
    (revisionIds.length > 0
      ? await db.select().from(variantRevision).where(inArray(variantRevision.id, revisionIds))
      : []
    ).map((row) => [row.id, row]),
  )
  const materials = await loadMaterials(db, [
    ...[...revisions.values()].flatMap(({ body }) => materialIdsOf(body)),
    ...weighings.flatMap(({ materialId }) => materialId ?? []),
  ])
  const variantOf = (revisionId: VariantRevisionId | null) =>
    (revisionId && revisions.get(revisionId)?.variantId) || null
  const goods = weighings.flatMap((row) => goodsWeighing(row, materials) ?? [])
  const flies = weighings.flatMap((row) => {
    const variantId = variantOf(row.variantRevisionId)
    if (!variantId) return []
    const { id, count, totalMg, readabilityMg } = row
    return [{ id, variantId, count, totalMg, scaleSdMg: scaleSdMg(readabilityMg) }]
  })
  const read = tests.map((row): ReadTest => {
    const variantId = variantOf(row.variantRevisionId) ?? NO_VARIANT
    const body = revisions.get(row.variantRevisionId)?.body
    const test = toCoreTest(row, variantId)
    const outcome: DropRead = body
      ? readDropOnce({ test, body, materials, weighed: { goods, flies } })
      : { kind: 'incomplete' }
    return { row, variantId, outcome }
  })
  const readings = read.flatMap(({ outcome }): readonly DropReading[] => {
    if (outcome.kind !== 'read') return []
    const { kind: _kind, ...reading } = outcome
    return [reading]
  })
  return {
    tests: read,
    weighings: weighings.map((row) => ({ row, variantId: variantOf(row.variantRevisionId) })),
    measured: { readings, goods, flies },
  }
}

/** All measurements with what core reads from them. */
export const loadMeasurements = keptUntilWrite(readMeasurements, [
  dropTest,
  weighing,
  variantRevision,
  material,
  family,
  setting,
])
