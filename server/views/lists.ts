import { and, asc, desc, eq, gt, inArray, isNotNull, isNull, sql } from 'drizzle-orm'
import type {
  ActionsView,
  FamiliesView,
  FamilyFull,
  MaterialId,
  OutingLine,
  OutingsView,
  PurchaseView,
  SearchView,
  StoresView,
  UsesView,
  WatersView,
} from '../../contract/index.ts'
import { wording } from '../../core/index.ts'
import type { Reader } from '../db/database.ts'
import {
  action,
  compartment,
  family,
  flyEntry,
  material,
  materialBalance,
  outing,
  pattern,
  reach,
  spell,
  revisionMaterial,
  variant,
  variantRevision,
  water,
} from '../db/schema.ts'
import { packing, purchase, purchaseLine } from '../db/supplyTables.ts'
import { loadFamilies } from '../read/families.ts'
import { toFamilyView } from '../read/materials.ts'
import { ProblemError } from '../problems/problem.ts'
import { grouped } from '../read/grouped.ts'
import { ruleLines } from './moment.ts'
import { localTime } from '../clock/localTime.ts'
import { loadDrawers } from '../read/drawers.ts'

/** Waters with their reaches, from low to high. */
export async function watersView(db: Reader): Promise<WatersView> {
  const waters = await db.select().from(water).where(isNull(water.archivedAtMs)).orderBy(asc(water.nameKey))
  const reaches = await db.select().from(reach).where(isNull(reach.archivedAtMs)).orderBy(asc(reach.position))
  return {
    waters: waters.map(({ id, version, archivedAtMs: _a, nameKey: _n, ...body }) => ({
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

/** How many current recipes use each drawer. */
async function usesByMaterial(db: Reader): Promise<ReadonlyMap<string, number>> {
  const rows = await db
    .select({
      id: revisionMaterial.materialId,
      uses: sql<number>`count(distinct ${revisionMaterial.variantRevisionId})`,
    })
    .from(revisionMaterial)
    .innerJoin(variant, eq(variant.currentRevisionId, revisionMaterial.variantRevisionId))
    .groupBy(revisionMaterial.materialId)
  return new Map(rows.map(({ id, uses }) => [id, uses]))
}

/** Variants whose current recipe takes a material, by name. */
export async function usesView(db: Reader, materialId: MaterialId): Promise<UsesView> {
  const rows = await db
    .selectDistinct({
      variantId: variant.id,
      patternId: pattern.id,
      patternName: pattern.name,
      label: variant.label,
    })
    .from(revisionMaterial)
    .innerJoin(variant, eq(variant.currentRevisionId, revisionMaterial.variantRevisionId))
    .innerJoin(pattern, eq(pattern.id, variant.patternId))
    .where(
      and(
        eq(revisionMaterial.materialId, materialId),
        isNull(variant.archivedAtMs),
        isNull(pattern.archivedAtMs),
      ),
    )
    .orderBy(asc(pattern.nameKey), asc(variant.position))
  type Use = UsesView['uses'][number]
  return {
    uses: rows.map(({ variantId, patternId, ...row }) => ({
      ...row,
      variantId: variantId,
      patternId: patternId,
    })),
  }
}

/** What was ordered and has not all come, the oldest first. */
async function openPurchases(db: Reader, timeZone: string): Promise<readonly PurchaseView[]> {
  const rows = await db
    .select({ purchase, line: purchaseLine })
    .from(purchase)
    .innerJoin(purchaseLine, eq(purchaseLine.purchaseId, purchase.id))
    .where(eq(purchase.status, 'ordered'))
    .orderBy(asc(purchase.orderedAtMs), asc(purchaseLine.id))
  const drawers = await loadDrawers(db)
  return [...grouped(rows, (row) => row.purchase.id).values()].flatMap((lines) => {
    const [first] = lines
    if (!first) return []
    return [
      {
        purchaseId: first.purchase.id,
        version: first.purchase.version,
        supplier: first.purchase.supplier,
        orderedOn: localTime(first.purchase.orderedAtMs, timeZone).on,
        lines: lines.map(({ line }) => ({
          lineId: line.id as PurchaseView['lines'][number]['lineId'],
          materialId: line.materialId,
          name: drawers.get(line.materialId)?.name ?? '',
          packAmount: line.packAmount,
          packs: line.packs,
          arrivedPacks: line.arrivedPacks,
        })),
      },
    ]
  })
}

/** What the stores hold, with how many recipes use each drawer. */
export async function storesView(db: Reader, timeZone: string): Promise<StoresView> {
  const uses = await usesByMaterial(db)
  const families = await loadFamilies(db)
  const rows = await db
    .select({ material, amount: materialBalance.amount })
    .from(material)
    .leftJoin(materialBalance, eq(materialBalance.materialId, material.id))
    .innerJoin(family, eq(family.id, material.familyId))
    .where(isNull(material.archivedAtMs))
    .orderBy(asc(family.kind), asc(family.name), asc(material.sizeKey), asc(material.colourKey))
  return {
    materials: rows.flatMap(({ material: m, amount }) => {
      const f = families.get(m.familyId)
      return f
        ? [
            {
              id: m.id,
              familyId: m.familyId,
              kind: f.kind,
              name: f.name,
              sizeKey: m.sizeKey,
              colourName: m.colourName,
              colourHex: m.colourHex,
              colourWetHex: m.colourWetHex,
              stockUnit: f.stockUnit,
              onHand: amount,
              minimumAmount: m.minimumAmount,
              packAmount: m.packAmount,
              priceMinor: m.priceMinor,
              leadTimeDays: m.leadTimeDays,
              supplier: m.supplier,
              overrides: Object.fromEntries(
                Object.entries(m.overrides).flatMap(([key, value]) => (value ? [[key, value]] : [])),
              ),
              usedBy: uses.get(m.id) ?? 0,
              cautions: [...f.body.cautions],
              note: m.note,
              photoId: m.photoId,
              version: m.version,
            },
          ]
        : []
    }),
    purchases: [...(await openPurchases(db, timeZone))],
  }
}

/** Families that some drawer belongs to, with physics. */
export async function familiesView(db: Reader): Promise<FamiliesView> {
  const families = await loadFamilies(db)
  const used = await db.selectDistinct({ id: material.familyId }).from(material)
  return {
    families: used.flatMap(({ id }) => {
      const row = families.get(id)
      return row ? [toFamilyView(row)] : []
    }),
  }
}

/** All families for choosing from, without physics. */
export async function catalogueView(db: Reader): Promise<FamiliesView> {
  const rows = await db
    .select()
    .from(family)
    .where(isNull(family.archivedAtMs))
    .orderBy(asc(family.kind), asc(family.name))
  return { families: rows.map((row) => ({ ...toFamilyView(row), physics: {} })) }
}

/** One family with its physics. */
export async function familyView(db: Reader, id: string): Promise<FamilyFull> {
  const row = (await loadFamilies(db)).get(id)
  if (!row) throw new ProblemError('unknownId', 'There is no such family of material.')
  return toFamilyView(row)
}

/** Outings, the latest first, with what was lost on each. */
export async function outingsView(db: Reader): Promise<OutingsView> {
  const rows = await db
    .select({ outing, water, reachName: reach.name })
    .from(outing)
    .innerJoin(water, eq(water.id, outing.waterId))
    .leftJoin(reach, eq(reach.id, outing.reachId))
    .where(isNull(outing.archivedAtMs))
    .orderBy(desc(outing.on))
  const losses = await loadLosses(db)
  const spells = await loadSpells(db)
  const packed = await loadPacked(db)
  return {
    outings: rows.map(({ outing: o, water: w, reachName }) => ({
      id: o.id,
      version: o.version,
      waterId: o.waterId,
      reachId: o.reachId,
      waterName: w.name,
      reachName,
      on: o.on,
      fromLocalMin: o.fromLocalMin,
      toLocalMin: o.toLocalMin,
      status: o.status,
      technique: o.technique,
      note: o.note,
      rules: ruleLines(w.rules),
      spells: spells.filter(({ outingId }) => outingId === o.id).map(({ outingId: _o, ...fished }) => fished),
      packed: packed.filter(({ outingId }) => outingId === o.id).map(({ outingId: _o, ...fly }) => fly),
      losses: losses.filter(({ outingId }) => outingId === o.id).map(({ outingId: _o, ...loss }) => loss),
    })),
  }
}

async function loadPacked(db: Reader) {
  const rows = await db
    .select({
      outingId: packing.outingId,
      variantId: variant.id,
      patternId: pattern.id,
      patternName: pattern.name,
      label: variant.label,
      count: sql<number>`sum(${packing.count})`,
      compartmentId: packing.toCompartmentId,
      compartmentLabel: compartment.label,
    })
    .from(packing)
    .innerJoin(variantRevision, eq(variantRevision.id, packing.variantRevisionId))
    .innerJoin(variant, eq(variant.id, variantRevision.variantId))
    .innerJoin(pattern, eq(pattern.id, variant.patternId))
    .innerJoin(compartment, eq(compartment.id, packing.toCompartmentId))
    .where(isNull(packing.archivedAtMs))
    .groupBy(packing.outingId, variant.id, packing.toCompartmentId)
  type Packed = OutingLine['packed'][number]
  return rows.map(({ variantId, patternId, compartmentId, ...row }) => ({
    ...row,
    variantId: variantId,
    patternId: patternId,
    compartmentId: compartmentId,
  }))
}

async function loadSpells(db: Reader) {
  const rows = await db
    .select({ spell, patternId: pattern.id, patternName: pattern.name, label: variant.label })
    .from(spell)
    .innerJoin(variant, eq(variant.id, spell.variantId))
    .innerJoin(pattern, eq(pattern.id, variant.patternId))
    .where(isNull(spell.archivedAtMs))
    .orderBy(spell.id)
  type Spell = OutingLine['spells'][number]
  return rows.map(({ spell: row, ...fly }) => ({
    outingId: row.outingId,
    spellId: row.id,
    version: row.version,
    variantId: row.variantId,
    patternId: fly.patternId,
    patternName: fly.patternName,
    label: fly.label,
    minutes: row.minutes,
    takes: row.takes,
    refusals: row.refusals,
  }))
}

async function loadLosses(db: Reader) {
  const rows = await db
    .select({
      outingId: flyEntry.outingId,
      variantId: variant.id,
      patternId: pattern.id,
      patternName: pattern.name,
      label: variant.label,
      cause: flyEntry.lossCause,
      compartmentLabel: compartment.label,
      lost: sql<number>`-sum(${flyEntry.delta})`.as('lost'),
    })
    .from(flyEntry)
    .innerJoin(variantRevision, eq(variantRevision.id, flyEntry.variantRevisionId))
    .innerJoin(variant, eq(variant.id, variantRevision.variantId))
    .innerJoin(pattern, eq(pattern.id, variant.patternId))
    .innerJoin(compartment, eq(compartment.id, flyEntry.compartmentId))
    .where(and(isNotNull(flyEntry.outingId), inArray(flyEntry.cause, ['lost', 'given'])))
    .groupBy(flyEntry.outingId, variant.id, flyEntry.lossCause, compartment.id)
    .having(({ lost }) => gt(lost, 0))
  return rows.map(({ lost, cause, ...row }) => ({
    ...row,
    variantId: row.variantId,
    patternId: row.patternId,
    count: lost,
    cause: cause ?? 'dropped',
  }))
}

const LATEST_ACTIONS = 40

/** Latest actions, newest first; whether one stands follows the chain of its undos and redos. */
export async function actionsView(db: Reader): Promise<ActionsView> {
  const rows = await db
    .select()
    .from(action)
    .orderBy(sql`rowid desc`)
    .limit(LATEST_ACTIONS)
  const undoneBy = new Map(rows.flatMap((row) => (row.undoesActionId ? [[row.undoesActionId, row.id]] : [])))
  const isUndone = (id: string): boolean => {
    const by = undoneBy.get(id)
    return by !== undefined && !isUndone(by)
  }
  return {
    actions: rows
      .filter(({ undoable }) => undoable)
      .map((row) => ({
        actionId: row.id,
        label: wording.actionSentence(row.label),
        atMs: row.atMs,
        undone: isUndone(row.id),
        isUndo: row.undoesActionId !== null,
      })),
  }
}

const MOST_HITS = 12

/** Finds names and notes by their words' beginnings. */
export async function searchView(db: Reader, words: string): Promise<SearchView> {
  const query = words
    .normalize('NFC')
    .split(/[^\p{L}\p{N}]+/u)
    .filter(Boolean)
    .map((word) => `"${word}"*`)
    .join(' ')
  if (query === '') return { hits: [] }
  const hits = await db.all<{ kind: string; id: string; title: string; detail: string }>(
    sql`select kind, subject_id as id, title, detail from search_text where search_text match ${query} order by bm25(search_text, 0, 0, 10, 1) limit ${MOST_HITS}`,
  )
  return { hits }
}
