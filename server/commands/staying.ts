import { eq, inArray, or } from 'drizzle-orm'
import type { BoxId, PatternId } from '../../contract/index.ts'
import type { action } from '../db/schema.ts'
import { compartment, flyBalance, variant, variantRevision } from '../db/schema.ts'
import { ProblemError } from '../problems/problem.ts'
import type { CommandContext } from './context.ts'
import { imagesOf, madeRows, type AnyRow, type Image, type TableName } from './images.ts'
import { firstOf } from './standing.ts'

type ActionRow = typeof action.$inferSelect
type Ids = ReadonlySet<string>

/**
 * What an action made and history names: the ledger, or a recipe that stays. It cannot go when the action is taken back,
 * and is put away instead, or stays as it is where it belongs to what is.
 */
export interface Staying {
  readonly patterns: Ids
  readonly boxes: Ids
  readonly revisions: Ids
  readonly dressings: Ids
}

const isSeen = (row: AnyRow | null): boolean => row !== null && (row.archivedAtMs ?? null) === null

/** Rows that were not seen before an action, and are after it: new ones, and those that it took out again. */
const broughtOut = (images: readonly Image[]) =>
  images.flatMap((image) =>
    image.kind === 'row' && image.after && isSeen(image.after) && !isSeen(image.before)
      ? [{ table: image.table, id: image.after.id }]
      : [],
  )

/** Rows of a table that an action made, or that it, doing their making again, took out again. */
export type Made = (table: TableName) => readonly string[]

/** What an action made, or takes out again of what was made in the first place. */
export async function madeBy({ tx }: CommandContext, target: ActionRow): Promise<Made> {
  const first = imagesOf(await firstOf(tx, target))
  const now = new Set(broughtOut(imagesOf(target)).map(({ id }) => id))
  const ids = broughtOut(first).filter(({ id }) => now.has(id))
  return (table) => ids.flatMap((one) => (one.table === table ? [one.id] : []))
}

/** Patterns and boxes that the ledger names. Refused while flies of them are on hand, or lie in them. */
async function namedByLedger({ tx }: CommandContext, made: Made) {
  const patterns = made('pattern') as readonly PatternId[]
  const boxes = made('box') as readonly BoxId[]
  const rows =
    patterns.length + boxes.length === 0
      ? []
      : await tx
          .select({ patternId: variant.patternId, boxId: compartment.boxId, count: flyBalance.count })
          .from(flyBalance)
          .innerJoin(variantRevision, eq(variantRevision.id, flyBalance.variantRevisionId))
          .innerJoin(variant, eq(variant.id, variantRevision.variantId))
          .innerJoin(compartment, eq(compartment.id, flyBalance.compartmentId))
          .where(or(inArray(variant.patternId, [...patterns]), inArray(compartment.boxId, [...boxes])))
  if (rows.some(({ count }) => count > 0))
    throw new ProblemError(
      'cannotUndo',
      'Flies of it lie in your boxes: the ledger refers to it. Undo those first.',
    )
  const named = new Set<string>(rows.flatMap(({ patternId, boxId }) => [patternId, boxId]))
  return {
    patterns: new Set<string>(patterns.filter((id) => named.has(id))),
    boxes: new Set<string>(boxes.filter((id) => named.has(id))),
  }
}

/**
 * Recipes of variants that stay, and those that the ledger names: flies came under them and went again, which is history.
 * Refused while flies lie under them.
 */
async function recipesToStay({ tx }: CommandContext, images: readonly Image[], patterns: Ids) {
  const variants = new Set(
    madeRows(images, 'variant').flatMap(({ id, patternId }) => (patterns.has(patternId) ? [id] : [])),
  )
  const made = madeRows(images, 'variantRevision')
  const balances = await tx
    .select({ id: flyBalance.variantRevisionId, count: flyBalance.count })
    .from(flyBalance)
    .where(
      inArray(
        flyBalance.variantRevisionId,
        made.map(({ id }) => id),
      ),
    )
  const staying = made.filter(
    ({ id, variantId }) => variants.has(variantId) || balances.some((balance) => balance.id === id),
  )
  if (balances.some(({ count }) => count > 0))
    throw new ProblemError('cannotUndo', 'Flies of that recipe lie in your boxes. Undo those first.')
  return {
    revisions: new Set<string>(staying.map(({ id }) => id)),
    dressings: new Set<string>(staying.map(({ dressingId }) => dressingId)),
  }
}

/**
 * What of an action has to stay when it is taken back.
 *
 * @throws ProblemError where flies lie under it
 */
export async function whatStays(
  context: CommandContext,
  images: readonly Image[],
  made: Made,
): Promise<Staying> {
  const places = await namedByLedger(context, made)
  return { ...places, ...(await recipesToStay(context, images, places.patterns)) }
}

/** Whether an image is of what stays, or belongs to it. */
export function belongsTo(staying: Staying, image: Image): boolean {
  if (image.kind === 'serves') return staying.patterns.has(image.patternId)
  if (image.kind === 'revisionMaterials')
    return image.rows.some(({ variantRevisionId }) => staying.revisions.has(variantRevisionId))
  if (image.kind !== 'row' || image.before || !image.after) return false
  const { id, patternId, boxId } = image.after
  switch (image.table) {
    case 'pattern':
      return staying.patterns.has(id)
    case 'box':
      return staying.boxes.has(id)
    case 'variant':
      return staying.patterns.has(String(patternId))
    case 'dressing':
      return staying.patterns.has(String(patternId)) || staying.dressings.has(id)
    case 'compartment':
      return staying.boxes.has(String(boxId))
    case 'variantRevision':
      return staying.revisions.has(id)
    default:
      return false
  }
}
