import { asc, isNull } from 'drizzle-orm'
import { fishingDepthMm, techniquesAmong, wording } from '../../core/index.ts'
import type { BoxesView, CompartmentId, CompartmentLine } from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'
import { keptUntilWrite } from '../db/kept.ts'
import { box, compartment } from '../db/schema.ts'
import { grouped } from '../read/grouped.ts'
import { loadReaches } from '../read/reaches.ts'
import { loadRestock } from './restock.ts'
import { behaviourOfRow, loadPutAway, loadVariants, toFigureView } from '../read/variants.ts'
import type { VariantRow } from '../read/variants.ts'
import { keptOf } from '../read/likely.ts'
import { nextOuting } from '../read/outings.ts'
import { loadHeld } from '../read/places.ts'

type Fly = CompartmentLine['flies'][number]

/** What lies in each compartment or has its home there, in the order of the patterns' names; what is put away comes last. */
function contentsOf(
  variants: readonly VariantRow[],
  places: Awaited<ReturnType<typeof loadHeld>>,
  away: ReadonlySet<string>,
) {
  const position = new Map(variants.map((row, i) => [row.variant.id, i]))
  const contents = new Map<string, Set<number>>()
  const put = (compartmentId: CompartmentId, at: number | undefined) => {
    if (at === undefined) return
    const there = contents.get(compartmentId)
    if (there) there.add(at)
    else contents.set(compartmentId, new Set([at]))
  }
  variants.forEach(({ variant: v }, at) =>
    v.homeCompartmentId && !away.has(v.id) ? put(v.homeCompartmentId, at) : undefined,
  )
  for (const [compartmentId, flies] of places)
    for (const variantId of flies.keys()) put(compartmentId, position.get(variantId))
  return (compartmentId: CompartmentId): VariantRow[] =>
    [...(contents.get(compartmentId) ?? [])].sort((a, b) => a - b).flatMap((at) => variants[at] ?? [])
}

/** Where boxes are looked at: the reach of the next outing, else the first. */
async function placeToFish(db: Reader, today: string) {
  const reaches = await loadReaches(db)
  const planned = await nextOuting(db, today)
  const chosen = reaches.find(({ reach }) => reach.id === planned?.reachId) ?? reaches[0]
  return { bedMm: chosen?.reach.typicalDepthMm ?? 1000, speedMmPerS: chosen?.reach.surfaceSpeedMmPerS ?? 0 }
}

/** Boxes with their compartments, as they are laid out. */
const loadLaidOut = keptUntilWrite(readLaidOut, [box, compartment])

async function readLaidOut(db: Reader) {
  const boxes = await db
    .select()
    .from(box)
    .where(isNull(box.archivedAtMs))
    .orderBy(asc(box.position), asc(box.nameKey))
  const compartments = await db
    .select()
    .from(compartment)
    .where(isNull(compartment.archivedAtMs))
    .orderBy(asc(compartment.row), asc(compartment.column))
  const placesOf = grouped(compartments, ({ boxId }) => boxId)
  return boxes.map((row) => ({ row, compartments: placesOf.get(row.id) ?? [] }))
}

/** Boxes drawn as they are, and what is below par. */
export async function boxesView(db: Reader, usualPar: number, today: string): Promise<BoxesView> {
  const boxes = await loadLaidOut(db)
  const putAway = await loadPutAway(db)
  const variants = [...(await loadVariants(db)), ...putAway]
  const away = new Set(putAway.map((row) => row.variant.id))
  const places = await loadHeld(db)
  const fliesIn = contentsOf(variants, places, away)
  const where = await placeToFish(db, today)
  const restock = [...(await loadRestock(db, usualPar))()]
  const isHome = ({ variant: v }: VariantRow, compartmentId: CompartmentId) =>
    v.homeCompartmentId === compartmentId && !away.has(v.id)
  const toFly = (row: VariantRow, compartmentId: CompartmentId): Fly => {
    const { kind, sinkSpeedMmPerS, posture, drawingKey } = toFigureView(row.figure)
    return {
      variantId: row.variant.id,
      patternId: row.variant.patternId,
      patternName: away.has(row.variant.id) ? wording.putAwayName(row.patternName) : row.patternName,
      label: row.variant.label,
      count: places.get(compartmentId)?.get(row.variant.id) ?? 0,
      isHome: isHome(row, compartmentId),
      par: isHome(row, compartmentId) ? keptOf(row, usualPar) : null,
      variantVersion: row.variant.version,
      parCount: row.variant.parCount,
      depthMm: fishingDepthMm(behaviourOfRow(row.figure), techniquesAmong(row.fishedHow), {
        bedMm: where.bedMm,
        surfaceSpeedMmPerS: where.speedMmPerS,
      }),
      figure: { kind, sinkSpeedMmPerS, posture, drawingKey },
    }
  }
  return {
    boxes: boxes.map(({ row, compartments }) => ({
      id: row.id,
      name: row.name,
      kind: row.kind,
      note: row.note,
      compartments: compartments.map((place) => ({
        id: place.id,
        row: place.row,
        column: place.column,
        label: place.label,
        capacity: place.capacity,
        flies: fliesIn(place.id).map((variantRow) => toFly(variantRow, place.id)),
      })),
    })),
    restock,
  }
}
