import { isNotNull, isNull } from 'drizzle-orm'
import { kindDefaults, likeFamily } from '../../core/index.ts'
import { foldedKey } from '../../contract/index.ts'
import type { CommandBody, FamilyId } from '../../contract/index.ts'
import { family } from '../db/schema.ts'
import { toCoreFamily } from '../read/materials.ts'
import { ProblemError } from '../problems/problem.ts'
import type { CommandContext, Handler } from './context.ts'
import { mintMaterials } from './mint.ts'

/** A wet material is so much darker where nobody has seen it wet. */
const WET = 0.72

const wetHex = (hex: string): string =>
  `#${[1, 3, 5]
    .map((at) =>
      Math.round(parseInt(hex.slice(at, at + 2), 16) * WET)
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`

/** Two goods of one name look alike in every list, and a table of stores could name one of them only. */
async function isTaken({ tx }: CommandContext, name: string, familyId: FamilyId): Promise<boolean> {
  const there = await tx
    .select({ id: family.id, name: family.name })
    .from(family)
    .where(isNull(family.archivedAtMs))
  return there.some((one) => one.id !== familyId && foldedKey(one.name) === foldedKey(name))
}

/** Whether goods that an undo or a redo has brought back have a name that others took meanwhile. */
export async function cameBackToTakenName(context: CommandContext): Promise<boolean> {
  for (const image of context.recorder.images) {
    if (image.kind !== 'row' || image.table !== 'family') continue
    const [before, after] = [image.before, image.after] as (typeof family.$inferSelect | null)[]
    if (!after || after.archivedAtMs !== null || (before && before.archivedAtMs === null)) continue
    if (await isTaken(context, after.name, after.id)) return true
  }
  return false
}

async function refuseTaken(context: CommandContext, name: string, familyId: FamilyId): Promise<void> {
  if (!(await isTaken(context, name, familyId))) return
  throw new ProblemError('nameTaken', 'That name is taken. Choose another.', [
    { path: 'name', message: 'That name is taken.' },
  ])
}

/** Makes goods that do not ship, with their first drawer: like others, or with the usual figures of their kind. */
export const familyCreate: Handler<CommandBody<'familyCreate'>> = async (context, body) => {
  const { tx, recorder } = context
  const { familyId, kind, name, likeFamilyId, colours, drawer } = body
  await refuseTaken(context, name, familyId)
  const like = likeFamilyId ? await recorder.need('family', likeFamilyId, 'material') : null
  if (like && like.kind !== kind) {
    const message = `${like.name} is of another kind.`
    throw new ProblemError('invalidInput', message, [{ path: 'likeFamilyId', message }])
  }
  const shipped = await tx.select().from(family).where(isNotNull(family.shippedKey))
  const known = like ? likeFamily(toCoreFamily(like)) : kindDefaults(kind, shipped.map(toCoreFamily))
  if (!known) throw new ProblemError('invalidInput', 'Nothing is known of that kind. Choose another.')
  const { stockUnit, ...rest } = known
  const sizes =
    like?.body.sizes ??
    shipped.find((row) => row.kind === kind && row.body.massModel === rest.massModel)?.body.sizes ??
    []
  await recorder.insert('family', {
    id: familyId,
    kind,
    name,
    stockUnit,
    body: {
      ...rest,
      schemaVersion: 1,
      sizes,
      colours: colours.map(({ name: colour, hex }) => ({ name: colour, hexDry: hex, hexWet: wetHex(hex) })),
    },
    edited: true,
  })
  await mintMaterials(context, [{ ...drawer, familyId, colourName: colours[0]?.name ?? '' }])
  return { label: { code: 'materialMade', subject: name } }
}
