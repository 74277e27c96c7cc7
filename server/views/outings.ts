import { and, desc, eq, gt, inArray, isNotNull, isNull, sql } from 'drizzle-orm'
import { waterside } from '../../core/index.ts'
import { usableZone } from '../../contract/index.ts'
import type { OutingsView } from '../../contract/index.ts'
import { localTime } from '../clock/localTime.ts'
import type { Reader } from '../db/database.ts'
import { loadTaps } from '../read/taps.ts'
import {
  compartment,
  flyEntry,
  outing,
  packing,
  pattern,
  reach,
  spell,
  variant,
  variantRevision,
  water,
} from '../db/schema.ts'

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
  const noted = await loadTaps(db)
  const waits = ({ id, reachId, on }: (typeof rows)[number]['outing'], timeZone: string) => {
    const { taps, booked } = noted.get(id) ?? { taps: [], booked: [] }
    const {
      spells: ended,
      losses: lost,
      samples,
      readings,
    } = waterside.waitingOf({
      events: taps,
      booked: new Set(booked),
      hasReach: reachId !== null,
      isOnDay: (atMs) => localTime(atMs, usableZone(timeZone)).on === on,
    })
    return ended.length + lost.length + samples.length + readings.length
  }
  return {
    changes: [...waterside.changesOf([...noted.values()].map(({ taps }) => waterside.standingAfter(taps)))],
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
      alsoTechniques: [...o.alsoTechniques],
      note: o.note,
      rules: w.rules,
      waits: waits(o, w.timeZone),
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
  return rows.map(({ spell: row, ...fly }) => ({
    outingId: row.outingId,
    spellId: row.id,
    version: row.version,
    rigId: row.rigId,
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
