import { and, eq, inArray } from 'drizzle-orm'
import type {
  DropTestLine,
  MaterialId,
  MeasurementsView,
  VariantId,
  WeighingLine,
} from '../../contract/index.ts'
import { contradictions, foretold, likelyMetal, wording } from '../../core/index.ts'
import type { DropReading, Foretold } from '../../core/index.ts'
import type { Reader } from '../db/database.ts'
import { family, material, pattern, variant } from '../db/schema.ts'
import { loadMeasurements } from '../read/measurements.ts'
import type { ReadTest } from '../read/measurements.ts'

const BEAD_DENSITY = 'densityMgPerMm3'

async function flyNames(db: Reader, variantIds: readonly VariantId[]) {
  if (variantIds.length === 0) return new Map<string, never>()
  const rows = await db
    .select({ variant, patternName: pattern.name })
    .from(variant)
    .innerJoin(pattern, eq(pattern.id, variant.patternId))
    .where(inArray(variant.id, [...variantIds]))
  return new Map(rows.map((row) => [row.variant.id, row]))
}

async function goodsNames(db: Reader, materialIds: readonly MaterialId[]) {
  if (materialIds.length === 0) return new Map<string, never>()
  const rows = await db
    .select({ material, family })
    .from(material)
    .innerJoin(family, eq(family.id, material.familyId))
    .where(and(inArray(material.id, [...materialIds])))
  return new Map(rows.map((row) => [row.material.id, row]))
}

const cloned = (reading: DropReading) => ({
  ...reading,
  shares: { ...reading.shares },
  outliers: [...reading.outliers],
})

/** Each reading with what the tests before it foretold. */
function foretell(tests: readonly ReadTest[]): ReadonlyMap<string, Foretold> {
  const earlier: DropReading[] = []
  const found = new Map<string, Foretold>()
  for (const { outcome } of tests) {
    if (outcome.kind !== 'read') continue
    found.set(outcome.testId, foretold(outcome, earlier))
    earlier.push(outcome)
  }
  return found
}

/** All that was measured, the latest first, with what it was foretold and what it says. */
export async function measurementsView(db: Reader): Promise<MeasurementsView> {
  const { tests, weighings, measured } = await loadMeasurements(db)
  const flies = await flyNames(db, [
    ...tests.map(({ variantId }) => variantId),
    ...weighings.flatMap(({ variantId }) => variantId ?? []),
  ])
  const goods = await goodsNames(
    db,
    weighings.flatMap(({ row }) => row.materialId ?? []),
  )
  const beforehand = foretell(tests)
  const lines = tests.flatMap(({ row, variantId, outcome }): readonly DropTestLine[] => {
    const fly = flies.get(variantId)
    if (!fly) return []
    const told = beforehand.get(row.id)
    const { archivedAtMs: _a, variantRevisionId, tippetDensityMgPerMm3: _d, times, ...rest } = row
    return [
      {
        ...rest,
        id: row.id,
        variantId: variantId,
        patternId: fly.variant.patternId,
        flyName: `${fly.patternName} ${fly.variant.label}`,
        times: times.map((time) => ({ ...time })),
        olderRecipe: fly.variant.currentRevisionId !== variantRevisionId,
        reading: outcome.kind === 'read' ? cloned(outcome) : null,
        foretold: told ? { value: told.speed.value, low: told.speed.low, high: told.speed.high } : null,
        held: told?.held ?? null,
        fault: outcome.kind === 'read' ? null : outcome.kind,
      },
    ]
  })
  const clashes = contradictions(measured.goods)
  const weighed = weighings.map(({ row, variantId }): WeighingLine => {
    const fly = variantId ? flies.get(variantId) : undefined
    const drawer = row.materialId ? goods.get(row.materialId) : undefined
    const known = measured.goods.find(({ id }) => id === row.id)
    const factor = known ? known.totalMg / known.count / known.reckonedMg : null
    const density = drawer?.family.body.physics[BEAD_DENSITY]?.value
    return {
      id: row.id,
      version: row.version,
      materialId: row.materialId,
      variantId: variantId,
      name: fly
        ? `${fly.patternName} ${fly.variant.label}`
        : drawer
          ? wording.drawerName(drawer.family, drawer.material.sizeKey, drawer.material.colourName)
          : '',
      atMs: row.atMs,
      count: row.count,
      totalMg: row.totalMg,
      source: row.source,
      ratio: factor,
      metal:
        factor !== null && density !== undefined && drawer?.family.kind === 'bead'
          ? likelyMetal(density, { factor, sdLog: 0.04 })
          : null,
      contradicts: clashes
        .filter((pair) => pair.includes(row.id))
        .map((pair) => pair.find((id) => id !== row.id) as WeighingLine['id']),
    }
  })
  const held = lines.filter((line) => line.held === true).length
  return {
    tests: [...lines].reverse(),
    weighings: [...weighed].reverse(),
    measured: {
      readings: measured.readings.map(cloned),
      goods: measured.goods.map((weighing) => ({ ...weighing })),
      flies: measured.flies.map((weighing) => ({ ...weighing })),
    },
    coverage: { tests: lines.filter((line) => line.held !== null).length, held },
  }
}
