import { openDatabase } from '../server/db/database.ts'
import type { Tx } from '../server/db/database.ts'
import {
  box,
  compartment,
  dressing,
  flyEntry,
  pattern,
  patternServes,
  revisionMaterial,
  variant,
  variantFigure,
  variantRevision,
} from '../server/db/schema.ts'
import { newId } from '../server/db/ids.ts'
import type {
  ActionId,
  BoxId,
  CompartmentId,
  DressingId,
  PatternId,
  VariantId,
  VariantRevisionId,
} from '../contract/index.ts'

/** What a tier of decades might have. */
export const LARGE = { patterns: 400, variants: 2000, boxes: 20, entries: 200_000 }
const COMPARTMENTS_A_BOX = 24
const ROWS_AT_ONCE = 400
const DAY_MS = 86_400_000
const GROWN = newId<ActionId>()

/** Rows inserted in portions, since a statement takes only so many values. */
async function insertAll<Row>(
  rows: readonly Row[],
  insert: (portion: Row[]) => Promise<unknown>,
): Promise<void> {
  for (let at = 0; at < rows.length; at += ROWS_AT_ONCE) await insert(rows.slice(at, at + ROWS_AT_ONCE))
}

async function growBoxes(tx: Tx): Promise<readonly CompartmentId[]> {
  const places: (typeof compartment.$inferInsert)[] = []
  for (let n = 1; n <= LARGE.boxes; n += 1) {
    const boxId = newId<BoxId>()
    await tx.insert(box).values({ id: boxId, name: `Box ${n}`, nameKey: `box ${n}`, kind: 'box', position: n })
    for (let k = 0; k < COMPARTMENTS_A_BOX; k += 1)
      places.push({
        id: newId<CompartmentId>(),
        boxId,
        row: Math.floor(k / 4) + 1,
        column: (k % 4) + 1,
        label: `Box ${n}, ${k + 1}`,
      })
  }
  await insertAll(places, (rows) => tx.insert(compartment).values(rows))
  return places.map(({ id }) => id)
}

/** Copies of the patterns that are there, under numbered names, until there are enough of them. */
async function growPatterns(tx: Tx, places: readonly CompartmentId[]) {
  const originals = {
    patterns: await tx.select().from(pattern),
    serves: await tx.select().from(patternServes),
    dressings: await tx.select().from(dressing),
    variants: await tx.select().from(variant),
    revisions: await tx.select().from(variantRevision),
    materials: await tx.select().from(revisionMaterial),
    figures: await tx.select().from(variantFigure),
  }
  const each = Math.ceil(LARGE.variants / LARGE.patterns)
  const made: { revisionId: VariantRevisionId; placeId: CompartmentId }[] = []
  const figures: (typeof variantFigure.$inferInsert)[] = []
  const materials: (typeof revisionMaterial.$inferInsert)[] = []
  for (let n = originals.patterns.length; n < LARGE.patterns; n += 1) {
    const source = originals.patterns[n % originals.patterns.length]
    const recipe = originals.dressings.find(({ id }) => id === source?.currentDressingId)
    const flies = originals.variants.filter(({ patternId }) => patternId === source?.id)
    if (!source || !recipe) throw new Error('the demo has no patterns')
    const patternId = newId<PatternId>()
    const dressingId = newId<DressingId>()
    await tx.insert(pattern).values({
      ...source,
      id: patternId,
      name: `${source.name} ${n}`,
      nameKey: `${source.nameKey} ${n}`,
      currentDressingId: dressingId,
    })
    await tx.insert(dressing).values({ ...recipe, id: dressingId, patternId })
    const served = originals.serves.filter((row) => row.patternId === source.id)
    if (served.length > 0) await tx.insert(patternServes).values(served.map((row) => ({ ...row, patternId })))
    for (let k = 0; k < each; k += 1) {
      const fly = flies[k % flies.length]
      const revision = originals.revisions.find(({ id }) => id === fly?.currentRevisionId)
      const figure = originals.figures.find((row) => row.variantRevisionId === revision?.id)
      if (!fly || !revision || !figure) throw new Error('a variant has no recipe')
      const [variantId, revisionId] = [newId<VariantId>(), newId<VariantRevisionId>()]
      const placeId = places[made.length % places.length]
      if (!placeId) throw new Error('there are no places')
      const label = `${fly.label} ${k + 1}`
      await tx.insert(variant).values({
        ...fly, id: variantId, patternId, label, labelKey: label.toLowerCase(), currentRevisionId: revisionId, homeCompartmentId: placeId, position: k,
      }) // prettier-ignore
      await tx.insert(variantRevision).values({ ...revision, id: revisionId, variantId, dressingId })
      figures.push({ ...figure, variantRevisionId: revisionId })
      for (const row of originals.materials)
        if (row.variantRevisionId === revision.id) materials.push({ ...row, variantRevisionId: revisionId })
      made.push({ revisionId, placeId })
    }
  }
  await insertAll(figures, (rows) => tx.insert(variantFigure).values(rows))
  await insertAll(materials, (rows) => tx.insert(revisionMaterial).values(rows))
  return made
}

/** Years of tying and losing: each fly's count goes up by three and comes down one by one, and ends between 0 and 5. */
async function growLedger(
  tx: Tx,
  flies: readonly { revisionId: VariantRevisionId; placeId: CompartmentId }[],
): Promise<void> {
  const rows: (typeof flyEntry.$inferInsert)[] = []
  const held = flies.map(() => 0)
  const firstMs = Date.parse('2012-01-01T00:00:00Z')
  for (let n = 0; n < LARGE.entries; n += 1) {
    const k = n % flies.length
    const fly = flies[k]
    if (!fly) continue
    const ties = (held[k] ?? 0) <= k % 3
    held[k] = (held[k] ?? 0) + (ties ? 3 : -1)
    rows.push({
      id: newId(), actionId: GROWN, atMs: firstMs + (n / LARGE.entries) * 5000 * DAY_MS, compartmentId: fly.placeId,
      variantRevisionId: fly.revisionId, delta: ties ? 3 : -1, cause: ties ? 'tied' : 'lost', lossCause: ties ? null : 'bottom',
    }) // prettier-ignore
  }
  await insertAll(rows, (portion) => tx.insert(flyEntry).values(portion))
}

/** Makes a demo database as large as one gets in decades. */
export async function growDatabase(file: string): Promise<void> {
  const database = await openDatabase(file, 'server/migrations')
  await database.write(async (tx) => growLedger(tx, await growPatterns(tx, await growBoxes(tx))))
  if ((await database.db.$count(flyEntry)) < LARGE.entries) throw new Error('the ledger did not grow')
  await database.close()
}
